import assert from 'node:assert/strict';
import test from 'node:test';
import fc from 'fast-check';
import { ofCodes } from '../../../tests/support/findings';
import {
  BOX,
  base,
  boat,
  fragrance,
  isClose,
  mold,
  piece,
  pieces,
  planFile,
  scrap,
  sheetOf,
} from '../../../tests/support/planFiles';
import { allFindingWords } from '../../words/en/findings/findingWords';
import { explainPieceSizeFault } from '../../words/en/plan/sizeFaults';
import { reviewPlan } from '../checks/review';
import { needOf } from '../stock/need';
import type { DraftEmbed } from './ids';
import { parsePieceSize, writePieceSize } from './pieceSize';
import { planFileSchema } from './planSchema';
import type { Sheet } from './sheet';

const describeFinding = await allFindingWords();

const FIGURE = piece();
const OFFCUTS = scrap();
const told = (file: Parameters<typeof reviewPlan>[0]) => ofCodes(reviewPlan(file).findings, 'embed-');
const titles = (file: Parameters<typeof reviewPlan>[0]) =>
  told(file).map((finding) => describeFinding(finding, { system: 'metric', locale: 'en' }).title);
const roomMl = ({ pours }: Sheet) =>
  pours.reduce((sum, { intoMoldMl, displacedMl }) => sum + intoMoldMl + displacedMl, 0);

test('a piece displaces its volume of base, and its weight is in the bar', () => {
  // 100 mL of base at 1.04 g/mL, less 4 mL, plus 5 g: by hand 96 · 1.04 + 5 = 104.84 g.
  const plan = (embeds: DraftEmbed[]) =>
    sheetOf(planFile([{ base: base({ densityGPerMl: 1.04 }), embeds }], {}, BOX, [FIGURE, OFFCUTS]));
  const sheet = plan([pieces('piece-1')]);
  assert.ok(isClose(sheet.totals.intoMoldMl, 6 * 96));
  assert.ok(isClose(sheet.totals.pieceG, 104.84));
  assert.ok(isClose(sheet.totals.embedsG, 30));
  // A filling of a third by volume: 66.67 mL of base, 33.33 mL of offcuts at 1.05 g/mL.
  const filled = plan([{ as: 'filling', from: { is: 'shelf', materialId: 'scrap-1' }, ofRoom: 1 / 3 }]);
  assert.ok(isClose(filled.totals.intoMoldMl, 400));
  assert.ok(isClose(filled.totals.embedsG, 200 * 1.05));
});

test('what stands out of its pour displaces the pour on top, by the part of its height that lies there', () => {
  // 10 mm high, 4 mL, standing 4 mm out of a pour that ends at 12 mm: 2.4 mL below and 1.6 mL above.
  const file = planFile(
    [{ size: '12 mm', embeds: [pieces('piece-1', { standsOutMm: 4 })] }, { size: 'rest' }],
    {},
    BOX,
    [FIGURE],
  );
  const [lower, upper] = sheetOf(file).pours;
  assert.ok(isClose((lower?.displacedMl ?? 0) / 6, 2.4, 1e-6));
  assert.ok(isClose((upper?.displacedMl ?? 0) / 6, 1.6, 1e-6));
  assert.ok(isClose(lower?.embeds[0]?.bottomMm ?? 0, 6) && isClose(lower?.embeds[0]?.topMm ?? 0, 16));
  assert.ok(isClose(upper?.fromMm ?? 0, 12));
});

test('a pour said by weight is that much base; what is set in comes on top of it', () => {
  const file = planFile([{ size: '300 g', embeds: [pieces('piece-1')] }, { size: 'rest' }], {}, BOX, [
    FIGURE,
  ]);
  const [first] = sheetOf(file).pours;
  assert.ok(isClose(first?.intoMoldG ?? 0, 300));
  assert.ok(isClose(first?.displacedMl ?? 0, 24, 1e-6));
});

