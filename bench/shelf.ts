import Qty from 'js-quantities';
import { parseQuantity } from '../src/core/units/parseQuantity';
import { readCsv } from '../src/formats/csv';
import { importOf, judgeRows, usualMapping } from '../src/formats/shelfCsv';
import { importShelf } from '../src/server/importShelf';
import { openWorkshop } from '../src/server/workshop';
import { temporaryFolder } from '../tests/support/server';

const QUANTITIES = 100_000;
const ROWS = 10_000;

function timed<Value>(work: () => Value): [ms: number, value: Value] {
  const began = performance.now();
  const value = work();
  return [performance.now() - began, value];
}

const plain = ['2 g', '0.27 oz', '20 mL', '1.5 tsp', '3 lb'];
const said = [
  ...plain,
  '½ tsp/lb',
  '1 1/2 tbsp',
  '2,5 %',
  '8 g/100 g',
  '6 drops/piece',
  '= fragrance',
  '2x honey',
];
const spread = (texts: string[]) =>
  Array.from({ length: QUANTITIES }, (_, n) => texts[n % texts.length] ?? '');
const parseAll = (texts: string[]) => texts.filter((text) => parseQuantity(text).success).length;
parseAll(spread(said).slice(0, 20_000));
const [all, read] = timed(() => parseAll(spread(said)));
const [ours] = timed(() => parseAll(spread(plain)));
// The library has no drops, rates or relations, and other names for two of the units.
const names: Record<string, string> = { mL: 'ml', lb: 'lbs' };
const theirTexts = spread(plain).map((text) => text.replace(/mL|lb/, (unit) => names[unit] ?? unit));
const [theirs] = timed(() => theirTexts.filter((text) => Qty.parse(text) !== null).length);
console.log(
  `parse ${QUANTITIES} quantities, ${read} of them read: ${all.toFixed(0)} ms; plain amounts ${ours.toFixed(0)} ms, js-quantities ${theirs.toFixed(0)} ms, ratio ${(ours / theirs).toFixed(2)}`,
);

const rows = Array.from({ length: ROWS }, (_, n) => `additive,Bulk ${n},active,released,1.0${n % 10},2.5`);
const text = ['kind,name,what it does,on skin,density,supplier’s limit', ...rows].join('\n');
const [reading, table] = timed(() => readCsv(text));
if (!table.success) throw new Error(table.error.reason);
let ids = 0;
const [judging, judged] = timed(() =>
  judgeRows(
    'materials',
    table.data,
    usualMapping('materials', table.data.header),
    { materials: [], lots: [] },
    () => `id-${ids++}`,
  ),
);
const folder = temporaryFolder();
const workshop = openWorkshop(folder.path);
const [taking, { added }] = timed(() => importShelf(workshop, importOf('materials', judged)));
const bare = workshop.db.prepare(
  "INSERT INTO molds (id, record, revision, changed_at) VALUES (?, '{}', 1, 'now')",
);
const [inserting] = timed(() =>
  workshop.db.transaction(() => {
    for (let n = 0; n < ROWS; n++) bare.run(`bare-${n}`);
  })(),
);
console.log(
  `import ${added} rows: read ${reading.toFixed(0)} ms, judge ${judging.toFixed(0)} ms, take ${taking.toFixed(0)} ms; bare inserts ${inserting.toFixed(0)} ms, ratio ${(taking / inserting).toFixed(1)}`,
);
workshop.db.close();
folder.remove();
