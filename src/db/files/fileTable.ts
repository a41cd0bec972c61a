import type Database from 'better-sqlite3';
import type { FileKind } from '../../core/files/fileKind';

/** What a kept file is. */
export interface KeptFile {
  hash: string;
  kind: FileKind;
  bytes: number;
  added_at: string;
}

/** The files that the workshop knows; their bytes are in its file store. */
export function fileTable(db: Database.Database) {
  const one = db.prepare<[string], KeptFile>('SELECT * FROM files WHERE hash = ?');
  const all = db.prepare<[], KeptFile>('SELECT * FROM files ORDER BY hash');
  const put = db.prepare<KeptFile>(
    'INSERT INTO files (hash, kind, bytes, added_at) VALUES (@hash, @kind, @bytes, @added_at) ON CONFLICT DO NOTHING',
  );
  return {
    find: (hash: string): KeptFile | undefined => one.get(hash),
    all: (): KeptFile[] => all.all(),
    put(file: KeptFile): void {
      put.run(file);
    },
  };
}
