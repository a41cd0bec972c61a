import type { Material } from '../core/materials/material';
import type { Molds } from '../core/molds/filled';
import { NO_MOLD, NO_MOLD_ID } from '../core/molds/noMold';
import type { MadePiece } from '../core/plan/embed';
import { madePieceOf } from '../core/plan/madePiece';
import { makeSheet } from '../core/plan/makeSheet';
import {
  namedMaterials,
  namedPlans,
  PLAN_FILE_FORMAT,
  PLAN_FILE_VERSION,
  type Plan,
  type PlanFile,
} from '../core/plan/plan';
import { planFileSchema } from '../core/plan/planSchema';
import type { Sheet } from '../core/plan/sheet';
import { orNull, orProblem } from './broken';
import { invalidField, invalidFields } from './problem';
import type { Workshop } from './workshop';

/**
 * A plan with its mold and materials as the workshop has them now.
 *
 * @throws Problem 422 naming the field whose id the workshop does not know
 */
export function planFileOf(workshop: Workshop, plan: Plan, pieces = madePieces(workshop)): PlanFile {
  const { molds, materials } = workshop;
  const moldOf = (id: string, field: string) => {
    if (id === NO_MOLD_ID) return NO_MOLD;
    const mold = orProblem(() => molds.find(id))?.item;
    if (!mold) throw invalidField(field, `names the mold “${id}”, which is not in the mold book`);
    return mold;
  };
  const { moldId, secondMoldId } = plan;
  const mold = moldOf(moldId, 'plan.moldId');
  const secondMold = secondMoldId === undefined ? undefined : moldOf(secondMoldId, 'plan.secondMoldId');
  const named = namedMaterials(plan, {
    get: (id) => orProblem(() => materials.find(id))?.item,
  });
  const found = [...named.values()].filter((material): material is Material => material !== null);
  const ids = [...namedPlans(plan)];
  const file = planFileSchema.safeParse(
    {
      format: PLAN_FILE_FORMAT,
      version: PLAN_FILE_VERSION,
      plan,
      mold,
      ...(secondMold ? { secondMold } : {}),
      materials: found,
      ...(ids.length > 0 ? { made: ids.flatMap((id) => pieces.of(id) ?? []) } : {}),
    },
    { reportInput: true },
  );
  if (!file.success) throw invalidFields(file.error);
  return file.data;
}

/** The molds of a plan; null where one of them can't be read or is not there. */
export function moldsOf({ molds }: Workshop, { moldId, secondMoldId }: Plan): Molds | null {
  const moldOf = (id: string) => (id === NO_MOLD_ID ? NO_MOLD : (orNull(() => molds.find(id))?.item ?? null));
  const mold = moldOf(moldId);
  const secondMold = secondMoldId === undefined ? undefined : moldOf(secondMoldId);
  return mold && secondMold !== null ? { mold, secondMold } : null;
}

/** The pieces that a workshop's plans make, each worked out once. */
export interface MadePieces {
  /** A plan's piece as the plan is now; null when the workshop has no such plan. */
  of(planId: string): MadePiece | null;
}

/**
 * Plans may set in the pieces of other plans, and those again of others. A plan that is set into itself, however far
 * down, has no size; neither has what it is set into.
 */
export function madePieces(workshop: Workshop): MadePieces {
  const known = new Map<string, MadePiece | null>();
  const underWay: string[] = [];
  const circular = new Set<string>();
  const make = (planId: string): MadePiece | null => {
    const [newest] = workshop.plans.versions(planId);
    if (!newest) return null;
    const { name } = newest.plan;
    const from = underWay.indexOf(planId);
    if (from >= 0) {
      for (const each of underWay.slice(from)) circular.add(each);
      return { ...madePieceOf(planId, name, null), isCircular: true };
    }
    underWay.push(planId);
    const piece = madePieceOf(planId, name, sheetOrNull(workshop, newest.plan, pieces));
    underWay.pop();
    return circular.has(planId) ? { ...piece, isCircular: true } : piece;
  };
  const pieces: MadePieces = {
    of(planId) {
      let piece = known.get(planId);
      if (piece === undefined) {
        piece = make(planId);
        // Half way round a circle nothing is known yet.
        if (!underWay.includes(planId)) known.set(planId, piece);
      }
      return piece;
    },
  };
  return pieces;
}

/** What can't be worked out has no sheet here; its own card says why. */
function sheetOrNull(workshop: Workshop, plan: Plan, pieces: MadePieces): Sheet | null {
  try {
    const made = makeSheet(planFileOf(workshop, plan, pieces));
    return made.success ? made.data : null;
  } catch {
    return null;
  }
}
