import { USUAL_HOUSE_CHOICES } from '../core/houseRules/houseRules';
import { ok, type Result } from '../core/result';
import type { AsKept, BrokenRecord } from '../db/readRecord';
import type { Stored } from '../db/records';
import { type RecordVersion, VERSIONED_KINDS, type VersionedKind } from '../db/recordVersions';
import { saveHouseRules } from './houseRules';
import type { Workshop } from './openWorkshop';
import { notFound, Problem } from './problem';
import { checked, RECORD_KINDS, type RecordKind } from './recordKinds';
import { conflict } from './records';
import { saveLot } from './stock';

export { VERSIONED_KINDS, type VersionedKind };

/** The id of the house rules, of which there is one record. */
export const HOUSE_RULES_ID = '1';
/** What they are called where they can't be read. */
export const HOUSE_RULES_RECORD = 'house rules';

/** One version of a record. */
export interface VersionView {
  revision: number;
  /** When it was saved, ISO 8601; null for what was there before any save. */
  changedAt: string | null;
  /** False for what it was before, or is no more. */
  isNow: boolean;
  /** Why it can't be read; null where it can. */
  fault: string | null;
  /** What it was; null where it can't be read. */
  item: unknown;
}

export interface VersionsView {
  name: string;
  /** It was taken away, and can be brought back. */
  isGone: boolean;
  /** The last first. */
  versions: VersionView[];
}

/** How the records of a kind are read and put back. */
interface Versioned {
  nameOf(item: unknown): string;
  asKept(open: Workshop, id: string): AsKept<unknown> | undefined;
  read(open: Workshop, id: string, version: RecordVersion): Result<unknown, BrokenRecord>;
  /** What holds before anything is saved, as version 0. */
  atFirst?: unknown;
  /** Puts an item that was read by `read` in the place of what is kept. */
  put(open: Workshop, item: unknown, now: AsKept<unknown>): void;
  /** Puts back what was taken away; left out where nothing is. */
  putBack?(open: Workshop, item: unknown, revision: number): void;
}

const VERSIONED: Record<VersionedKind, Versioned> = {
  material: ofKind(RECORD_KINDS.material),
  mold: ofKind(RECORD_KINDS.mold),
  jug: ofKind(RECORD_KINDS.jug),
  scale: ofKind(RECORD_KINDS.scale),
  product: ofKind(RECORD_KINDS.product),
  purchase: ofKind(RECORD_KINDS.purchase),
  lot: {
    nameOf: (item) => (item as { number: string }).number,
    asKept: ({ lots }, id) => lots.asKept(id),
    read: ({ lots }, id, version) => lots.readVersion(id, version),
    put: (open, item, now) => {
      const lot = item as Parameters<typeof saveLot>[1];
      if (now.read.success) saveLot(open, lot, now.revision);
      else open.lots.update(lot, now.revision, open.now());
    },
  },
  'house-rules': {
    atFirst: USUAL_HOUSE_CHOICES,
    nameOf: () => 'House rules',
    asKept: ({ houseRules }) => houseRules.asKept(),
    read: ({ houseRules }, _, version) => houseRules.readVersion(version),
    put: (open, item, now) => {
      const choices = item as Parameters<typeof saveHouseRules>[1];
      if (now.read.success) saveHouseRules(open, choices, now.revision);
      else open.houseRules.write(choices, now.revision + 1, open.now());
    },
  },
};

function ofKind<Item extends { id: string; name: string }>({
  what,
  table,
  check,
  allow,
  follow,
}: RecordKind<Item>): Versioned {
  return {
    nameOf: (item) => (item as Item).name,
    asKept: (open, id) => table(open).asKept(id),
    read: (open, id, version) => table(open).readVersion(id, version),
    put: (open, item, now) => {
      const next = item as Item;
      if (now.read.success) allow?.(open, now.read.data as Item, next);
      checked(open, check, () => {
        if (!table(open).update(next, now.revision, open.now())) throw notFound(what, next.id);
        follow?.(open, next);
      });
    },
    putBack: (open, item, revision) =>
      checked(open, check, () => table(open).insert(item as Item, open.now(), revision)),
  };
}

/**
 * What a record is and was, the last first.
 *
 * @throws Problem 404 where nothing of the id was ever saved
 */
export function versionsOf(open: Workshop, kind: VersionedKind, id: string): VersionsView {
  const { asKept, read, nameOf, atFirst } = VERSIONED[kind];
  const now = asKept(open, id);
  const before = open.versions.of(kind, id).map((version) => ({
    revision: version.revision,
    changedAt: version.changedAt,
    isNow: false,
    read: read(open, id, version),
  }));
  const all: (Omit<AsKept<unknown>, 'changedAt'> & Pick<VersionView, 'changedAt' | 'isNow'>)[] = [
    ...(now ? [{ ...now, isNow: true }] : []),
    ...before,
    ...(atFirst ? [{ revision: 0, changedAt: null, isNow: !now, read: ok(atFirst) }] : []),
  ];
  const named = all.find((each) => each.read.success)?.read;
  if (all.length === 0) throw notFound(kind, id);
  return {
    name: named?.success ? nameOf(named.data) : id,
    isGone: now === undefined && atFirst === undefined,
    versions: all.map(({ revision, changedAt, isNow, read }) => ({
      revision,
      changedAt,
      isNow,
      fault: read.success ? null : read.error.reason,
      item: read.success ? read.data : null,
    })),
  };
}

/**
 * Makes a record again what it was at a revision, as a save of its own; what was taken away comes back.
 *
 * @param from the revision that was seen as the newest; null for a record that was seen as gone
 * @returns the record as it is then
 * @throws Problem 404, 409 when it was saved elsewhere meanwhile, or 422 when that version can't be read or does not fit
 */
export function takeBack(
  open: Workshop,
  kind: VersionedKind,
  id: string,
  revision: number,
  from: number | null,
): Stored<unknown> {
  const { asKept, read, put, putBack, atFirst } = VERSIONED[kind];
  const work = open.db.transaction((): Stored<unknown> => {
    const now = asKept(open, id);
    const version = open.versions.find(kind, id, revision);
    if (!version && (revision > 0 || atFirst === undefined))
      throw notFound(`version ${revision} of ${kind}`, id);
    const item = version ? read(open, id, version) : ok(atFirst);
    if (!item.success)
      throw new Problem(422, 'broken-record', `Version ${revision} can’t be read: ${item.error.reason}.`);
    if ((now?.revision ?? null) !== from) {
      const theirs = now?.read.success ? now.read.data : null;
      throw conflict(item.data, theirs, now?.revision ?? 0);
    }
    if (now) put(open, item.data, now);
    else if (putBack) putBack(open, item.data, (open.versions.of(kind, id)[0]?.revision ?? 0) + 1);
    else throw notFound(kind, id);
    return { item: item.data, revision: asKept(open, id)?.revision ?? 0 };
  });
  return work.immediate();
}
