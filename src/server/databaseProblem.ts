import { SqliteError } from 'better-sqlite3';
import { DamagedDatabaseError } from '../db/whole';
import { Problem } from './problem';

const FULL =
  'The disk is full, so nothing more can be saved. What was saved before is safe. Free some space, then try again.';
const READ_ONLY =
  'The workshop’s file can be read but not written. Nothing was saved. Give this account the right to write it and its folder, then try again.';
const LOCKED =
  'Another program holds the workshop’s file, so nothing was saved. Close it (a copy program, or a database viewer), then try again.';
const DAMAGED =
  'The workshop’s file is damaged. Nothing was saved. Stop Idle Tallow and start it again: it names the last copy that is whole, and how to bring it back.';

/** What the database or the file system refuses, as a problem that names its cause and its mend; null for anything else. */
export function databaseProblem(error: unknown): Problem | null {
  if (error instanceof DamagedDatabaseError) return new Problem(503, 'damaged', error.message);
  if (!(error instanceof Error) || !('code' in error) || typeof error.code !== 'string') return null;
  const { code } = error;
  if (code === 'ENOSPC' || code === 'EDQUOT' || code === 'EFBIG' || code === 'SQLITE_FULL')
    return new Problem(507, 'disk-full', FULL);
  if (code === 'EROFS') return new Problem(503, 'read-only', READ_ONLY);
  if (!(error instanceof SqliteError)) return null;
  if (code.startsWith('SQLITE_IOERR_WRITE') || code.startsWith('SQLITE_IOERR_FSYNC'))
    return new Problem(507, 'disk-full', FULL);
  if (code.startsWith('SQLITE_READONLY') || code === 'SQLITE_CANTOPEN')
    return new Problem(503, 'read-only', READ_ONLY);
  if (code.startsWith('SQLITE_BUSY') || code.startsWith('SQLITE_LOCKED'))
    return new Problem(503, 'locked', LOCKED);
  if (code.startsWith('SQLITE_CORRUPT') || code === 'SQLITE_NOTADB')
    return new Problem(503, 'damaged', DAMAGED);
  return null;
}
