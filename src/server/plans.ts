import { isDeepStrictEqual } from 'node:util';
import type { MadePiece } from '../core/plan/embed';
import { namedPlans, type Plan } from '../core/plan/plan';
import { planFileSchema } from '../core/plan/planSchema';
import type { StoredPlan } from '../core/plan/storedPlan';
import type { Workshop } from './openWorkshop';
import { madePieces, planFileOf } from './planFile';
import { invalidFields, notFound } from './problem';
import { conflict } from './records';
import { turn, turnWhenLong } from './turn';

/** The newest version of a plan, or the one that is asked for. */
export function findPlan({ plans }: Workshop, id: string, version?: number): StoredPlan {
  const found = plans.version(id, version);
  if (!found) throw notFound('plan', version === undefined ? id : `${id}, version ${version}`);
  return found;
}

/** Pieces of other plans that are set into a plan. */
export function madeForPlan(workshop: Workshop, plan: Plan): MadePiece[] {
  const pieces = madePieces(workshop);
  return [...namedPlans(plan)].flatMap((id) => pieces.of(id) ?? []);
}

/** Pieces of all other plans of the workshop, to set into this one. */
export async function madeByOthers(workshop: Workshop, planId: string): Promise<MadePiece[]> {
  const pieces = madePieces(workshop);
  const made: MadePiece[] = [];
  for (const { id } of await everyPlan(workshop)) {
    await turnWhenLong();
    if (id !== planId) made.push(...[pieces.of(id) ?? []].flat());
  }
  return made;
}

/**
 * The latest version of every plan that can be read, the last changed first.
 *
 * @param of `known`: archived ones too
 */
export async function everyPlan({ plans }: Workshop, of: 'known' | 'shown' = 'known'): Promise<StoredPlan[]> {
  const all: StoredPlan[] = [];
  for (const id of plans.ids(of)) {
    await turnWhenLong();
    const read = plans.newest(id);
    if (read?.success) all.push(read.data);
  }
  await turn();
  return all;
}

export function createPlan(workshop: Workshop, plan: Plan): StoredPlan {
  const judged = planFileSchema.safeParse(planFileOf(workshop, plan), { reportInput: true });
  if (!judged.success) throw invalidFields(judged.error);
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
  planFileOf(workshop, plan);
  const before = findPlan(workshop, id);
  if (isDeepStrictEqual(plan, before.plan)) return before;
  const version = before.used ? before.version + 1 : before.version;
  const changedAt = workshop.now();
  if (!workshop.plans.save(id, plan, version, before.used, revision, changedAt)) {
    throw conflict(plan, before.plan, before.revision);
  }
  // What it reads as, without judging all of it once more while others wait.
  return { ...before, plan, version, latestVersion: version, revision: revision + 1, changedAt, used: false };
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
