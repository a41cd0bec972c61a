import { DOCUMENT_KINDS } from '../core/files/document';
import { FILE_KINDS } from '../core/files/fileKind';
import { fileHash } from '../core/files/photoSchema';
import { houseChoicesSchema } from '../core/houseRules/houseRulesSchema';
import { jugSchema } from '../core/houseRules/jugSchema';
import { scaleSchema } from '../core/houseRules/scaleSchema';
import { materialSchema } from '../core/materials/materialSchema';
import { moldSchema } from '../core/molds/moldSchema';
import { planSchema } from '../core/plan/planSchema';
import { productSchema } from '../core/product/productSchema';
import { purchaseSchema } from '../core/purchase/purchaseSchema';
import { keptPointsSchema } from '../core/run/keptReadingsSchema';
import { eventSourceSchema, runEventSchema } from '../core/run/run';
import { snapshotSchema } from '../core/run/snapshot';
import { lotSchema } from '../core/stock/lotSchema';
import { z } from '../core/zod';

/** The whole workshop in open formats: a zip of JSON Lines, a row of a table a line, and of CSV for people. */
export const OPEN_FORMAT = 'idle-tallow-open';
export const OPEN_VERSION = 1;

const text = z.string();
const id = z.string().min(1).max(64);
const moment = z.string().max(40);
const count = z.int().min(1);

/** A row of a record that is saved as a whole. */
const recordRow = <Item extends z.ZodType>(record: Item) =>
  z.strictObject({ id, record, shape: count, revision: count, changed_at: moment });

/** What the rows of each table are, by the table's name: its file is called after it. */
export const OPEN_ROWS = {
  materials: recordRow(materialSchema),
  molds: recordRow(moldSchema),
  jugs: recordRow(jugSchema),
  scales: recordRow(scaleSchema),
  products: recordRow(productSchema),
  purchases: recordRow(purchaseSchema),
  house_rules: z.strictObject({
    only: z.literal(1),
    record: houseChoicesSchema,
    shape: count,
    revision: count,
    changed_at: moment,
  }),
  stock_items: z.strictObject({ kind: text, id }),
  lots: z.strictObject({
    id,
    item_kind: text,
    item_id: id,
    record: lotSchema,
    shape: count,
    revision: count,
    changed_at: moment,
  }),
  stock_entries: z.strictObject({
    place: count,
    id,
    lot_id: id,
    at: moment,
    kind: text,
    change: z.number(),
    owner_kind: text.nullable(),
    owner_id: text.nullable(),
    task_id: text.nullable().default(null),
    stands_at: text.nullable().default(null),
    note: text,
  }),
  files: z.strictObject({ hash: fileHash, kind: z.enum(FILE_KINDS), bytes: count, added_at: moment }),
  material_documents: z.strictObject({
    id,
    material_id: id,
    hash: fileHash,
    kind: z.enum(DOCUMENT_KINDS),
    name: text,
    version: text,
    of_day: moment,
    added_at: moment,
    removed_at: moment.nullable(),
  }),
  plans: z.strictObject({ id, revision: count, latest_version: count, changed_at: moment }),
  plan_versions: z.strictObject({
    plan_id: id,
    version: count,
    record: planSchema,
    shape: count,
    changed_at: moment,
  }),
  runs: z.strictObject({
    id,
    plan_id: id,
    plan_version: count,
    started_at: moment,
    code: text.nullable().default(null),
    snapshot: snapshotSchema,
    shape: count,
    ended: z.enum(['finished', 'abandoned']).nullable(),
    ended_at: moment.nullable(),
    plan_name: text,
    note: text,
    words: text,
    on_rack: z.int().min(0).max(1).default(0),
  }),
  run_events: z.strictObject({
    run_id: id,
    place: count,
    event_id: text,
    at: moment,
    occurred_at: moment.nullable(),
    source: eventSourceSchema,
    event: runEventSchema,
    shape: count,
  }),
  /** What instruments showed: tenths of a second from `from_at`, and a figure in g or °C. */
  run_readings: z.strictObject({
    run_id: id,
    instrument: text,
    quantity: text,
    from_at: moment,
    task_id: text.nullable(),
    points: keptPointsSchema,
  }),
  /** Instruments beside what is known, g or °C. */
  instrument_checks: z.strictObject({
    id,
    instrument: text,
    quantity: text,
    at: moment,
    reference: z.number(),
    shown: z.number(),
  }),
  rack_air: z.strictObject({ id, at: moment, temp_c: z.number(), humidity: z.number().nullable() }),
  put_away: z.strictObject({ kind: text, id, state: z.enum(['archived', 'deleted']), at: moment }),
  /** What records were before, in the shape of their day. */
  record_versions: z.strictObject({
    kind: text,
    id,
    revision: count,
    record: z.unknown(),
    shape: count,
    changed_at: moment,
    until: moment,
  }),
} as const;

export type OpenTable = keyof typeof OPEN_ROWS;
export const OPEN_TABLES = Object.keys(OPEN_ROWS) as OpenTable[];

/** Columns that hold JSON as text in the database, and as JSON in the file. */
export const JSON_COLUMNS: ReadonlySet<string> = new Set(['record', 'snapshot', 'event', 'source', 'points']);

/** `stock-entries.jsonl` */
export const openFileName = (table: OpenTable): string => `${table.replaceAll('_', '-')}.jsonl`;

/** A row that can't be read: as it stands in the database, with the reason. */
export const unreadableSchema = z.strictObject({
  table: z.enum(OPEN_TABLES as [OpenTable, ...OpenTable[]]),
  reason: text,
  row: z.record(text, z.union([text, z.number(), z.null()])),
});
export const UNREADABLE_FILE = 'unreadable.jsonl';

/** The rows of all tables as JSON Schema 2020-12: a line of `lots.jsonl` is as `#/$defs/lots` says. */
export function openJsonSchema(): object {
  return {
    $schema: 'https://json-schema.org/draft/2020-12/schema',
    $id: `urn:idle-tallow:schema:workshop-${OPEN_VERSION}`,
    title: `Idle Tallow workshop in open formats, version ${OPEN_VERSION}`,
    $defs: Object.fromEntries(
      OPEN_TABLES.map((table) => {
        const { $schema: _, ...schema } = z.toJSONSchema(OPEN_ROWS[table], {
          io: 'input',
          unrepresentable: 'any',
        });
        return [table, schema];
      }),
    ),
  };
}

export const OPEN_README = `A whole workshop of Idle Tallow in open formats, version ${OPEN_VERSION}.

data/*.jsonl   All of it, a row of a table a line, each line JSON (https://jsonlines.org). Weights are in grams,
               volumes in mL, lengths in mm, temperatures in °C, moments in UTC as ISO 8601 says.
schema.json    What a line of each file is, as JSON Schema 2020-12.
data/unreadable.jsonl
               Rows that could not be read, as they stand, with the reason. Empty as a rule.
files/         Photographs and documents, each under the SHA-256 of its bytes; data/files.jsonl says which is what.
csv/*.csv      For people and spreadsheets: the shelf, its lots, what went in and out, the molds and the Logbook.
               UTF-8, commas, a decimal point. Nothing is read back from them here.

To make a workshop of it again: Copies, “Bring back a copy”, or npm run restore -- FILE.
Secrets of devices are in no copy.
`;
