import assert from 'node:assert/strict';
import test from 'node:test';
import {
  BOX,
  colorant,
  isClose,
  mold,
  piece,
  pieces,
  planFile,
  scrap,
  sheetOf,
} from '../../../tests/support/planFiles';
import { USUAL_HOUSE_RULES } from '../houseRules/houseRules';
import type { Sheet } from '../plan/sheet';
import { embedWords } from './embedWords';
import { betterCapacityMl, fillSeen } from './fillSeen';
import { pourWords } from './pourWords';
import type { Run, RunEvent } from './run';
import { runState, withEvent } from './runState';
import { scrapOf } from './scrap';
import { usedMaterials } from './usedMaterials';

const at = '2026-03-01T10:00:00.000Z';
const METRIC = { system: 'metric', locale: 'en' } as const;
const DYE = colorant({ id: 'dye', name: 'Test dye' });

function runOf(sheet: Sheet, ...events: RunEvent[]): Run {
  const fresh: Run = { id: 'r', planId: 'p', planVersion: 1, startedAt: at, sheet, findings: [], events: [] };
  return events.reduce((run, event) => withEvent(run, { at, event }), fresh);
}

/** Every step ticked, the base weighed as so many times its target and the rest on target. */
function made(sheet: Sheet, baseTimes = 1, toScrapG?: number): Run {
  let run = runOf(sheet);
  for (const { id } of runState(run).steps) {
    const step = runState(run).steps.find((each) => each.id === id);
    const massG = (step?.targetG ?? 0) * (step?.kind === 'weigh-base' ? baseTimes : 1);
    const event: RunEvent =
      step?.targetG == null ? { type: 'done', stepId: id } : { type: 'weighed', stepId: id, massG };
    run = withEvent(run, { at, event });
  }
  const end: RunEvent = {
    type: 'finished',
    verdict: 'good',
    goodPieces: 6,
    note: '',
    ...(toScrapG ? { toScrapG } : {}),
  };
  return withEvent(run, { at, event: end });
}

const oneJug = sheetOf(
  planFile(
    [
      { doses: [[DYE, '0.1 %']] },
      { doses: [[DYE, '0.3 %']], way: { sameJug: true }, embeds: [pieces('piece-1')] },
    ],
    {},
    BOX,
    [piece()],
  ),
);

test('pours of one jug melt once, and only what is added is weighed before each', () => {
  assert.deepEqual(
    runState(runOf(oneJug)).steps.map(({ id, plannedG }) => [
      id,
      plannedG === null ? null : Number(plannedG.toFixed(3)),
    ]),
    [
      ['A/base', Number(oneJug.totals.baseG.toFixed(3))],
      ['A/melt', null],
      ['A/dose-1', Number((oneJug.totals.baseG * 0.001).toFixed(3))],
      ['A/pour', null],
      ['B/dose-1', Number(((oneJug.pours[1]?.baseG ?? 0) * 0.002).toFixed(3))],
      ['B/pour', null],
      ['B/embeds', null],
    ],
  );
  // 4 % more base in the jug is 4 % more in every addition to it, also in those of the second pour.
  const more = runState(
    runOf(oneJug, { type: 'weighed', stepId: 'A/base', massG: oneJug.totals.baseG * 1.04 }),
  ).steps;
  const second = more.find(({ id }) => id === 'B/dose-1');
  assert.ok(isClose(second?.targetG ?? 0, (second?.plannedG ?? 0) * 1.04));
});

test('what was set in is used like what was weighed: scrap by weight, bought pieces by their number', () => {
  const sheet = sheetOf(
    planFile(
      [
        {
          embeds: [
            pieces('piece-1', { perPiece: 2 }),
            { as: 'filling', from: { is: 'shelf', materialId: 'scrap-1' }, ofRoom: 0.2 },
          ],
        },
      ],
      {},
      BOX,
      [piece(), scrap()],
    ),
  );
  assert.deepEqual(
    runState(runOf(sheet)).steps.map(({ id }) => id),
    ['A/base', 'A/melt', 'A/filling', 'A/pour', 'A/embeds'],
  );
  const used = usedMaterials(made(sheet));
  assert.deepEqual(
    used.map(({ name, amount, isCounted }) => [name, isCounted, isCounted ? amount : Math.round(amount)]),
    [
      ['Test base', false, Math.round(sheet.totals.baseG)],
      ['Test offcuts', false, 126],
      ['Test figure', true, 12],
    ],
  );
  assert.match(
    embedWords(sheet, { pourIndex: 0, embedIndexes: [0] }, METRIC),
    /^Set in 2 of Test figure a piece, 12 pieces in all, its foot 0 mm above the floor\./,
  );
  assert.match(
    embedWords(sheet, { pourIndex: 0, embedIndexes: [1] }, METRIC),
    /^Share 126\.0 g of Test offcuts out over 6/,
  );
});

