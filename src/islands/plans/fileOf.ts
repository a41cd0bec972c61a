import type { Material } from '../../core/materials/material';
import type { Mold } from '../../core/molds/mold';
import { NO_MOLD, NO_MOLD_ID } from '../../core/molds/noMold';
import type { MadePiece } from '../../core/plan/embed';
import { PLAN_FILE_FORMAT, PLAN_FILE_VERSION, type Plan, type PlanFile } from '../../core/plan/plan';

/** The plan with what it names; the page was given every mold and material that its plan may name. */
export function fileOf(plan: Plan, molds: Mold[], materials: Material[], made: MadePiece[]): PlanFile {
  const mold = plan.moldId === NO_MOLD_ID ? NO_MOLD : molds.find(({ id }) => id === plan.moldId);
  if (!mold) throw new RangeError(`the page has no mold “${plan.moldId}”`);
  const secondMold = molds.find(({ id }) => id === plan.secondMoldId);
  return {
    format: PLAN_FILE_FORMAT,
    version: PLAN_FILE_VERSION,
    plan,
    mold,
    ...(secondMold ? { secondMold } : {}),
    materials,
    made,
  };
}
