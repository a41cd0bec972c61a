import assert from 'node:assert/strict';
import test from 'node:test';
import {
  BOX,
  colorant,
  fragrance,
  isClose,
  mold,
  piece,
  pieces,
  planFile,
  scrap,
  sheetOf,
} from '../../../tests/support/planFiles';
import { madeRun as made, runOf } from '../../../tests/support/runs';
import { inclusionWords } from '../../words/en/work/inclusionWords';
import { pourWords } from '../../words/en/work/pourWords';
import { USUAL_HOUSE_RULES } from '../houseRules/houseRules';
import { layerGroups } from '../pours/layers';
import { pourTempC } from '../pours/pourTemp';
import { wholeSheet } from '../work/rounds';
import { betterCapacityMl, fillSeen } from './fillSeen';
import { progress } from './progress';
import { scrapOf } from './scrap';
import { usedMaterials } from './usedMaterials';

const METRIC = { system: 'metric', locale: 'en' } as const;
const DYE = colorant({ id: 'dye', name: 'Test dye' });

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

/** What is done before a layer sets. */
const OF_JUG: ReadonlySet<string> = new Set([
  'weigh-base',
  'melt',
  'weigh-dose',
  'stir-in',
  'inclusions',
  'pour',
]);

test('pours of one jug melt once, and only what is added is weighed before each', () => {
  assert.deepEqual(
    progress(runOf(oneJug))
      .tasks.filter(({ kind }) => OF_JUG.has(kind))
      .map(({ id, plannedG }) => [id, plannedG === null ? null : Number(plannedG.toFixed(3))]),
    [
      ['r1/A/l1/base', Number(oneJug.totals.baseG.toFixed(3))],
      ['r1/A/l1/melt', null],
      ['r1/A/l1/dose-1', Number((oneJug.totals.baseG * 0.001).toFixed(3))],
      ['r1/A/l1/pour', null],
      ['r1/B/l1/dose-1', Number(((oneJug.pours[1]?.baseG ?? 0) * 0.002).toFixed(3))],
      ['r1/B/l1/pour', null],
      ['r1/B/l1/inclusions', null],
    ],
  );
  // 4 % more base in the jug is 4 % more in every addition to it, also in those of the second pour.
  const more = progress(
    runOf(oneJug, { kind: 'weighed', taskId: 'r1/A/l1/base', massG: oneJug.totals.baseG * 1.04 }),
  ).tasks;
  const second = more.find(({ id }) => id === 'r1/B/l1/dose-1');
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
    progress(runOf(sheet))
      .tasks.filter(({ kind }) => OF_JUG.has(kind))
      .map(({ id }) => id),
    ['base', 'melt', 'filling', 'pour', 'inclusions'].map((what) => `r1/A/l1/${what}`),
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
    inclusionWords(sheet, wholeSheet(sheet), { pourIndexes: [0], embedIndexes: [0] }, METRIC),
    /^Set in 2 of Test figure a cavity, 12 pieces in all, its foot 0 mm above the floor\./,
  );
  assert.match(
    inclusionWords(sheet, wholeSheet(sheet), { pourIndexes: [0], embedIndexes: [1] }, METRIC),
    /^Share 126\.0 g of Test offcuts out over 6/,
  );
});

test('into the scrap jar: what is cut off, the ends of a loaf, and what was melted beyond the molds', () => {
  const trimmed = sheetOf(planFile([{ size: '5 mm', way: { trimmed: true } }, { size: 'rest' }], {}, BOX));
  assert.ok(isClose(scrapOf(made(trimmed)).trimmedG, trimmed.pours[0]?.intoMoldG ?? 0));
  const loaf = sheetOf(
    planFile(
      [{}],
      { pieces: 10 },
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
  assert.ok(isClose(scrapOf(made(loaf)).endsG, (loaf.totals.fillG * 10) / 240));
  const over = scrapOf(made(loaf, 1.05));
  assert.ok(isClose(over.leftOverG, loaf.totals.jugG * 0.05));
  assert.equal(scrapOf(made(loaf, 0.97)).leftOverG, 0);
});

test('fills of past runs: as planned speaks for the stored figure, much left over for a smaller one', () => {
  const sheet = sheetOf(planFile([{}], {}, BOX));
  assert.equal(fillSeen(runOf(sheet)), null);
  const seen = { fill: 'as-planned' } as const;
  assert.ok(isClose(fillSeen(made(sheet, 1, seen))?.capacityMl ?? 0, 100));
  assert.ok(isClose(fillSeen(made(sheet, 1.1, seen))?.capacityMl ?? 0, 110));
  // Weighed short, with nothing left over and nobody looking: that is the hand.
  assert.equal(fillSeen(made(sheet, 0.97)), null);
  assert.equal(fillSeen(made(sheet, 0.97, { fill: 'short' })), null);
  const left = fillSeen(made(sheet, 1, { toScrapG: sheet.totals.jugG * 0.06 }));
  assert.ok(left && isClose(left.capacityMl, 94));
  assert.equal(betterCapacityMl([left], 100), null);
  assert.ok(isClose(betterCapacityMl([left, left], 100) ?? 0, 94));
  // What was melted beyond the need on purpose is in no cavity, wherever it went.
  const little = sheetOf(planFile([{ doses: [[fragrance(), '1 g']] }], { pieces: 1, leastMeltG: 900 }, BOX));
  assert.ok(isClose(fillSeen(made(little, 1, seen))?.capacityMl ?? 0, 100));
  assert.ok(isClose(scrapOf(made(little)).leftOverG, 901 - little.totals.jugG));
  const same = fillSeen(made(sheet, 1.01, seen));
  assert.ok(same && betterCapacityMl([same, same], 100) === null);
});

test('how to pour is told by the way: leaning, both jugs, drops, goes, halves of a ball, what is cut off', () => {
  const words = (pours: Parameters<typeof planFile>[0], inMold = BOX) => {
    const sheet = sheetOf(planFile(pours, {}, inMold));
    return layerGroups(sheet.pours).map((pourIndexes) =>
      pourWords(
        sheet,
        { round: 0, pourIndexes, needs: [], tempC: pourTempC(sheet, pourIndexes[0] ?? 0, USUAL_HOUSE_RULES) },
        USUAL_HOUSE_RULES,
        METRIC,
      ),
    );
  };
  const lean = { deg: 15, along: 'length' } as const;
  const [leaning, back, level] = words([
    { size: '5 mm', way: { lean } },
    { size: '5 mm', way: { lean: { ...lean, deg: -15 } } },
    { size: 'rest' },
  ]);
  assert.match(leaning ?? '', /Prop the mold up on an end, 15°, until it holds\. Pour at 57 °C\./);
  assert.match(
    back ?? '',
    /Prop the mold up the other way, on an end, 15°.*Spritz the layer below and pour at 52 °C/,
  );
  assert.match(level ?? '', /Set the mold level first\./);
  const [both, top] = words([
    { size: '8 mm' },
    { way: { besideShare: 0.5 } },
    { size: 'rest', way: { goes: 3 } },
  ]);
  assert.match(both ?? '', /Pour both jugs at once from opposite sides, and stop together/);
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
