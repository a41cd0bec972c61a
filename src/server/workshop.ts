import { accessSync, constants } from 'node:fs';
import { join, resolve } from 'node:path';
import type Database from 'better-sqlite3';
import type { HouseRules, Jug, Scale } from '../core/houseRules/houseRules';
import { jugSchema } from '../core/houseRules/jugSchema';
import { scaleSchema } from '../core/houseRules/scaleSchema';
import type { Material } from '../core/materials/material';
import { materialSchema } from '../core/materials/materialSchema';
import { barsPerCavity } from '../core/molds/bars';
import type { Mold } from '../core/molds/mold';
import { moldSchema } from '../core/molds/moldSchema';
import { openDatabase } from '../db/connection';
import { houseRulesTable } from '../db/houseRules';
import { lotTable } from '../db/lots';
import { NewerDatabaseError } from '../db/migrate';
import { planTable } from '../db/plans';
import { recordReader } from '../db/readRecord';
import { type RecordTable, recordTable } from '../db/records';
import { runTable } from '../db/runs';
import { completeMaterial } from '../db/upcasters/material';
import { completeMold } from '../db/upcasters/mold';
import { makeFolder } from './makeFolder';
import { Problem } from './problem';
import { rulesReader } from './rulesReader';

/** Everything a use case works on: the tables, and the time as ISO 8601. */
export interface Workshop {
  db: Database.Database;
  materials: RecordTable<Material>;
  molds: RecordTable<Mold>;
  plans: ReturnType<typeof planTable>;
  runs: ReturnType<typeof runTable>;
  lots: ReturnType<typeof lotTable>;
  jugs: RecordTable<Jug>;
  scales: RecordTable<Scale>;
  /** The choices, as they are saved. */
  houseRules: ReturnType<typeof houseRulesTable>;
  /** The choices with jugs and scales, as everything is worked out by. */
  rules(): HouseRules;
  now(): string;
  newId(): string;
}

export const DATABASE_FILE = 'workshop.sqlite';

/** Opens the workshop in a data folder, made when it is not there; `:memory:` keeps nothing. */
export function openWorkshop(dataFolder: string, now = () => new Date().toISOString()): Workshop {
  const inMemory = dataFolder === ':memory:';
  if (!inMemory) makeFolder(dataFolder);
  const db = openDatabase(inMemory ? dataFolder : join(dataFolder, DATABASE_FILE));
  const houseRules = houseRulesTable(db);
  const jugs = recordTable<Jug>(db, 'jugs', recordReader(jugSchema));
  const scales = recordTable<Scale>(db, 'scales', recordReader(scaleSchema));
  const rules = rulesReader(houseRules, jugs, scales);
  const molds = recordTable<Mold>(db, 'molds', recordReader(moldSchema, [completeMold]));
  return {
    db,
    materials: recordTable<Material>(db, 'materials', recordReader(materialSchema, [completeMaterial])),
    molds,
    plans: planTable(db, (id) => barsOfMold(molds, id)),
    runs: runTable(db, rules),
    lots: lotTable(db),
    jugs,
    scales,
    houseRules,
    rules,
    now,
    newId: () => crypto.randomUUID(),
  };
}

/** A mold that is gone or can't be read is taken as one that is not sliced; its plans say so themselves. */
function barsOfMold(molds: Workshop['molds'], id: string): number {
  try {
    const mold = molds.find(id)?.item;
    return mold ? barsPerCavity(mold) : 1;
  } catch {
    return 1;
  }
}

let opened: Workshop | undefined;

/**
 * The workshop this process serves, opened at its first use and closed when the process ends.
 *
 * @throws Problem 503 in one sentence when the folder or the file can't be used
 */
export function workshop(): Workshop {
  if (opened) return opened;
  const folder = resolve(process.env.TALLOW_DATA ?? 'data/workshop');
  try {
    opened = openWorkshop(folder);
    accessSync(folder, constants.W_OK);
  } catch (error) {
    if (error instanceof NewerDatabaseError) throw new Problem(503, 'newer-database', error.message);
    const why = error instanceof Error ? error.message : String(error);
    throw new Problem(
      503,
      'data-folder',
      `The data folder can't be used: ${why}. Choose another with --data.`,
    );
  }
  const { db } = opened;
  process.once('exit', () => db.close());
  return opened;
}
