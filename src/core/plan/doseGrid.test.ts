import assert from 'node:assert/strict';
import test from 'node:test';
import { base, colorant, fragrance, planFile } from '../../../tests/support/planFiles';
import { filledRight, type GridRow, gridRows, withBlock, withCells, withoutRow } from './doseGrid';
import type { Plan } from './plan';

const scent = fragrance();
const ink = colorant({ id: 'ink' });
const dry = () => undefined;

/** Texts row by row; a dash where a pour has no dose. */
function read(plan: Plan): string[] {
  return gridRows(plan.pours).map(
    ({ materialId, cells }) =>
      `${materialId}: ${cells.map((place, pour) => plan.pours[pour]?.doses[place ?? -1]?.text ?? '–').join(' | ')}`,
  );
}

const three = planFile([
  { doses: [[scent, '1 %']] },
  { doses: [[ink, '3 drops']] },
  {
    doses: [
      [ink, '5 drops'],
      [scent, '2 %'],
      [ink, '1 g'],
    ],
  },
]).plan;

function rowOf(plan: Plan, key: string): GridRow {
  const row = gridRows(plan.pours).find((each) => each.key === key);
  assert.ok(row);
  return row;
}

test('a row a material, a second one where a pour has it twice', () => {
  assert.deepEqual(read(three), ['scent-1: 1 % | – | 2 %', 'ink: – | 3 drops | 5 drops', 'ink: – | – | 1 g']);
});

test('a text in an empty cell is a new dose with an id of its own; an emptied one is none', () => {
  const row = rowOf(three, '0 scent-1');
  const plan = withCells(
    three,
    row,
    new Map([
      [1, '½ tsp/lb'],
      [2, ''],
    ]),
    dry,
  );
  assert.deepEqual(read(plan)[0], 'scent-1: 1 % | ½ tsp/lb | –');
  const ids = plan.pours.flatMap(({ doses }) => doses.map(({ id }) => id));
  assert.equal(new Set(ids).size, ids.length);
});

test('what is begun is wetted as its row is, or as the house does', () => {
  const wetIn = { dispersantId: 'spirit', times: 3 };
  const wet = {
    ...three,
    pours: three.pours.map((pour) => ({ ...pour, doses: pour.doses.map((each) => ({ ...each, wetIn })) })),
  };
  assert.deepEqual(
    withCells(wet, rowOf(wet, '0 ink'), new Map([[0, '1 g']]), dry).pours[0]?.doses[1]?.wetIn,
    wetIn,
  );
  const bare = { key: '', materialId: 'new', cells: [null, null, null] };
  assert.deepEqual(
    withCells(three, bare, new Map([[0, '1 g']]), () => wetIn).pours[0]?.doses[1]?.wetIn,
    wetIn,
  );
});

test('filled to the right once for each jug: what goes on in a jug has it already', () => {
  const sameJug = { sameJug: true } as const;
  const other = base({ id: 'other' });
  const { plan } = planFile([
    { doses: [[scent, '1 %']] },
    { way: sameJug },
    {},
    { way: sameJug },
    { base: other, way: sameJug },
  ]);
  assert.deepEqual(
    [...filledRight(plan, rowOf(plan, '0 scent-1'), 0)],
    [
      [2, '1 %'],
      [4, '1 %'],
    ],
  );
  assert.equal(filledRight(plan, rowOf(plan, '0 scent-1'), 1).size, 0);
});

test('a block is laid over the rows; what is beyond the grid is left out', () => {
  const rows = gridRows(three.pours);
  const plan = withBlock(
    three,
    rows,
    { row: 0, pourIndex: 1 },
    [['2 %', '3 %', '4 %'], ['', '9 drops'], ['x'], ['y']],
    dry,
  );
  assert.deepEqual(read(plan), ['scent-1: 1 % | 2 % | 3 %', 'ink: – | x | 9 drops', 'ink: – | – | 1 g']);
});

test('a row is taken out of every pour', () => {
  assert.deepEqual(read(withoutRow(three, rowOf(three, '0 ink'))), [
    'scent-1: 1 % | – | 2 %',
    'ink: – | – | 1 g',
  ]);
});
