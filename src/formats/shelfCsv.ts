import { MATERIAL_KINDS, type Material } from '../core/materials/material';
import type { Lot } from '../core/stock/lot';
import { KIND_NAMES } from '../words/en/materials/kindNames';
import { type CsvStyle, type CsvTable, writeCsv } from './csv';
import { choiceField } from './records/fieldText';
import { LOT_FIELDS, readLot, writeLot } from './records/lotText';
import { MATERIAL_FIELDS, type MaterialField } from './records/materialFields';
import { readMaterial, writeMaterial } from './records/materialText';
import { shelfNames } from './records/shelfNames';

/** What a file may hold. */
export const CSV_CONTENTS = ['materials', 'lots'] as const;
export type CsvContent = (typeof CSV_CONTENTS)[number];

/** A column that is known: the key of its field, and its heading in files that are written here. */
export interface CsvColumn {
  key: string;
  heading: string;
}

const heading = ({ label, unit }: Pick<MaterialField, 'label' | 'unit'>) =>
  unit ? `${label}, ${unit}` : label;

export const CSV_COLUMNS: Record<CsvContent, readonly CsvColumn[]> = {
  materials: [
    { key: 'id', heading: 'Id' },
    { key: 'kind', heading: 'Kind' },
    ...MATERIAL_FIELDS.map((field) => ({ key: field.key, heading: heading(field) })),
  ],
  lots: [
    { key: 'id', heading: 'Id' },
    { key: 'material', heading: 'Material' },
    ...LOT_FIELDS.map((field) => ({ key: field.key, heading: heading(field) })),
  ],
};

/** For each column of a file the key it is read as, or null when it is not read. */
export type CsvMapping = (string | null)[];

/** Columns by their heading, their label or their key, in any case. */
export function usualMapping(of: CsvContent, header: readonly string[]): CsvMapping {
  return header.map((name) => {
    const wanted = name.trim().toLowerCase();
    const column = CSV_COLUMNS[of].find(({ key, heading: full }) =>
      [key.toLowerCase(), full.toLowerCase(), full.split(',')[0]?.toLowerCase()].includes(wanted),
    );
    return column?.key ?? null;
  });
}

/** The shelf as it is, to judge a file by. */
export interface ShelfNow {
  materials: readonly { item: Material; revision: number }[];
  lots: readonly { item: Lot; revision: number }[];
}

export type CsvVerdict = 'new' | 'changed' | 'same' | 'bad';

/** What a row of a file comes to. */
export interface CsvRow {
  /** Counted as a spreadsheet counts: the headings are row 1. */
  row: number;
  name: string;
  verdict: CsvVerdict;
  faults: { column: string; reason: string }[];
  /** null when it can't be read. */
  item: Material | Lot | null;
  /** Revision of the record it changes. */
  revision: number | null;
}

type Cells = Record<string, string>;

/**
 * Judges every row of a file. A row is the record that has its id, or else the one of its kind and name; all others
 * are new. Blends may name fragrances of the same file.
 *
 * @param onRow told after each row, for progress
 */
export function judgeRows(
  of: CsvContent,
  table: CsvTable,
  mapping: CsvMapping,
  shelf: ShelfNow,
  newId: () => string,
  onRow: (done: number) => void = () => {},
): CsvRow[] {
  const rows = table.rows.map((row) => cellsOf(row, mapping));
  const headings = new Map(mapping.flatMap((key, index) => (key ? [[key, table.header[index] ?? key]] : [])));
  const judge = of === 'materials' ? materialJudge(rows, shelf, newId) : lotJudge(shelf, newId);
  const seen = new Map<string, number>();
  return rows.map((cells, index) => {
    const judged = judge(cells, index, table.decimal);
    onRow(index + 1);
    const row = index + 2;
    const faults = judged.faults.map(({ key, reason }) => ({ column: headings.get(key) ?? key, reason }));
    const before = judged.item ? seen.get(judged.item.id) : undefined;
    if (before !== undefined)
      faults.push({ column: headings.get('id') ?? 'Name', reason: `The same record as in row ${before}.` });
    else if (judged.item) seen.set(judged.item.id, row);
    return faults.length > 0
      ? { ...judged, row, faults, verdict: 'bad', item: null }
      : { ...judged, row, faults };
  });
}

interface Judged extends Omit<CsvRow, 'row' | 'faults'> {
  faults: { key: string; reason: string }[];
}

function cellsOf(row: string[], mapping: CsvMapping): Cells {
  const cells: Cells = {};
  mapping.forEach((key, index) => {
    if (key) cells[key] = row[index] ?? '';
  });
  return cells;
}

const kindField = choiceField(KIND_NAMES);
const plain = (text: string | undefined) => (text ?? '').trim();
const sameRecord = (one: unknown, other: unknown) => JSON.stringify(one) === JSON.stringify(other);