test('into the scrap jar: what is cut off, the ends of a loaf, and what was melted beyond the molds', () => {
  const trimmed = sheetOf(planFile([{ size: '5 mm', way: { trimmed: true } }, { size: 'rest' }], {}, BOX));
  assert.ok(isClose(scrapOf(made(trimmed)).trimmedG, trimmed.pours[0]?.intoMoldG ?? 0));
  const loaf = sheetOf(
    planFile(
      [{}],
      { pieces: 1 },
      mold({
        cavities: 1,
        capacityMl: 1000,
        shape: { kind: 'box', lengthMm: 240, widthMm: 70, depthMm: 60, draftDeg: 0, cornerMm: 0 },
        sliceMm: 23,
        endTrimMm: 5,
      }),
    ),
  );
  // Ten bars of 23 mm leave 10 of 240 mm.
  assert.ok(isClose(scrapOf(made(loaf)).endsG, (loaf.totals.pieceG * 10) / 240));
  const over = scrapOf(made(loaf, 1.05));
  assert.ok(isClose(over.leftOverG, loaf.totals.jugG * 0.05));
  assert.equal(scrapOf(made(loaf, 0.97)).leftOverG, 0);
});

test('fills of past runs: as planned speaks for the stored figure, much left over for a smaller one', () => {
  const sheet = sheetOf(planFile([{}], {}, BOX));
  assert.equal(fillSeen(runOf(sheet)), null);
  assert.ok(isClose(fillSeen(made(sheet))?.capacityMl ?? 0, 100));
  assert.ok(isClose(fillSeen(made(sheet, 1.1))?.capacityMl ?? 0, 110));
  const left = fillSeen(made(sheet, 1, sheet.totals.jugG * 0.06));
  assert.ok(left && isClose(left.capacityMl, 94));
  assert.equal(betterCapacityMl([left], 100), null);
  assert.ok(isClose(betterCapacityMl([left, left], 100) ?? 0, 94));
  const same = fillSeen(made(sheet, 1.01));
  assert.ok(same && betterCapacityMl([same, same], 100) === null);
});

test('how to pour is told by the way: leaning, both jugs, drops, goes, halves of a ball, what is cut off', () => {
  const words = (pours: Parameters<typeof planFile>[0], inMold = BOX) => {
    const sheet = sheetOf(planFile(pours, {}, inMold));
    return sheet.pours.map((_, index) => pourWords(sheet, index, USUAL_HOUSE_RULES, METRIC));
  };
  const lean = { deg: 15, along: 'length' } as const;
  const [leaning, back, level] = words([
    { size: '5 mm', way: { lean } },
    { size: '5 mm', way: { lean: { ...lean, deg: -15 } } },
    { size: 'rest' },
  ]);
  assert.match(leaning ?? '', /Prop the mold up on an end, 15°, until it holds\. Pour at 44 °C to 60 °C/);
  assert.match(
    back ?? '',
    /Prop the mold up the other way, on an end, 15°.*Spritz the layer below and pour at 52 °C/,
  );
  assert.match(level ?? '', /Set the mold level first\./);
  const [one, other, top] = words([
    { size: '8 mm' },
    { way: { besideShare: 0.5 } },
    { size: 'rest', way: { goes: 3 } },
  ]);
  assert.match(one ?? '', /Hold B ready/);
  assert.match(other ?? '', /It goes in with A, just as hot\. Pour both jugs at once/);
  assert.match(top ?? '', /In 3 goes/);
  const [, drops, swirl] = words([
    { size: '8 mm' },
    { size: '1 mm', way: { dropped: true } },
    { size: 'rest', way: { trimmed: true } },
  ]);
  assert.match(drops ?? '', /Drip it on in dots and lines/);
  assert.match(swirl ?? '', /thin stream across the drops.*Cut it off once it has set/);
  const ball = mold({ capacityMl: 65.45, shape: { kind: 'sphere', diameterMm: 50 } });
  const [, half] = words([{ size: 'to 23 mm' }, { size: 'rest' }], ball);
  assert.match(half ?? '', /clamp the other half on, and pour through the hole/);
});
