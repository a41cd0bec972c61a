import assert from 'node:assert/strict';
import test from 'node:test';
import fc from 'fast-check';
import {
  additive,
  base,
  blend,
  colorant,
  dispersant,
  fragrance,
  isClose,
  mold,
  planFile,
  sheetOf,
} from '../../../tests/support/planFiles';
import { howSaid } from '../../words/en/howSaid';
import { blendAsFragrance, blendFaults, blendShares } from '../materials/blend';
import { additionsBefore } from '../pours/additions';
import { planFileSchema } from './planSchema';
import { doseOf } from './sheet';

const a = fragrance({ id: 'a', name: 'A', densityGPerMl: 0.9 });
const b = fragrance({ id: 'b', name: 'B', densityGPerMl: 1.0 });
const inner = blend(
  [
    [a, 1],
    [b, 1],
  ],
  { id: 'inner', name: 'Inner' },
);
const outer = blend(
  [
    [inner, 2],
    [b, 2],
  ],
  { id: 'outer', name: 'Outer' },
);
const all = new Map([a, b, inner, outer].map((each) => [each.id, each]));

test('a nested blend is taken apart: half of a half is a quarter', () => {
  assert.deepEqual(
    blendShares(outer, all).map(({ material, share }) => [material.id, share]),
    [
      ['a', 0.25],
      ['b', 0.75],
    ],
  );
  // By hand: 0.25 / 0.9 + 0.75 / 1.0 mL a gram is 1 / 0.97297…
  assert.ok(isClose(blendAsFragrance(outer, all).densityGPerMl ?? 0, 1 / (0.25 / 0.9 + 0.75)));
});

test('deeper, in a circle, of nothing known or of no fragrance: each is a fault', () => {
  const third = blend([[outer, 1]], { id: 'third' });
  const circle = blend([[fragrance({ id: 'circle' }), 1]], { id: 'circle' });
  const grit = additive({ id: 'grit' });
  const records = new Map<string, { id: string; kind: string }>([
    ...all,
    ['third', third],
    ['circle', circle],
    ['grit', grit],
  ]);
  const why = (of: Parameters<typeof blendFaults>[0]) => blendFaults(of, records).map((fault) => fault.why);
  assert.deepEqual(why(outer), []);
  assert.deepEqual(why(third), ['nested-too-deep']);
  assert.deepEqual(why(circle), ['nested-too-deep']);
  assert.deepEqual(
    why({
      members: [
        { materialId: 'gone', parts: 1 },
        { materialId: 'grit', parts: 1 },
      ],
    }),
    ['unknown', 'not-a-fragrance'],
  );
  const file = planFile([{ doses: [[third, '2 %']] }], {}, mold(), [a, b, inner, outer]);
  const checked = planFileSchema.safeParse(file);
  assert.ok(!checked.success && checked.error.issues[0]?.path.includes('members'));
});

test('a dose of a blend is its fragrances by their shares, each weighed by itself', () => {
  const file = planFile([{ doses: [[outer, '2 %']] }], {}, mold(), [a, b, inner]);
  assert.ok(planFileSchema.safeParse(file).success);
  const [pour] = sheetOf(file).pours;
  assert.ok(pour);
  assert.deepEqual(
    pour.lines.map(({ material, blend: of }) => [material.name, of]),
    [
      ['A', 'Outer'],
      ['B', 'Outer'],
    ],
  );
  assert.ok(isClose(doseOf(pour, 0).massG, pour.baseG * 0.02));
  assert.ok(isClose(pour.lines[0]?.massG ?? 0, pour.baseG * 0.005));
  assert.deepEqual(
    additionsBefore(pour.lines).map(({ id }) => id),
    ['dose-1', 'dose-1-2'],
  );
});

