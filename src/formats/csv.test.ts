import assert from 'node:assert/strict';
import test from 'node:test';
import fc from 'fast-check';
import { additive, base, blend, colorant, dispersant, fragrance } from '../../tests/support/planFiles';
import type { Material } from '../core/materials/material';
import type { Lot } from '../core/stock/lot';
import { type CsvStyle, csvText, readCsv, writeCsv } from './csv';
import { type CsvContent, judgeRows, lotsCsv, materialsCsv, type ShelfNow, usualMapping } from './shelfCsv';

const POINT: CsvStyle = { delimiter: ',', decimal: '.' };
const COMMA: CsvStyle = { delimiter: ';', decimal: ',' };
const EMPTY: ShelfNow = { materials: [], lots: [] };
let ids = 0;
const newId = () => `new-${++ids}`;

function judge(of: CsvContent, text: string, shelf: ShelfNow = EMPTY) {
  const table = readCsv(text);
  assert.ok(table.success, table.success ? '' : table.error.reason);
  return judgeRows(of, table.data, usualMapping(of, table.data.header), shelf, newId);
}
const stored = <Item>(items: Item[]) => items.map((item) => ({ item, revision: 1 }));

test('any text survives the way out and back, also what a spreadsheet would run', () => {
  const cell = fc.oneof(
    fc.string({ unit: 'binary' }).map((text) => text.replaceAll('\r', '')),
    fc.constantFrom(
      '=1+1',
      "'=1+1",
      '+cmd',
      '-2',
      '@sum',
      '\tx',
      'a"b',
      'two\nlines',
      ' spaced ',
      "'",
      "''=x",
    ),
  );
  fc.assert(
    fc.property(
      fc.array(fc.array(cell, { minLength: 2, maxLength: 4 }), { minLength: 1, maxLength: 6 }),
      fc.constantFrom(POINT, COMMA),
      (rows, style) => {
        const width = Math.max(...rows.map((row) => row.length));
        const even = rows.map((row) => ['x', ...row, ...Array(width - row.length).fill('')]);
        const header = ['mark', ...Array.from({ length: width }, (_, index) => `c${index}`)];
        const written = writeCsv(header, even, style);
        assert.ok(!/(^|[,;\n])"?[=+@]/.test(written), written);
        const back = readCsv(written);
        assert.ok(back.success);
        assert.deepEqual(back.data.rows, even);
      },
    ),
    { numRuns: 300 },
  );
});

const every: Material[] = [
  base({
    inci: ['Glycerin', '1,2-Hexanediol', 'Aqua, purified'],
    origins: ['milk'],
    meltsC: 56.5,
    hardensH: 36,
  }),
  fragrance({
    id: 'f1',
    name: 'Lime, bright',
    allergens: [{ name: 'Citral', ofMaterial: 0.055 }],
    vanillinOfMaterial: null,
    readings: [{ of: 'drops', on: '2026-02-01', count: 20, massG: 0.94 }],
  }),
  fragrance({ id: 'f2', name: '=HYPERLINK("x")', allergens: null, origins: null, skin: 'candle-only' }),
  blend(
    [
      [fragrance({ id: 'f1' }), 2],
      [fragrance({ id: 'f2' }), 0.5],
    ],
    { name: 'Mixed' },
  ),
  colorant({ form: 'dye', bleeds: true, densityGPerMl: 1.05, usualMostOfBase: 0.0035 }),
  additive({ role: 'grit', grainMm: 0.25, note: 'two\nlines; and "quotes"' }),
  dispersant({ leaves: true, lowStock: 125.5, archived: true }),
  { id: 'w', kind: 'packaging', name: 'Wrap', note: '', lowStock: 40, archived: false },
];

test('materials come back unchanged, in both styles, onto an empty shelf and onto the same', () => {
  for (const style of [POINT, COMMA]) {
    const written = materialsCsv(stored(every), style);
    const fresh = judge('materials', written);
    assert.deepEqual(
      fresh.map(({ item }) => item),
      every,
      style.delimiter,
    );
    const again = judge('materials', written, { materials: stored(every), lots: [] });
    assert.deepEqual(new Set(again.map(({ verdict }) => verdict)), new Set(['same']));
  }
});

const lots: Lot[] = [
  {
    id: 'l1',
    item: { kind: 'material', id: 'f1' },
    number: 'LP-5',
    boughtOn: '2026-02-01',
    price: '7.1',
    discountFraction: 0.125,
    amount: 1234.5,
    bestBefore: '2027-02-01',
    openedOn: null,
    note: '-20 °C',
  },
];

test('lots come back unchanged, and need their material', () => {
  const shelf = { materials: stored(every), lots: stored(lots) };
  for (const style of [POINT, COMMA]) {
    const written = lotsCsv(shelf, style);
    const fresh = judge('lots', written, { materials: shelf.materials, lots: [] });
    assert.deepEqual(
      fresh.map(({ item, verdict }) => [item, verdict]),
      [[lots[0], 'new']],
    );
    assert.deepEqual(
      judge('lots', written, shelf).map(({ verdict }) => verdict),
      ['same'],
    );
    assert.match(judge('lots', written)[0]?.faults[0]?.reason ?? '', /not on the shelf/);
    const more = { postage: '1.5', openedMonths: 12, heldFor: 'its certificate' };
    const sent = { ...shelf, lots: stored(lots.map((lot) => ({ ...lot, ...more }))) };
    const [back] = judge('lots', lotsCsv(sent, style), { materials: shelf.materials, lots: [] });
    const { postage, openedMonths, heldFor } = (back?.item ?? {}) as Partial<typeof more>;
    assert.deepEqual({ postage, openedMonths, heldFor }, more);
  }
});

test('each bad cell is named with its row and its mend; good rows stand beside it', () => {
  const rows = judge(
    'materials',
    [
      'Kind;Name;Density;Supplier’s limit;Form;Leftover',
      'fragrance;Rose;0,99;2,5;;x',
      'fragrance;;1;2;;',
      'fragrance;Rose;1;2;;',
      'spoon;Ladle;;;;',
      'colorant;Blue;half;140;ink;',
      'Base;Plain;;;;',
    ].join('\n'),
  );
  assert.deepEqual(
    rows.map(({ row, verdict, faults }) => [row, verdict, faults.map(({ column }) => column)]),
    [
      [2, 'new', []],
      [3, 'bad', ['Name']],
      [4, 'bad', ['Name']],
      [5, 'bad', ['Kind']],
      [6, 'bad', ['Form', 'Supplier’s limit', 'Density']],
      [7, 'new', []],
    ],
  );
  const [rose] = rows;
  assert.ok(rose?.item && 'densityGPerMl' in rose.item && rose.item.densityGPerMl === 0.99);
});

test('a row names what it changes by kind and name, and leaves the rest as it is', () => {
  const shelf = { materials: stored([fragrance({ id: 'f9', name: 'Bay', note: 'kept' })]), lots: [] };
  const [row] = judge('materials', 'kind,name,density\nfragrance,BAY,0.91', shelf);
  assert.equal(row?.verdict, 'changed');
  assert.deepEqual(row?.item, fragrance({ id: 'f9', name: 'BAY', note: 'kept', densityGPerMl: 0.91 }));
});

test('a file that is none is refused with its reason', () => {
  const bytes = (text: string) => new TextEncoder().encode(text);
  const code = (read: ReturnType<typeof csvText>) => (read.success ? 'text' : read.error.code);
  assert.equal(code(csvText(new Uint8Array([0x50, 0x4b, 3, 4, 20, 0]))), 'not-text');
  assert.equal(code(csvText(bytes('a,b\n\u0000,1'))), 'not-text');
  assert.equal(code(csvText(new Uint8Array([0x61, 0xff, 0x62]))), 'not-text');
  assert.equal(code(csvText(new Uint8Array(20_000_001).fill(0x61))), 'too-large');
  const fault = (text: string) => {
    const read = readCsv(text);
    return read.success ? 'read' : read.error.code;
  };
  assert.equal(fault(''), 'empty');
  assert.equal(fault('kind,name'), 'empty');
  assert.equal(fault('kind,name\nbase,"Glaze'), 'broken-quotes');
  assert.equal(fault('name,Name\na,b'), 'double-header');
  assert.equal(fault(`${Array.from({ length: 10_000 }, (_, n) => n).join(',')}\n1`), 'too-many-columns');
  assert.equal(fault(`name\n${'x\n'.repeat(20_001)}`), 'too-many-rows');
  assert.equal(fault(`name\n${'x'.repeat(20_001)}`), 'cell-too-long');
  // As many as are read: with lines that are blank, marks within quotes, and an inch that opens none.
  assert.equal(fault(`name\r\n${'x\r\n\r\n'.repeat(20_000)}`), 'read');
  assert.equal(fault(`name,note\nTin,"${'a,'.repeat(500)}\n""b"","\n5" tin,flat`), 'read');
  assert.equal(fault(`${'a,'.repeat(199)}a\n${'1,'.repeat(200)}1`), 'too-many-columns');
});

test('no bytes make reading throw', () => {
  fc.assert(
    fc.property(fc.uint8Array({ maxLength: 400 }), (bytes) => {
      const text = csvText(bytes);
      const table = text.success ? readCsv(text.data) : undefined;
      if (table?.success)
        for (const of of ['materials', 'lots'] as const)
          judgeRows(of, table.data, usualMapping(of, table.data.header), EMPTY, newId);
    }),
    { numRuns: 500 },
  );
});
