import { isDeepStrictEqual } from 'node:util';
import type { Material } from '../core/materials/material';
import type { MadePiece } from '../core/plan/embed';
import { madePieceOf } from '../core/plan/madePiece';
import {
  namedMaterials,
  namedPlans,
  PLAN_FILE_FORMAT,
  PLAN_FILE_VERSION,
  type Plan,
  type PlanFile,
  planFileSchema,
} from '../core/plan/plan';
import { makeSheet } from '../core/plan/sheet';
import type { StoredPlan } from '../core/plan/storedPlan';
import { invalidField, invalidFields, notFound } from './problem';
import { conflict } from './records';
import type { Workshop } from './workshop';

/** The newest version of a plan, or the one that is asked for. */
export function findPlan({ plans }: Workshop, id: string, version?: number): StoredPlan {
  const versions = plans.versions(id);
  const found = version === undefined ? versions[0] : versions.find((each) => each.version === version);
  if (!found) throw notFound('plan', version === undefined ? id : `${id}, version ${version}`);
  return found;
}

/**
 * A plan with its mold and materials as the workshop has them now.
 *
 * @throws Problem 422 naming the field whose id the workshop does not know
 */
export function planFileOf(workshop: Workshop, plan: Plan, planId?: string): PlanFile {
  return fileOf(workshop, plan, planId === undefined ? [] : [planId]);
}

/** @param above plans that this one is set into, and itself: a plan in a circle has no size of its own */
function fileOf(workshop: Workshop, plan: Plan, above: readonly string[]): PlanFile {
  const { molds, materials } = workshop;
  const mold = molds.find(plan.moldId)?.item;
  if (!mold)
    throw invalidField('plan.moldId', `names the mold “${plan.moldId}”, which is not in the mold book`);
  const named = namedMaterials(plan, { get: (id) => materials.find(id)?.item });
  const found = [...named.values()].filter((material): material is Material => material !== null);
  const file = planFileSchema.safeParse(
    {
      format: PLAN_FILE_FORMAT,
      version: PLAN_FILE_VERSION,
      plan,
      mold,
      materials: found,
      ...madePieces(workshop, plan, above),
    },
    { reportInput: true },
  );
  if (!file.success) throw invalidFields(file.error);
  return file.data;
}

function madePieces(workshop: Workshop, plan: Plan, above: readonly string[]): Pick<PlanFile, 'made'> {
  const ids = [...namedPlans(plan)];
  return ids.length === 0 ? {} : { made: ids.flatMap((id) => madePieceIn(workshop, id, above) ?? []) };
}

/** A piece of a plan as it is now; null when the workshop has no such plan. */
function madePieceIn(workshop: Workshop, id: string, above: readonly string[] = []): MadePiece | null {
  const [newest] = workshop.plans.versions(id);
  if (!newest) return null;
  const { plan } = newest;
  if (above.includes(id)) return madePieceOf(id, plan.name, null);
  const made = makeSheet(fileOf(workshop, plan, [...above, id]));
  return madePieceOf(id, plan.name, made.success ? made.data : null);
}

/** Pieces of the workshop's other plans, to set into this one. */
export function madeByOthers(workshop: Workshop, planId: string): MadePiece[] {
  return workshop.plans
    .all()
    .flatMap(({ id }) => (id === planId ? [] : (madePieceIn(workshop, id, [planId]) ?? [])));
}

export function createPlan(workshop: Workshop, plan: Plan): StoredPlan {
  planFileOf(workshop, plan);
  const id = workshop.newId();
  workshop.plans.insert(id, plan, workshop.now());
  return findPlan(workshop, id);
}

/**
 * Saves over the newest version, or as a new version when a run has used that one. What is saved already is not
 * saved again: a save whose answer got lost may be sent twice.
 *
 * @throws Problem 409 when the plan has been saved with something else meanwhile
 */
export function savePlan(workshop: Workshop, id: string, plan: Plan, revision: number): StoredPlan {
  planFileOf(workshop, plan, id);
  const before = findPlan(workshop, id);
  if (isDeepStrictEqual(plan, before.plan)) return before;
  const version = before.used ? before.version + 1 : before.version;
  if (!workshop.plans.save(id, plan, version, before.used, revision, workshop.now())) {
    throw conflict(plan, before.plan, before.revision);
  }
  return findPlan(workshop, id);
}

export function duplicatePlan(workshop: Workshop, id: string): StoredPlan {
  const { plan } = findPlan(workshop, id);
  return createPlan(workshop, { ...plan, name: copyName(plan.name) });
}

const LONGEST_NAME = 120;
const COPY = ' (copy)';

export function copyName(name: string): string {
  return name.slice(0, LONGEST_NAME - COPY.length) + COPY;
}
