import assert from 'node:assert/strict';
import test from 'node:test';
import { fragrance, isClose, mold, planFile, sheetOf } from '../../../tests/support/planFiles';
import { madeRun } from '../../../tests/support/runs';
import { logEntry } from '../run/logEntry';
import { piecesFromShelf } from '../stock/fromShelf';
import { madePieceOf } from './madePiece';
import { scalePlan } from './scalePlan';

/** Ten bars of 23 mm, and 10 mm of trims. */
const LOAF = mold({
  cavities: 1,
  capacityMl: 1000,
  shape: { kind: 'box', lengthMm: 240, widthMm: 70, depthMm: 60, draftDeg: 0, cornerMm: 0 },
  sliceMm: 23,
  endTrimMm: 5,
});
const loaf = (pieces: number, text = '6 drops/piece', cut = LOAF) =>
  sheetOf(planFile([{ doses: [[fragrance(), text]] }], { pieces }, cut));

test('ten pieces of a loaf of ten bars are one loaf, and each bar is weighed and dosed as a piece', () => {
  const one = loaf(10);
  assert.deepEqual([one.pieces, one.fills, one.piecesMade, one.totals.rounds], [10, 1, 10, 1]);
  assert.ok(isClose(one.totals.intoMoldMl, 1000));
  assert.ok(isClose(one.totals.pieceG, (one.totals.fillG * 23) / 240));
  // 60 drops of 0.05 mL at 0.95 g/mL: 2.85 g.
  assert.ok(isClose(one.pours[0]?.lines[0]?.massG ?? 0, 60 * 0.05 * 0.95));
});

test('a bar more is a loaf more, and what it gives beyond is said', () => {
  const two = loaf(11);
  assert.deepEqual([two.pieces, two.fills, two.piecesMade, two.totals.rounds], [11, 2, 20, 2]);
  // Two molds alike are one round.
  assert.equal(loaf(11, '1 %', { ...LOAF, copies: 2 }).totals.rounds, 1);
});

test('a batch in another number keeps its strength: fixed doses follow the loaves, counted ones whole', () => {
  const file = planFile([{ doses: [[fragrance(), '12 g']] }], { pieces: 10 }, LOAF);
  const scaled = scalePlan(file.plan, 30, { mold: LOAF });
  assert.equal(scaled.pours[0]?.doses[0]?.text, '36 g');
  const drops = planFile([{ doses: [[fragrance(), '2 drops']] }], { pieces: 10 });
  assert.equal(scalePlan(drops.plan, 12, { mold: mold() }).pours[0]?.doses[0]?.text, '2 drops');
  assert.equal(scalePlan(drops.plan, 29, { mold: mold() }).pours[0]?.doses[0]?.text, '6 drops');
});

test('what another plan sets in is a bar, what the shelf makes is bars, and the log tells of bars', () => {
  const one = loaf(10);
  const piece = madePieceOf('p', 'Loaf', one);
  assert.ok(isClose(piece.pieceG ?? 0, one.totals.pieceG));
  assert.ok(isClose(piece.pieceMl ?? 0, (1000 * 23) / 240));
  const stock = new Map([
    ['base-1', [{ id: 'l', number: '1', left: one.totals.baseG * 2.5, bestBefore: null, minorPerOne: null }]],
  ]);
  assert.deepEqual(piecesFromShelf(one, stock), {
    batches: 2.5 * (1 + 1e-12),
    pieces: 20,
    shortOf: 'Test base',
    notCounted: ['Test scent'],
  });
  assert.equal(logEntry(madeRun(one)).pieces, 10);
});
