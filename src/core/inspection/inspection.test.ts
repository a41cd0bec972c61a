import assert from 'node:assert/strict';
import test from 'node:test';
import type { Fault } from './faults';
import { driedSince, faultsOfRounds, goodPiecesSeen, type Inspection, lastWeightsG } from './inspection';

function look(day: number, round: number, over: Partial<Inspection> = {}): Inspection {
  return {
    ...{ inspectionId: `${round} ${day}`, round, faults: [], weightsG: [], note: '', againAfterDays: null },
    at: `2026-03-${String(day).padStart(2, '0')}T10:00:00.000Z`,
    pieces: { good: 6, second: 0, scrap: 0, remelt: 0 },
    ...over,
  };
}

const fault = (name: Fault, pieces: number) => ({ fault: name, pourIndexes: [], pieces });

test('a later look sorts anew, and takes no fault and no weight away that it says nothing of', () => {
  const looks = [
    look(1, 0, {
      faults: [fault('layers-part', 2), fault('bubbles', 1)],
      weightsG: [100, 102],
      pieces: { good: 4, second: 0, scrap: 2, remelt: 0 },
    }),
    look(1, 1, { faults: [fault('bubbles', 3)] }),
    look(15, 0, { faults: [fault('bubbles', 4)], pieces: { good: 3, second: 1, scrap: 2, remelt: 0 } }),
  ];
  assert.deepEqual(
    faultsOfRounds(looks).map(({ seen, round }) => [round, seen.fault, seen.pieces]),
    [
      [0, 'layers-part', 2],
      [0, 'bubbles', 4],
      [1, 'bubbles', 3],
    ],
  );
  assert.equal(goodPiecesSeen(looks, 2), 9);
  assert.equal(goodPiecesSeen(looks, 3), null);
  assert.deepEqual(lastWeightsG(looks), [100, 102]);
});

test('what drying did is told of a round that was weighed twice', () => {
  const [dried, ...none] = driedSince([
    look(1, 0, { weightsG: [100, 102] }),
    look(1, 1, { weightsG: [50] }),
    look(15, 0, { weightsG: [99.99] }),
  ]);
  assert.deepEqual([dried?.round, dried?.lengthS, none.length], [0, 14 * 86_400, 0]);
  assert.ok(Math.abs((dried?.fraction ?? 0) - 0.01) < 1e-9);
});