const sizes = fc.array(fc.constantFrom('4 mm', '6 mm', '10 %', '60 g', '1 part', '2 parts'), {
  minLength: 0,
  maxLength: 3,
});
const anEmbed = fc.record({
  pour: fc.nat(3),
  perPiece: fc.integer({ min: 1, max: 3 }),
  size: fc.constantFrom('2 g', '1.5 mL', '12 x 8 x 6 mm', 'ball 12 mm'),
  liftMm: fc.constantFrom(0, 1),
  standsOutMm: fc.constantFrom(0, 2, 5),
  filling: fc.boolean(),
});
const shapes = fc.constantFrom(
  BOX,
  mold({ capacityMl: 89.8, shape: { kind: 'hemisphere', diameterMm: 70 } }),
  mold({ capacityMl: 95 }),
);

test('embeds plus base are the volume, whatever is set in and however the pours are said', () => {
  fc.assert(
    fc.property(sizes, fc.array(anEmbed, { maxLength: 4 }), shapes, (said, embeds, inMold) => {
      const pours = [...said, 'rest'].map((size, index) => ({
        size: inMold.shape.kind === 'capacity-only' && size.endsWith('mm') ? '1 part' : size,
        doses: [[fragrance(), '2 %']] as [ReturnType<typeof fragrance>, string][],
        embeds: embeds
          .filter(({ pour }) => pour % (said.length + 1) === index)
          .map(({ perPiece, size: text, liftMm, standsOutMm, filling }): DraftEmbed => {
            if (filling) return { as: 'filling', from: { is: 'shelf', materialId: 'scrap-1' }, ofRoom: 0.1 };
            const one = parsePieceSize(text);
            assert.ok(one.success);
            return pieces('scrap-1', { perPiece, size: one.data, liftMm, standsOutMm });
          }),
      }));
      const file = planFile(
        pours.map(({ embeds: own, ...pour }) => (own.length > 0 ? { ...pour, embeds: own } : pour)),
        {},
        inMold,
        [OFFCUTS],
      );
      const { sheet, findings } = reviewPlan(file);
      // Where nothing is left for base there is no sheet, or a stop that says so.
      if (!sheet || findings.some(({ code }) => code === 'pour-sizes')) return;
      assert.ok(isClose(roomMl(sheet), 6 * inMold.capacityMl, 1e-6), `${roomMl(sheet)}`);
      const intoMoldG = sheet.pours.reduce((sum, pour) => sum + pour.intoMoldG, 0);
      assert.ok(isClose(sheet.totals.pieceG * 6, intoMoldG + sheet.totals.embedsG));
      // What is displaced is what is set in, but for what stands out of the last pour into the air.
      const setMl = sheet.pours
        .flatMap((pour) => pour.embeds)
        .reduce((sum, { volumeMl }) => sum + volumeMl, 0);
      const displacedMl = sheet.pours.reduce((sum, pour) => sum + pour.displacedMl, 0);
      assert.ok(displacedMl <= setMl * (1 + 1e-6));
      if (embeds.every(({ standsOutMm, filling }) => standsOutMm === 0 || filling)) {
        const highest = Math.max(
          0,
          ...sheet.pours.flatMap((pour) => pour.embeds.map(({ topMm }) => topMm ?? 0)),
        );
        const fillMm = sheet.pours.at(-1)?.toMm ?? Number.POSITIVE_INFINITY;
        if (highest <= fillMm) assert.ok(isClose(displacedMl, setMl, 1e-5));
      }
    }),
    { numRuns: 150 },
  );
});

