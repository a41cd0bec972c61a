import { join } from 'node:path';
import type Database from 'better-sqlite3';
import type { HouseRules, Jug, Scale } from '../core/houseRules/houseRules';
import { jugSchema } from '../core/houseRules/jugSchema';
import { scaleSchema } from '../core/houseRules/scaleSchema';
import type { Material } from '../core/materials/material';
import { materialSchema } from '../core/materials/materialSchema';
import { barsPerCavity } from '../core/molds/bars';
import type { Mold } from '../core/molds/mold';
import { moldSchema } from '../core/molds/moldSchema';
import type { Product } from '../core/product/product';
import { productSchema } from '../core/product/productSchema';
import type { Purchase } from '../core/purchase/purchase';
import { purchaseSchema } from '../core/purchase/purchaseSchema';
import { openDatabase } from '../db/connection';
import { DATABASE_FILE } from '../db/dataFolder.mjs';
import { documentTable } from '../db/files/documentTable';
import { fileTable } from '../db/files/fileTable';
import { houseRulesTable } from '../db/houseRules';
import { instrumentCheckTable } from '../db/instrumentChecks';
import { lotTable } from '../db/lots';
import { makeFolder } from '../db/makeFolder';
import { planTable } from '../db/plans';
import { putAwayTable } from '../db/putAway';
import { rackAirTable } from '../db/rackAir';
import { recordReader } from '../db/readRecord';
import { type RecordTable, recordTable } from '../db/records';
import { recordVersionTable } from '../db/recordVersions';
import { runReadingTable } from '../db/runReadings';
import { runSearchTable } from '../db/runSearch';
import { runTable } from '../db/runs';
import { completeMaterial } from '../db/upcasters/material';
import { completeMold } from '../db/upcasters/mold';
import { checkWhole } from '../db/whole';
import { rulesReader } from './rulesReader';

/** Everything a use case works on: the tables, and the time as ISO 8601. */
export interface Workshop {
  db: Database.Database;
  /** Where its file and all that belongs to it lies; null where nothing is kept. */
  folder: string | null;
  materials: RecordTable<Material>;
  molds: RecordTable<Mold>;
  plans: ReturnType<typeof planTable>;
  runs: ReturnType<typeof runTable>;
  rackAir: ReturnType<typeof rackAirTable>;
  /** Photographs and documents. */
  files: ReturnType<typeof fileTable>;
  documents: ReturnType<typeof documentTable>;
  /** Finished runs by their words. */
  runSearch: ReturnType<typeof runSearchTable>;
  lots: ReturnType<typeof lotTable>;
  /** What instruments showed while runs were made. */
  readings: ReturnType<typeof runReadingTable>;
  instrumentChecks: ReturnType<typeof instrumentCheckTable>;
  jugs: RecordTable<Jug>;
  scales: RecordTable<Scale>;
  /** What is sold. */
  products: RecordTable<Product>;
  /** What is ordered of suppliers. */
  purchases: RecordTable<Purchase>;
  /** The choices, as they are saved. */
  houseRules: ReturnType<typeof houseRulesTable>;
  putAway: ReturnType<typeof putAwayTable>;
  /** What records were before. */
  versions: ReturnType<typeof recordVersionTable>;
  /** The choices with jugs and scales, as everything is worked out by. */
  rules(): HouseRules;
  now(): string;
  newId(): string;
}

/**
 * Opens the workshop in a data folder, made when it is not there; `:memory:` keeps nothing.
 *
 * @throws DamagedDatabaseError where the file is gone, empty or not whole
 * @throws NewerDatabaseError
 */
export function openWorkshop(dataFolder: string, now = () => new Date().toISOString()): Workshop {
  const inMemory = dataFolder === ':memory:';
  const path = inMemory ? dataFolder : join(dataFolder, DATABASE_FILE);
  if (!inMemory) {
    makeFolder(dataFolder);
    checkWhole(path);
  }
  return tablesOf(openDatabase(path), inMemory ? null : dataFolder, now);
}

/**
 * The tables of a database that is open.
 *
 * @param folder where all that belongs to it lies; null where nothing is kept
 */
export function tablesOf(
  db: Database.Database,
  folder: string | null,
  now = () => new Date().toISOString(),
): Workshop {
  const houseRules = houseRulesTable(db);
  const jugs = recordTable<Jug>(db, 'jugs', recordReader(jugSchema));
  const scales = recordTable<Scale>(db, 'scales', recordReader(scaleSchema));
  const rules = rulesReader(db, houseRules, jugs, scales);
  const molds = recordTable<Mold>(db, 'molds', recordReader(moldSchema, [completeMold]));
  return {
    db,
    folder,
    materials: recordTable<Material>(db, 'materials', recordReader(materialSchema, [completeMaterial])),
    molds,
    plans: planTable(db, (id) => barsOfMold(molds, id)),
    runs: runTable(db, rules),
    rackAir: rackAirTable(db),
    files: fileTable(db),
    documents: documentTable(db),
    runSearch: runSearchTable(db),
    lots: lotTable(db),
    readings: runReadingTable(db),
    instrumentChecks: instrumentCheckTable(db),
    jugs,
    scales,
    products: recordTable<Product>(db, 'products', recordReader(productSchema)),
    purchases: recordTable<Purchase>(db, 'purchases', recordReader(purchaseSchema)),
    houseRules,
    putAway: putAwayTable(db),
    versions: recordVersionTable(db),
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
