import { existsSync, mkdirSync } from 'node:fs';
import { dirname, resolve } from 'node:path';

/**
 * Makes a folder and those above it that are missing, one by one: what the system refuses is told at once. (Node's own
 * `recursive` tries for ever where a file system claims that a folder's parent is not there.)
 */
export function makeFolder(path: string): void {
  const folder = resolve(path);
  if (existsSync(folder)) return;
  makeFolder(dirname(folder));
  mkdirSync(folder);
}