test('floating and sinking, standing too tall, without a size, and what to make first', () => {
  const light = piece({ id: 'cork', name: 'Cork', pieceG: 2, pieceMl: 4 });
  const heavy = piece({ id: 'stone', name: 'Stone', pieceG: 10, pieceMl: 4 });
  const unsized = piece({ id: 'ribbon', name: 'Ribbon', pieceG: null, pieceMl: null });
  const file = (embeds: DraftEmbed[]) => planFile([{ embeds }], {}, BOX, [light, heavy, unsized]);
  assert.deepEqual(titles(file([pieces('cork')])), ['Cork will float in pour A']);
  assert.deepEqual(titles(file([pieces('stone')])), []);
  assert.deepEqual(titles(file([pieces('stone', { liftMm: 8 })])), ['Stone will sink in pour A']);
  assert.ok(
    titles(file([pieces('stone', { standsOutMm: 6 })])).includes('Stone stands 6.0 mm above the brim'),
  );
  assert.deepEqual(titles(file([pieces('ribbon')])), ['Ribbon has no size in A']);
  assert.equal(told(file([pieces('ribbon')]))[0]?.severity, 'stop');

  const withBoats = {
    ...planFile([{ embeds: [pieces('x', { from: { is: 'plan', planId: 'boat' }, perPiece: 2 })] }], {}, BOX),
    made: [boat()],
  };
  assert.ok(planFileSchema.safeParse(withBoats).success);
  assert.ok(titles(withBoats).includes('Make 12 of Boat first'));
  assert.equal(planFileSchema.safeParse({ ...withBoats, made: [] }).success, false);
});

test('more pieces than there is room for is a stop, and never a sheet below nothing', () => {
  const file = planFile([{ embeds: [pieces('piece-1', { perPiece: 40 })] }], {}, BOX, [FIGURE]);
  const { sheet, findings } = reviewPlan(file);
  assert.equal(sheet, null);
  assert.deepEqual(
    findings.map(({ code, severity }) => [code, severity]),
    [
      ['pour-sizes', 'stop'],
      ['no-room-for-base', 'stop'],
    ],
  );
});

test('scrap is needed by weight, pieces by their number, those of a plan as made', () => {
  const file = {
    ...planFile(
      [
        {
          embeds: [
            pieces('piece-1', { perPiece: 2 }),
            pieces('scrap-1', { perPiece: 3, size: { by: 'mass', massG: 2 } }),
            pieces('x', { from: { is: 'plan', planId: 'boat' } }),
          ],
        },
      ],
      {},
      BOX,
      [FIGURE, OFFCUTS],
    ),
    made: [boat({ pieceG: 1, pieceMl: 1, heightMm: null })],
  };
  const needs = needOf(sheetOf(file)).filter(({ materialId }) => materialId !== 'base-1');
  assert.deepEqual(needs, [
    { materialId: 'piece-1', name: 'Test figure', amount: 12, isCounted: true },
    { materialId: 'scrap-1', name: 'Test offcuts', amount: 36, isCounted: false },
    { materialId: 'boat', name: 'Boat', amount: 6, isCounted: true, isMade: true },
  ]);
});

test('sizes of a piece are read as they are said, and written back as themselves', () => {
  const said = {
    '6 g': { by: 'mass', massG: 6 },
    '5 mL': { by: 'volume', volumeMl: 5 },
    '20 x 15 x 8 mm': { by: 'box', lengthMm: 20, widthMm: 15, heightMm: 8 },
    '2×1,5×1 cm': { by: 'box', lengthMm: 20, widthMm: 15, heightMm: 10 },
    'ball 20 mm': { by: 'ball', diameterMm: 20 },
    'ball of ½ in': { by: 'ball', diameterMm: 12.7 },
  };
  for (const [text, meant] of Object.entries(said)) {
    const read = parsePieceSize(text);
    assert.deepEqual(read, { success: true, data: meant }, text);
    assert.deepEqual(parsePieceSize(writePieceSize(meant as never)), read);
  }
  for (const text of [
    '',
    '-6 g',
    '0 g',
    '20 x 15 mm',
    'ball',
    '3 drops',
    '1e9 g',
    '20 x x 8 mm',
    '<script>',
  ]) {
    const read = parsePieceSize(text);
    assert.ok(!read.success && explainPieceSizeFault(read.error).includes('“6 g”'), text);
  }
});
