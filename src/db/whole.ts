import { existsSync, statSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { COPIES_FOLDER, copiesIn, faultOf } from './copies/copyFolder';

/** The file of a workshop is gone, empty or damaged. It is left untouched, and no new one is begun in its place. */
export class DamagedDatabaseError extends Error {
  constructor(
    /** What is wrong, as the end of a sentence about the file. */
    readonly fault: string,
    /** The newest copy that is whole; null where there is none. */
    readonly lastCopy: string | null,
    folder: string,
  ) {
    const help =
      lastCopy === null
        ? 'There is no whole copy of it in its folder; bring one back from elsewhere with npm run restore -- FILE --data FOLDER.'
        : `Bring back the last whole copy with: npm run restore -- "${lastCopy}" --data "${folder}"`;
    super(`The workshop's database ${fault}. Nothing was changed. ${help}`);
    this.name = 'DamagedDatabaseError';
  }
}

/**
 * Looks at a workshop's file before it is opened.
 *
 * @throws DamagedDatabaseError where one was and is no more, where it is empty, or where it is not whole
 */
export function checkWhole(path: string): void {
  const fault = wrongWith(path);
  if (fault === null) return;
  const copies = copiesIn(join(dirname(path), COPIES_FOLDER));
  throw new DamagedDatabaseError(
    fault,
    copies.find((copy) => faultOf(copy.path) === null)?.path ?? null,
    dirname(path),
  );
}

function wrongWith(path: string): string | null {
  if (!existsSync(path)) return wasThere(path) ? 'is gone from its folder' : null;
  if (statSync(path).size === 0) return 'is an empty file';
  const fault = faultOf(path);
  return fault === null ? null : `is damaged (${fault})`;
}

/** What a workshop leaves beside its file. */
function wasThere(path: string): boolean {
  return existsSync(`${path}-wal`) || copiesIn(join(dirname(path), COPIES_FOLDER)).length > 0;
}
