import type { Mold } from '../core/molds/mold';
import type { Aside } from '../core/pieces/aside';
import type { KeptReadings } from '../core/run/keptReadings';
import type { LogEntry } from '../core/run/logEntry';
import type { Lot } from '../core/stock/lot';
import type { StockEntry } from '../core/stock/stock';
import { goodsInShort } from '../words/en/goods/goodsWords';
import { VERDICT_NAMES } from '../words/en/run/verdictNames';
import { ENTRY_NAMES } from '../words/en/stock/entryNames';
import { type CsvStyle, writeCsv } from './csv';
import { MOLD_FIELDS, typedMold } from './records/moldText';

/** Tables for people and spreadsheets, which are not read back. */

const figure = (value: number, decimals: number, { decimal }: CsvStyle): string =>
  String(Number(value.toFixed(decimals))).replace('.', decimal);

const LOGBOOK_HEADER = [
  ...['Run', 'Batch', 'Plan', 'Version', 'Started', 'Finished', 'Pieces', 'Good pieces', 'Verdict'],
  ...['Into the scrap jar, g', 'Note'],
];

/** The headings of the Logbook, with the byte order mark that tells spreadsheets it is UTF-8. */
export const logbookHead = (style: CsvStyle): string => `\uFEFF${headOf(LOGBOOK_HEADER, style)}`;

/** A line of the Logbook a run. */
export function logbookLines(entries: readonly LogEntry[], style: CsvStyle): string {
  return withoutHead(
    LOGBOOK_HEADER,
    entries.map((entry) => [
      entry.runId,
      entry.code ?? '',
      entry.planName,
      String(entry.planVersion),
      entry.startedAt,
      entry.finishedAt,
      String(entry.pieces),
      String(entry.goodPieces),
      VERDICT_NAMES[entry.verdict],
      figure(entry.toScrapG, 2, style),
      entry.note,
    ]),
    style,
  );
}

const WEIGHTS_HEADER = [
  ...['Run', 'Plan', 'Finished', 'Round', 'Jug', 'Pour', 'What', 'Dose'],
  ...['Planned, g', 'Wanted, g', 'Weighed, g', 'Ticked at first, g', 'Why'],
];

export const weightsHead = (style: CsvStyle): string => `\uFEFF${headOf(WEIGHTS_HEADER, style)}`;

/** A line a weighing. */
export function weightsLines(entries: readonly LogEntry[], style: CsvStyle): string {
  return withoutHead(
    WEIGHTS_HEADER,
    entries.flatMap((entry) =>
      entry.weights.map((weight) => [
        entry.runId,
        entry.planName,
        entry.finishedAt,
        String(weight.round),
        `${weight.load} of ${weight.loads}`,
        weight.pourLetter,
        weight.name,
        weight.dose?.text ?? '',
        figure(weight.plannedG, 4, style),
        figure(weight.targetG, 4, style),
        weight.isLeftOut ? 'left out' : figure(weight.actualG, 4, style),
        weight.tickedG === null ? '' : figure(weight.tickedG, 4, style),
        weight.note,
      ]),
    ),
    style,
  );
}

/** A line a reading, in order of time. */
export function readingsCsv(readings: readonly KeptReadings[], style: CsvStyle): string {
  const rows = readings.flatMap(({ instrument, quantity, taskId, points }) =>
    points.map(({ atMs, value }) => [
      new Date(atMs).toISOString(),
      instrument,
      figure(value, 3, style),
      quantity === 'mass' ? 'g' : '°C',
      taskId ?? '',
    ]),
  );
  return `\uFEFF${writeCsv(['When', 'Instrument', 'Reading', 'Unit', 'Task'], rows, style)}`;
}

/** Every entry of the stock, with its lot and what that is of. */
export function stockCsv(
  entries: readonly StockEntry[],
  lots: readonly Lot[],
  /** Materials and products. */
  items: readonly { id: string; name: string }[],
  style: CsvStyle,
): string {
  const lotOf = new Map(lots.map((lot) => [lot.id, lot]));
  const nameOf = new Map(items.map(({ id, name }) => [id, name]));
  const rows = entries.map(({ at, lotId, kind, change, owner, standsAt, paid, note }) => {
    const lot = lotOf.get(lotId);
    return [
      at,
      (lot && nameOf.get(lot.item.id)) ?? '',
      lot?.number ?? lotId,
      ENTRY_NAMES[kind],
      figure(change, 4, style),
      owner?.kind === 'run' ? owner.id : '',
      standsAt ?? '',
      paid === undefined ? '' : figure(Number(paid), 4, style),
      note,
    ];
  });
  const header = [
    'When',
    'Of what',
    'Lot',
    'What',
    'Change, g, pieces or packs',
    'Run',
    'Stands at',
    'Paid',
    'Note',
  ];
  return `\uFEFF${writeCsv(header, rows, style)}`;
}

/** A batch that holds something of a lot, as a recall list has it. */
export interface RecallRow {
  code: string | null;
  planName: string;
  startedAt: string;
  goodPieces: number | null;
  amount: number;
  through: readonly string[];
  complaints: number;
  asides: readonly Pick<Aside, 'massG' | 'pieces' | 'to'>[];
  packs: readonly { product: string; entries: readonly StockEntry[] }[];
}

/** Every batch that holds something of a lot. */
export function recallCsv(rows: readonly RecallRow[], style: CsvStyle): string {
  const header = [
    'Batch',
    'Plan',
    'Made',
    'Good pieces',
    'Of the lot, g or pieces',
    'Through',
    'Complaints',
    'Set aside, g',
    'Packed',
  ];
  const lines = rows.map(
    ({ code, planName, startedAt, goodPieces, amount, through, complaints, asides, packs }) => [
      code ?? '',
      planName,
      startedAt,
      goodPieces === null ? '' : String(goodPieces),
      figure(amount, 4, style),
      through.join(' > '),
      String(complaints),
      asides.map(({ massG, pieces, to }) => asideCell(massG, pieces, to, style)).join(' > '),
      packs.map(({ product, entries }) => `${product}: ${goodsInShort(entries)}`).join(' > '),
    ],
  );
  return `\uFEFF${writeCsv(header, lines, style)}`;
}

/** “30 White ends”, “120 (4 pieces) kept”, “95 (1 piece) sample: shelf 2”. */
function asideCell(massG: number, pieces: number | null, to: Aside['to'], style: CsvStyle): string {
  const counted = pieces === null ? '' : ` (${pieces})`;
  const where = to.is === 'jar' ? to.name : to.is === 'sample' ? `sample: ${to.place}` : 'kept';
  return `${figure(massG, 4, style)}${counted} ${where}`;
}

export function moldsCsv(molds: readonly Mold[], style: CsvStyle): string {
  const header = MOLD_FIELDS.map(({ label, unit }) => (unit ? `${label}, ${unit}` : label));
  const rows = molds.map((mold) => {
    const texts = typedMold(mold);
    return [mold.id, ...MOLD_FIELDS.map(({ key }) => texts[key] ?? '')];
  });
  return `\uFEFF${writeCsv(['Id', ...header], rows, style)}`;
}

function withoutHead(header: string[], rows: string[][], style: CsvStyle): string {
  return rows.length === 0 ? '' : writeCsv(header, rows, style).slice(headOf(header, style).length);
}

/** The line of headings, which have no line ends of their own. */
function headOf(header: string[], style: CsvStyle): string {
  const text = writeCsv(header, [], style);
  return text.slice(0, text.indexOf('\r\n') + 2);
}
