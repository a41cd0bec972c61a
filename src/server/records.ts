import { isDeepStrictEqual } from 'node:util';
import { differences } from '../core/plan/differences';
import type { RecordTable, Stored } from '../db/records';
import { notFound, Problem } from './problem';

/** 409 with the record as it is now and where it differs from what was sent. */
export function conflict(mine: unknown, theirs: unknown, revision: number): Problem {
  return new Problem(
    409,
    'changed-elsewhere',
    'This was saved from somewhere else meanwhile. Yours was not saved yet: keep yours, take theirs, or save a copy.',
    { current: theirs, revision, differences: differences(mine, theirs) },
  );
}

/**
 * Saves a record over the revision it was read at.
 *
 * @param allow throws when it may not become what is sent
 * @throws Problem 404, or 409 when it has been saved elsewhere meanwhile
 */
export function saveRecord<Item extends { id: string; name: string }>(
  table: RecordTable<Item>,
  what: string,
  item: Item,
  revision: number,
  at: string,
  allow: (before: Item, after: Item) => void = () => {},
): Stored<Item> {
  const before = table.find(item.id);
  if (!before) throw notFound(what, item.id);
  if (isDeepStrictEqual(item, before.item)) return before;
  allow(before.item, item);
  if (!table.update(item, revision, at)) throw conflict(item, before.item, before.revision);
  return { item, revision: revision + 1 };
}