test('alcohol leaves again and is in no weight; glycerin stays and is in the solve', () => {
  const mica = colorant({ densityGPerMl: 3 });
  const wetted = (leaves: boolean) =>
    sheetOf(
      planFile(
        [{ base: base({ densityGPerMl: 1 }), doses: [[mica, '0.6 %', { dispersantId: 'wet-1', times: 3 }]] }],
        {},
        mold(),
        [dispersant({ leaves })],
      ),
    );
  const [alcohol, glycerin] = [wetted(true).pours[0], wetted(false).pours[0]];
  assert.ok(alcohol && glycerin);
  assert.ok(isClose(alcohol.additionsOfBase, 0.006));
  assert.deepEqual([alcohol.lines[1]?.ofProduct, alcohol.lines[1]?.volumeMl], [0, 0]);
  assert.ok(isClose(alcohol.lines[1]?.massG ?? 0, alcohol.baseG * 0.018));
  assert.ok(isClose(glycerin.additionsOfBase, 0.024));
  // By hand: 600 mL = B · (1 + 0.006 / 3 + 0.018 / 1.26).
  assert.ok(isClose(glycerin.baseG, 600 / (1 + 0.002 + 0.018 / 1.26)));
});

test('a line says what was typed, of which blend, or that it only wets', () => {
  const file = planFile(
    [
      {
        doses: [
          [outer, '2 %'],
          [colorant(), '0.3 %', { dispersantId: 'wet-1', times: 2 }],
        ],
      },
    ],
    {},
    mold(),
    [a, b, inner, dispersant()],
  );
  assert.deepEqual(sheetOf(file).pours[0]?.lines.map(howSaid), [
    '2 % Outer',
    '2 % Outer',
    '0.3 %',
    'to wet it',
  ]);
});

test('actives go into one beaker, a wetted powder into a cup of its own', () => {
  const file = planFile(
    [
      {
        doses: [
          [additive({ id: 'p', name: 'Protein' }), '1 %'],
          [fragrance(), '1 %'],
          [additive({ id: 'q', name: 'Panthenol' }), '0.5 %'],
          [colorant(), '0.3 %', { dispersantId: 'wet-1', times: 2 }],
        ],
      },
    ],
    {},
    mold(),
    [dispersant()],
  );
  assert.deepEqual(
    additionsBefore(sheetOf(file).pours[0]?.lines ?? []).map((each) => [
      each.id,
      each.kind === 'weigh' ? each.into : each.kind,
    ]),
    [
      ['dose-4', 'cup'],
      ['dose-4-2', 'cup'],
      ['dose-4-stirred', 'stir-in'],
      ['dose-1', 'beaker'],
      ['dose-3', 'beaker'],
      ['beaker', 'stir-in'],
      ['dose-2', 'jug'],
    ],
  );
});

test('whatever is dosed, everything in the jug fills the molds and adds up to its weight', () => {
  const share = fc.integer({ min: 1, max: 300 }).map((n) => `${n / 100} %`);
  fc.assert(
    fc.property(
      share,
      share,
      share,
      fc.boolean(),
      fc.integer({ min: 1, max: 40 }),
      (one, two, three, leaves, pieces) => {
        const sheet = sheetOf(
          planFile(
            [
              {
                doses: [
                  [outer, one],
                  [colorant(), two, { dispersantId: 'wet-1', times: 2 }],
                  [additive(), three],
                ],
              },
            ],
            { pieces, jugLossFraction: 0.04 },
            mold(),
            [a, b, inner, dispersant({ leaves })],
          ),
        );
        const [pour] = sheet.pours;
        assert.ok(pour);
        const inJug = pour.lines.filter((line) => !line.leaves);
        const massG = inJug.reduce((sum, line) => sum + line.massG, pour.baseG);
        const volumeMl = pour.lines.reduce((sum, line) => sum + line.volumeMl, pour.baseG / 1.05);
        assert.ok(isClose(massG, pour.jugG) && isClose(volumeMl, pour.jugVolumeMl));
        assert.ok(isClose(pour.jugVolumeMl * 0.96, pieces * 100));
        assert.ok(
          isClose(
            inJug.reduce((sum, line) => sum + line.ofProduct, pour.baseG / pour.jugG),
            1,
          ),
        );
      },
    ),
  );
});
