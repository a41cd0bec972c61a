import { readdirSync } from 'node:fs';
import { join } from 'node:path';

/** Every file below the folders whose name ends like this, sorted. */
export function filesBelow(folders, ending) {
  return folders
    .flatMap((folder) =>
      readdirSync(folder, { recursive: true, withFileTypes: true })
        .filter((entry) => entry.isFile() && entry.name.endsWith(ending))
        .map((entry) => join(entry.parentPath ?? entry.path, entry.name)),
    )
    .sort();
}
