import type Database from 'better-sqlite3';

/** Kinds of records whose every save keeps what was there before. */
export const VERSIONED_KINDS = [
  'material',
  'mold',
  'lot',
  'jug',
  'scale',
  'product',
  'purchase',
  'house-rules',
] as const;
export type VersionedKind = (typeof VERSIONED_KINDS)[number];

/** What a record was, as its text was kept. */
export interface RecordVersion {
  revision: number;
  record: string;
  shape: number;
  /** When it was saved, ISO 8601. */
  changedAt: string;
  /** When it was saved over or taken away, ISO 8601. */
  until: string;
}

interface Row {
  revision: number;
  record: string;
  shape: number;
  changed_at: string;
  until: string;
}

/** As much of a version as it is read by. */
export type KeptText = Pick<RecordVersion, 'record' | 'shape'>;

/** Written by the database itself, at every save. */
export function recordVersionTable(db: Database.Database) {
  const COLUMNS = 'revision, record, shape, changed_at, until';
  const of = db.prepare<[VersionedKind, string], Row>(
    `SELECT ${COLUMNS} FROM record_versions WHERE kind = ? AND id = ? ORDER BY revision DESC`,
  );
  const one = db.prepare<[VersionedKind, string, number], Row>(
    `SELECT ${COLUMNS} FROM record_versions WHERE kind = ? AND id = ? AND revision = ?`,
  );
  const read = ({ changed_at, ...row }: Row): RecordVersion => ({ ...row, changedAt: changed_at });
  return {
    /** What a record was before, the last first. */
    of: (kind: VersionedKind, id: string): RecordVersion[] => of.all(kind, id).map(read),
    find(kind: VersionedKind, id: string, revision: number): RecordVersion | undefined {
      const row = one.get(kind, id, revision);
      return row && read(row);
    },
  };
}