function materialJudge(rows: Cells[], { materials }: ShelfNow, newId: () => string) {
  const byId = new Map(materials.map((stored) => [stored.item.id, stored]));
  const byName = new Map(materials.map((stored) => [nameKey(stored.item.kind, stored.item.name), stored]));
  const idsOfFile = new Map<string, string>();
  const ids = rows.map((cells) => {
    const key = nameKey(plain(cells.kind), plain(cells.name));
    const id = plain(cells.id) || (byName.get(key)?.item.id ?? idsOfFile.get(key) ?? newId());
    idsOfFile.set(key, id);
    return id;
  });
  const names = new Map<string, string>();
  rows.forEach((cells, index) => {
    names.set(plain(cells.name).toLowerCase(), ids[index] ?? '');
  });
  const context = shelfNames(
    materials.map(({ item }) => item),
    names,
  );

  return (cells: Cells, index: number, decimal: CsvStyle['decimal']): Judged => {
    const name = plain(cells.name) || '(no name)';
    const kind = kindField.read(plain(cells.kind), context);
    if (!kind.success) {
      const reason = plain(cells.kind) ? kind.error : `Say what it is: ${MATERIAL_KINDS.join(', ')}.`;
      return { name, verdict: 'bad', faults: [{ key: 'kind', reason }], item: null, revision: null };
    }
    const id = ids[index] ?? newId();
    const was = byId.get(id);
    // What the file does not tell stays as it is.
    const before = was && was.item.kind === kind.data ? writeMaterial(was.item, { ...context, decimal }) : {};
    const read = readMaterial(kind.data, { ...before, ...cells }, { ...context, decimal });
    if (!read.success) return { name, verdict: 'bad', faults: read.error, item: null, revision: null };
    const item = { ...read.data, id } as Material;
    if (was && was.item.kind !== item.kind) {
      const faults = [{ key: 'kind', reason: `It is a ${was.item.kind} on the shelf, and stays one.` }];
      return { name, verdict: 'bad', faults, item: null, revision: null };
    }
    const verdict =
      was === undefined ? 'new' : sameRecord(sorted(was.item), sorted(item)) ? 'same' : 'changed';
    return { name, verdict, faults: [], item, revision: was?.revision ?? null };
  };
}

function lotJudge({ materials, lots }: ShelfNow, newId: () => string) {
  const byId = new Map(lots.map((stored) => [stored.item.id, stored]));
  const byNumber = new Map(lots.map((stored) => [`${stored.item.item.id} ${stored.item.number}`, stored]));
  const context = shelfNames(materials.map(({ item }) => item));

  return (cells: Cells, index: number, decimal: CsvStyle['decimal']): Judged => {
    const material = plain(cells.material);
    const name = `${material || '(no material)'}, ${plain(cells.number) || `row ${index + 2}`}`;
    const materialId = context.idOf(material);
    if (materialId === undefined) {
      const faults = [
        {
          key: 'material',
          reason: `“${material.slice(0, 40)}” is not on the shelf. Bring in its material first.`,
        },
      ];
      return { name, verdict: 'bad', faults, item: null, revision: null };
    }
    const was = byId.get(plain(cells.id)) ?? byNumber.get(`${materialId} ${plain(cells.number)}`);
    const before = was ? writeLot(was.item, { ...context, decimal }) : {};
    const read = readLot(materialId, { ...before, ...cells }, { ...context, decimal });
    if (!read.success) return { name, verdict: 'bad', faults: read.error, item: null, revision: null };
    const item = { ...read.data, id: was?.item.id ?? (plain(cells.id) || newId()) };
    const verdict =
      was === undefined ? 'new' : sameRecord(sorted(was.item), sorted(item)) ? 'same' : 'changed';
    return { name, verdict, faults: [], item, revision: was?.revision ?? null };
  };
}

function nameKey(kind: string, name: string): string {
  return `${kind.toLowerCase()} ${name.toLowerCase()}`;
}

/** The same keys in the same order, so that two records can be told apart by their text. */
function sorted(record: object): object {
  return Object.fromEntries(Object.entries(record).sort(([a], [b]) => a.localeCompare(b)));
}

/** Every row that is new or changed, as the import takes it. */
export function importOf(of: CsvContent, rows: readonly CsvRow[]) {
  const wanted = rows.filter(({ verdict }) => verdict === 'new' || verdict === 'changed');
  const materials = of === 'materials' ? wanted : [];
  const lots = of === 'lots' ? wanted : [];
  return {
    materials: materials.map(({ item, revision }) => ({ item: item as Material, revision })),
    lots: lots.map(({ item, revision }) => ({ item: item as Lot, revision })),
  };
}

/** The materials as a file that is read back unchanged. */
export function materialsCsv(materials: ShelfNow['materials'], style: CsvStyle): string {
  const context = { ...shelfNames(materials.map(({ item }) => item)), decimal: style.decimal };
  const rows = materials.map(({ item }) => ({
    id: item.id,
    kind: item.kind,
    ...writeMaterial(item, context),
  }));
  return csvOf('materials', rows, style);
}

/** The lots as a file that is read back unchanged. */
export function lotsCsv({ materials, lots }: ShelfNow, style: CsvStyle): string {
  const context = { ...shelfNames(materials.map(({ item }) => item)), decimal: style.decimal };
  const rows = lots.map(({ item }) => ({
    id: item.id,
    material: context.nameOf(item.item.id),
    ...writeLot(item, context),
  }));
  return csvOf('lots', rows, style);
}

function csvOf(of: CsvContent, rows: Cells[], style: CsvStyle): string {
  const columns = CSV_COLUMNS[of];
  return writeCsv(
    columns.map((column) => column.heading),
    rows.map((row) => columns.map(({ key }) => row[key] ?? '')),
    style,
  );
}
