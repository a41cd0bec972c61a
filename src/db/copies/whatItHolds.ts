import Database from 'better-sqlite3';

/** What a database of a workshop holds, to be shown before it is brought back. */
export interface WhatItHolds {
  /** The migration it is at. */
  step: number;
  plans: number;
  molds: number;
  materials: number;
  runs: number;
  /** When something was last saved in it, ISO 8601; null where nothing was. */
  changedAt: string | null;
}

/** No database of a workshop. */
export class NoWorkshopError extends Error {}

/**
 * Counts what is in a database file, of any step, without bringing it up.
 *
 * @throws NoWorkshopError where it is no workshop's
 */
export function whatItHolds(path: string): WhatItHolds {
  let db: Database.Database | null = null;
  try {
    db = new Database(path, { readonly: true, fileMustExist: true });
    const open = db;
    const count = (table: string) =>
      open.prepare<[], { count: number }>(`SELECT count(*) AS count FROM ${table}`).get()?.count ?? 0;
    const latest = open
      .prepare<[], { at: string | null }>(
        `SELECT max(at) AS at FROM (SELECT max(changed_at) AS at FROM plans UNION ALL SELECT max(changed_at) FROM molds
           UNION ALL SELECT max(changed_at) FROM materials UNION ALL SELECT max(at) FROM run_events)`,
      )
      .get();
    return {
      step: open.pragma('user_version', { simple: true }) as number,
      plans: count('plans'),
      molds: count('molds'),
      materials: count('materials'),
      runs: count('runs'),
      changedAt: latest?.at ?? null,
    };
  } catch {
    throw new NoWorkshopError('it holds no workshop');
  } finally {
    db?.close();
  }
}
