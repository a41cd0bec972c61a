import { PUT_AWAY_KINDS, type PutAway, type PutAwayKind } from '../db/putAway';
import type { BrokenRecord } from '../db/readRecord';
import { orNull } from './broken';
import type { Workshop } from './openWorkshop';
import { notFound, Problem } from './problem';
import { productsOfPlan } from './products';

export { PUT_AWAY_KINDS, type PutAwayKind };

/** Where a record stands: `shown` in its lists, or put away. */
export type Standing = 'shown' | PutAway['state'];

export function standingOf({ putAway }: Workshop, kind: PutAwayKind, id: string): Standing {
  return putAway.find(kind, id)?.state ?? 'shown';
}

/**
 * Puts a record away, or shows it again. What can't be read can be put away, too: nothing of it is looked at.
 *
 * @throws Problem 404, or 409 when something still needs it
 */
export function setStanding(workshop: Workshop, kind: PutAwayKind, id: string, to: Standing): void {
  const { db, putAway, now } = workshop;
  const set = db.transaction(() => {
    if (!isThere(workshop, kind, id)) throw notFound(kind, id);
    if (to === 'shown') return putAway.clear(kind, id);
    if (kind === 'run' && workshop.runs.ending(id) !== 'finished' && orNull(() => workshop.runs.find(id)))
      throw new Problem(
        409,
        'run-is-open',
        'Only a finished run can be archived. Finish it, or give it up, first.',
      );
    if (to === 'deleted') checkDeletable(workshop, kind, id);
    putAway.put({ kind, id, state: to, at: now() });
  });
  set.immediate();
}

function isThere(workshop: Workshop, kind: PutAwayKind, id: string): boolean {
  switch (kind) {
    case 'plan':
      return workshop.plans.newest(id) !== undefined;
    case 'run':
      return workshop.runs.ending(id) !== undefined;
    case 'mold':
      return workshop.molds.asKept(id) !== undefined;
    default:
      return isBroken(workshop, kind, id);
  }
}

/** What has a way of its own to be archived or taken out is only set aside while it can't be read. */
function isBroken(
  workshop: Workshop,
  kind: 'material' | 'lot' | 'jug' | 'scale' | 'product' | 'purchase',
  id: string,
): boolean {
  const tables = {
    material: workshop.materials,
    lot: workshop.lots,
    jug: workshop.jugs,
    scale: workshop.scales,
    product: workshop.products,
    purchase: workshop.purchases,
  };
  return tables[kind].asKept(id)?.read.success === false;
}

/** Records that can't be read, without those that are set aside, and those. */
export function brokenShown({ putAway }: Workshop, kind: PutAwayKind, all: readonly BrokenRecord[]) {
  const aside = new Set(putAway.all(kind).map(({ id }) => id));
  return {
    shown: all.filter(({ id }) => !aside.has(id)),
    aside: all.filter(({ id }) => aside.has(id)),
  };
}

function checkDeletable(workshop: Workshop, kind: PutAwayKind, id: string): void {
  if (kind !== 'plan')
    throw new Problem(
      409,
      'only-archived',
      'What has happened, and what it happened in, can only be archived.',
    );
  const runs = workshop.runs.countOfPlan(id);
  if (runs > 0)
    throw new Problem(
      409,
      'in-use',
      `${runs === 1 ? 'A run was' : `${runs} runs were`} made by this plan, and the Logbook rests on it. Archive it instead.`,
    );
  const soldAs = productsOfPlan(workshop, id);
  if (soldAs.length > 0)
    throw new Problem(
      409,
      'in-use',
      `Pieces of this plan are sold as ${soldAs
        .slice(0, 3)
        .map(({ name }) => `“${name}”`)
        .join(', ')}. Archive it instead, or take it out there first.`,
    );
  const within = workshop.plans
    .withPiecesOf(id)
    .filter((stored) => stored.id !== id)
    .map(({ plan }) => `“${plan.name}”`);
  if (within.length > 0)
    throw new Problem(
      409,
      'in-use',
      `Pieces of this plan are set into ${within.slice(0, 3).join(', ')}. Archive it instead, or take them out there first.`,
    );
}

/** A plan that was put away, by what can be told of it. */
export interface PutAwayPlan extends PutAway {
  /** Its id where it has none that can be read. */
  name: string;
}

/** Plans that are put away, the last first. */
export function plansPutAway({ putAway, plans }: Workshop): PutAwayPlan[] {
  return putAway.all('plan').map((record) => ({ ...record, name: plans.nameOf(record.id) ?? record.id }));
}

/** Molds that are offered: those that are not archived, and those that are named. */
export function moldsOffered({ molds, putAway }: Workshop, named: readonly string[] = []) {
  const archived = new Set(putAway.all('mold').map(({ id }) => id));
  return molds
    .all()
    .map(({ item }) => item)
    .filter(({ id }) => !archived.has(id) || named.includes(id));
}

/** The name of a run that was put away; its id where that is not known. */
export function runName({ runs }: Workshop, id: string): string {
  return runs.nameOf(id) ?? id;
}
