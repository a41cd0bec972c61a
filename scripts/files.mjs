import { readdirSync, statSync } from 'node:fs';
import { join } from 'node:path';

/** Every file below the folders whose name ends like this, sorted. */
export function filesBelow(folders, ending) {
  return folders
    .flatMap((folder) =>
      readdirSync(folder, { recursive: true, encoding: 'utf8' })
        .map((name) => join(folder, name))
        .filter((path) => path.endsWith(ending) && statSync(path).isFile()),
    )
    .sort();
}
