import { isDeepStrictEqual } from 'node:util';
import type { MadePiece } from '../core/plan/embed';
import type { Plan } from '../core/plan/plan';
import type { StoredPlan } from '../core/plan/storedPlan';
import { madePieces, planFileOf } from './planFile';
import { notFound } from './problem';
import { conflict } from './records';
import type { Workshop } from './workshop';

/** The newest version of a plan, or the one that is asked for. */
export function findPlan({ plans }: Workshop, id: string, version?: number): StoredPlan {
  const versions = plans.versions(id);
  const found = version === undefined ? versions[0] : versions.find((each) => each.version === version);
  if (!found) throw notFound('plan', version === undefined ? id : `${id}, version ${version}`);
  return found;
}

/** Pieces of the workshop's other plans, to set into this one. */
export function madeByOthers(workshop: Workshop, planId: string): MadePiece[] {
  const pieces = madePieces(workshop);
  return workshop.plans.all().flatMap(({ id }) => (id === planId ? [] : (pieces.of(id) ?? [])));
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
  planFileOf(workshop, plan);
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
