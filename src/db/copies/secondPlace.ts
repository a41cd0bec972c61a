import { accessSync, constants, existsSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { copyFile } from 'node:fs/promises';
import { basename, isAbsolute, join, relative, resolve } from 'node:path';
import { z } from '../../core/zod';
import { writeWhole } from '../writeWhole';

/** It belongs to this machine, so it stands beside the database and is in no copy. */
const FILE = 'second-place.json';

const placeSchema = z.object({ folder: z.string().min(1) });

/** The folder into which each daily copy is put besides; null where none was chosen. */
export function secondPlaceOf(dataFolder: string): string | null {
  try {
    return placeSchema.parse(JSON.parse(readFileSync(join(dataFolder, FILE), 'utf8'))).folder;
  } catch {
    return null;
  }
}

/** Why a folder is no second place. */
export type PlaceFault = 'not-absolute' | 'not-there' | 'no-folder' | 'not-writable' | 'in-the-workshop';

/** @returns why it can't be one; null where it can */
export function placeFault(dataFolder: string, folder: string): PlaceFault | null {
  if (!isAbsolute(folder)) return 'not-absolute';
  const inside = relative(resolve(dataFolder), resolve(folder));
  if (!inside.startsWith('..') && !isAbsolute(inside)) return 'in-the-workshop';
  if (!existsSync(folder)) return 'not-there';
  if (!statSync(folder).isDirectory()) return 'no-folder';
  try {
    accessSync(folder, constants.W_OK);
    return null;
  } catch {
    return 'not-writable';
  }
}

/** @param folder null: there is none any more; what was copied there stays */
export function chooseSecondPlace(dataFolder: string, folder: string | null): void {
  const path = join(dataFolder, FILE);
  if (folder === null) rmSync(path, { force: true });
  else writeFileSync(path, `${JSON.stringify({ folder })}\n`);
}

/**
 * Puts a copy that is whole into a second place, under its name once it is whole there.
 *
 * @param check why a file is not whole
 * @throws Error when it can't be written or is not whole
 */
export async function copyThere(
  copy: string,
  folder: string,
  check: (path: string) => Promise<string | null>,
): Promise<void> {
  await writeWhole(join(folder, basename(copy)), async (part) => {
    await copyFile(copy, part);
    const fault = await check(part);
    if (fault !== null) throw new Error(`the copy there is not whole: ${fault}`);
  });
}
