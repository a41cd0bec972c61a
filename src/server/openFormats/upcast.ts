import { ok, type Result } from '../../core/result';
import type { BrokenRecord } from '../../db/readRecord';
import { JSON_COLUMNS, type OpenTable } from '../../formats/openFormats';
import type { Workshop } from '../openWorkshop';

/** A row as the database gives it. */
export type Row = Record<string, string | number | null>;

/** Reads one column of a row that may be of an older shape, and says which shape it is brought to. */
interface Upcast {
  column: 'record' | 'snapshot' | 'event';
  shape(open: Workshop): number;
  read(open: Workshop, row: Row): Result<unknown, BrokenRecord>;
}

const kept = (row: Row) => ({ record: String(row.record), shape: Number(row.shape) });

const ofRecords = (
  table: 'materials' | 'molds' | 'jugs' | 'scales' | 'products' | 'purchases' | 'lots',
): Upcast => ({
  column: 'record',
  shape: (open) => open[table].shape,
  read: (open, row) => open[table].readVersion(String(row.id), kept(row)),
});

const UPCASTS: Partial<Record<OpenTable, Upcast>> = {
  materials: ofRecords('materials'),
  molds: ofRecords('molds'),
  jugs: ofRecords('jugs'),
  scales: ofRecords('scales'),
  products: ofRecords('products'),
  purchases: ofRecords('purchases'),
  lots: ofRecords('lots'),
  house_rules: {
    column: 'record',
    shape: ({ houseRules }) => houseRules.shape,
    read: ({ houseRules }, row) => houseRules.readVersion(kept(row)),
  },
  plan_versions: {
    column: 'record',
    shape: ({ plans }) => plans.shape,
    read: ({ plans }, row) => plans.readText(String(row.plan_id), kept(row)),
  },
  runs: {
    column: 'snapshot',
    shape: ({ runs }) => runs.shapes().snapshot,
    read: ({ runs }, row) => runs.readSnapshot(String(row.id), String(row.snapshot), Number(row.shape)),
  },
  run_events: {
    column: 'event',
    shape: ({ runs }) => runs.shapes().event,
    read: ({ runs }, row) => runs.readEvent(String(row.run_id), String(row.event), Number(row.shape)),
  },
};

/** A row with its JSON as JSON, in today's shape; or why it can't be read. */
export function openRow(open: Workshop, table: OpenTable, row: Row): Result<Record<string, unknown>, string> {
  const upcast = UPCASTS[table];
  const json: Record<string, unknown> = {};
  if (upcast) {
    const read = upcast.read(open, row);
    if (!read.success) return { success: false, error: read.error.reason };
    json[upcast.column] = read.data;
    json.shape = upcast.shape(open);
  }
  for (const [column, value] of Object.entries(row))
    if (JSON_COLUMNS.has(column) && !(column in json)) json[column] = JSON.parse(String(value));
  return ok({ ...row, ...json });
}
