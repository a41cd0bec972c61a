import type Database from 'better-sqlite3';

export const PUT_AWAY_KINDS = [
  'plan',
  'mold',
  'run',
  'material',
  'lot',
  'jug',
  'scale',
  'product',
  'purchase',
] as const;
export type PutAwayKind = (typeof PUT_AWAY_KINDS)[number];

/** A record that lists leave out. */
export interface PutAway {
  kind: PutAwayKind;
  id: string;
  /** `deleted`: it is gone but for being brought back. */
  state: 'archived' | 'deleted';
  /** ISO 8601 */
  at: string;
}

export function putAwayTable(db: Database.Database) {
  const one = db.prepare<[PutAwayKind, string], PutAway>('SELECT * FROM put_away WHERE kind = ? AND id = ?');
  const ofKind = db.prepare<[PutAwayKind], PutAway>('SELECT * FROM put_away WHERE kind = ? ORDER BY at DESC');
  const put = db.prepare<PutAway>(
    `INSERT INTO put_away (kind, id, state, at) VALUES (@kind, @id, @state, @at)
     ON CONFLICT (kind, id) DO UPDATE SET state = excluded.state, at = excluded.at`,
  );
  const clear = db.prepare<[PutAwayKind, string]>('DELETE FROM put_away WHERE kind = ? AND id = ?');
  return {
    find: (kind: PutAwayKind, id: string): PutAway | undefined => one.get(kind, id),
    /** The last put away first. */
    all: (kind: PutAwayKind): PutAway[] => ofKind.all(kind),
    put(record: PutAway): void {
      put.run(record);
    },
    clear(kind: PutAwayKind, id: string): void {
      clear.run(kind, id);
    },
  };
}

/** What a list of a kind leaves out, as a condition on the id of its rows. */
export const isShown = (kind: PutAwayKind, id: string) =>
  `NOT EXISTS (SELECT 1 FROM put_away p WHERE p.kind = '${kind}' AND p.id = ${id})`;
