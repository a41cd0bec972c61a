import assert from 'node:assert/strict';
import test from 'node:test';
import { isClose } from '../../../tests/support/planFiles';
import { coarserBelow } from './coarser';
import { conduct } from './conduct';
import { coreC } from './skin';
import { heatJM2, poured, type Stack, stackOf } from './stack';
import { liquidFraction, SOAP, WOOD } from './substance';

const BENCH_CELLS = 8;
const BENCH = { substance: WOOD, thicknessM: 0.02, cells: BENCH_CELLS, tempC: 21, sideWM3K: 0 };
const POUR = { substance: SOAP, thicknessM: 0.008, cells: 20, tempC: 56, sideWM3K: 400 };
const ENDS = {
  bottom: (surfaceC: number) => 8 * (surfaceC - 21),
  top: (surfaceC: number) => 12 * (surfaceC - 21),
  roomC: 21,
};
const APART_S = 420;

/** Pours one after the other, each poured on what `before` makes of those below. */
function pours(count: number, before: (stack: Stack) => Stack): Stack {
  let stack = stackOf([BENCH]);
  for (let pour = 0; pour < count; pour++) {
    stack = poured(before(stack), [POUR]);
    conduct(stack, ENDS, APART_S);
  }
  return stack;
}

test('far below the top cells become fewer, with the heat that they had; bench and top stay as they are', () => {
  const fine = pours(6, (stack) => stack);
  const coarse = coarserBelow(fine, BENCH_CELLS);
  assert.ok(coarse.tempC.length < 0.75 * fine.tempC.length, `${coarse.tempC.length} of ${fine.tempC.length}`);
  assert.ok(isClose(heatJM2(coarse, 21), heatJM2(fine, 21), 1e-6));
  assert.ok(
    isClose(
      coarse.thicknessM.reduce((sum, each) => sum + each, 0),
      fine.thicknessM.reduce((sum, each) => sum + each, 0),
    ),
  );
  assert.deepEqual(coarse.tempC.slice(0, BENCH_CELLS), fine.tempC.slice(0, BENCH_CELLS));
  // 12 mm of 0.4 mm each.
  assert.deepEqual(coarse.tempC.slice(-30), fine.tempC.slice(-30));
  assert.deepEqual(coarse.liquid.slice(-30), fine.liquid.slice(-30));
});

test('what becomes one is on the line of its heat, whatever lines it was on', () => {
  const stack = stackOf([BENCH, { ...POUR, thicknessM: 0.04, cells: 100 }]);
  const { melting } = SOAP;
  // Set and setting in turns.
  for (let at = BENCH_CELLS; at < stack.tempC.length; at++) {
    stack.tempC[at] = at % 2 === 0 ? 30 : 48;
    stack.liquid[at] = liquidFraction(melting, stack.tempC[at] ?? 0, 1);
  }
  const coarse = coarserBelow(stack, BENCH_CELLS);
  assert.ok(isClose(heatJM2(coarse), heatJM2(stack), 1e-6));
  for (let at = BENCH_CELLS; at < coarse.tempC.length; at++) {
    const [tempC, liquid] = [coarse.tempC[at] ?? 0, coarse.liquid[at] ?? 0];
    assert.ok(Math.abs(liquid - liquidFraction(melting, tempC, liquid)) < 1e-6, `${tempC} °C, ${liquid}`);
  }
});

test('a crowded stack cools as it does with all its cells', () => {
  const [fine, coarse] = [pours(8, (stack) => stack), pours(8, (stack) => coarserBelow(stack, BENCH_CELLS))];
  for (const stack of [fine, coarse]) conduct(stack, ENDS, 1800);
  assert.ok(coarse.tempC.length < 0.7 * fine.tempC.length);
  const off = Math.abs(coreC(coarse, BENCH_CELLS) - coreC(fine, BENCH_CELLS));
  assert.ok(off < 0.1, `the core is ${off} K off`);
  const last = (stack: Stack) => stack.tempC[stack.tempC.length - 1] ?? 0;
  assert.ok(Math.abs(last(coarse) - last(fine)) < 0.02);
});
