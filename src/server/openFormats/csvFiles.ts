import { logEntry } from '../../core/run/logEntry';
import type { CsvStyle } from '../../formats/csv';
import {
  logbookHead,
  logbookLines,
  moldsCsv,
  stockCsv,
  weightsHead,
  weightsLines,
} from '../../formats/recordCsv';
import { lotsCsv, materialsCsv } from '../../formats/shelfCsv';
import type { Workshop } from '../openWorkshop';

const PLAIN: CsvStyle = { delimiter: ',', decimal: '.' };
/** So many runs are read at a time: another request waits that long. */
const RUNS_AT_ONCE = 5;

/** A table for people, whose text is made piece by piece. */
interface CsvFile {
  name: string;
  text(): Iterable<string>;
}

/** The workshop as tables for people. */
export function csvFiles(open: Workshop): CsvFile[] {
  const materials = () => open.materials.all();
  const lots = () => open.lots.ofShelf();
  const shelf = () => ({ materials: materials(), lots: lots() });
  return [
    { name: 'materials.csv', text: () => [`\uFEFF${materialsCsv(materials(), PLAIN)}`] },
    { name: 'lots.csv', text: () => [`\uFEFF${lotsCsv(shelf(), PLAIN)}`] },
    { name: 'stock.csv', text: () => [stockText(open, PLAIN)] },
    {
      name: 'molds.csv',
      text: () => [
        moldsCsv(
          open.molds.all().map(({ item }) => item),
          PLAIN,
        ),
      ],
    },
    { name: 'logbook.csv', text: () => logbookText(open, 'runs', PLAIN) },
    { name: 'weights.csv', text: () => logbookText(open, 'weights', PLAIN) },
  ];
}

export function stockText({ lots, materials, products }: Workshop, style: CsvStyle): string {
  return stockCsv(
    lots.everyEntry(),
    lots.all().map(({ item }) => item),
    [...materials.all(), ...products.all()].map(({ item }) => item),
    style,
  );
}

/** The Logbook, a few runs at a time, the last finished first: a line a run, or a line a weighing. */
export function* logbookText(
  { runs }: Workshop,
  of: 'runs' | 'weights',
  style: CsvStyle,
): Generator<string, void> {
  yield of === 'runs' ? logbookHead(style) : weightsHead(style);
  const lines = of === 'runs' ? logbookLines : weightsLines;
  for (let offset = 0; ; offset += RUNS_AT_ONCE) {
    const page = runs.finished({ offset, limit: RUNS_AT_ONCE });
    if (offset >= page.total) return;
    yield lines(page.items.map(logEntry), style);
  }
}
