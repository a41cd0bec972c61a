import assert from 'node:assert/strict';
import test from 'node:test';
import fc from 'fast-check';
import { ofCode } from '../../../tests/support/findings';
import { additive, base, fragrance, planFile } from '../../../tests/support/planFiles';
import { allFindingWords } from '../../words/en/findings/findingWords';
import type { DosedMaterial } from '../materials/material';
import { LAID_WHERE } from '../plan/laid';
import type { PlanFile } from '../plan/plan';
import { applyFix } from './applyFix';
import { hasStop, reviewPlan } from './review';

const describeFinding = await allFindingWords();

const codes = (file: PlanFile) =>
  reviewPlan(file).findings.map(({ code, severity }) => `${severity} ${code}`);

/** Presses the mend of the finding with this code. */
function mended(file: PlanFile, code: string): PlanFile {
  const mend = reviewPlan(file).findings.find((finding) => finding.code === code)?.fix;
  assert.ok(mend, `no mend for ${code}`);
  return { ...file, plan: applyFix(file, mend) };
}

test('a plan within all its limits has no findings', () => {
  assert.deepEqual(codes(planFile([{ doses: [[fragrance(), '3 %']] }])), []);
});

test('fragrance over the cap of the base stops; over a usual cap it cautions', () => {
  const doses: [ReturnType<typeof fragrance>, string][] = [[fragrance(), '3.1 %']];
  assert.deepEqual(codes(planFile([{ doses }])), ['stop fragrance-over-cap']);
  assert.deepEqual(codes(planFile([{ base: base({ fragranceCapOfBase: null }), doses }])), [
    'caution fragrance-over-cap',
  ]);
});

test('two fragrances share the cap, and the mend brings both down alike', () => {
  const file = planFile([
    {
      doses: [
        [fragrance(), '4 %'],
        [fragrance({ id: 'scent-2' }), '2 %'],
      ],
    },
  ]);
  const after = mended(file, 'fragrance-over-cap');
  assert.deepEqual(
    after.plan.pours[0]?.doses.map(({ text }) => text),
    ['2 %', '1 %'],
  );
  assert.deepEqual(codes(after), []);
});

test('additions: a syndet base takes 2 % fragrance with 1 % oil, not with 2 %', () => {
  const syndet = base({ baseKind: 'syndet', fragranceCapOfBase: null, additionsCapOfBase: null });
  const oil = additive({ role: 'oil', densityGPerMl: 0.92 });
  const doses = (share: string) => ({
    base: syndet,
    doses: [
      [fragrance(), '2 %'],
      [oil, share],
    ] as [DosedMaterial, string][],
  });
  assert.deepEqual(codes(planFile([doses('1 %')])), []);
  assert.deepEqual(codes(planFile([doses('2 %')])), ['caution oils-over-cap', 'caution additions-over-cap']);
});

test('grit is counted apart in a soap base, and counted in a syndet', () => {
  const grit = additive({ role: 'grit', grainMm: 0.4, densityGPerMl: 1.4, bulkDensityGPerMl: 0.6 });
  assert.deepEqual(codes(planFile([{ doses: [[grit, '12 %']] }])), []);
  const syndet = base({ baseKind: 'syndet', additionsCapOfBase: 0.03 });
  assert.deepEqual(codes(planFile([{ base: syndet, doses: [[grit, '12 %']] }])), ['stop additions-over-cap']);
});

test('the supplier limit holds on product: 2 % of base is 1.96 % of product', () => {
  const doses = (limit: number): [ReturnType<typeof fragrance>, string][] => [
    [fragrance({ maxOfProduct: limit }), '2 %'],
  ];
  assert.deepEqual(codes(planFile([{ doses: doses(0.0197) }])), []);
  assert.deepEqual(codes(planFile([{ doses: doses(0.0195) }])), ['stop over-supplier-limit']);
});

test('not released for skin is a stop that the mend takes out', () => {
  const file = planFile([{ doses: [[fragrance({ skin: 'not-released' }), '1 %']] }]);
  assert.deepEqual(codes(file), ['stop not-for-skin']);
  assert.equal(mended(file, 'not-for-skin').plan.pours[0]?.doses.length, 0);
});

test('a fragrance without facts is a caution, never fine', () => {
  assert.deepEqual(codes(planFile([{ doses: [[fragrance({ maxOfProduct: null }), '1 %']] }])), [
    'caution unknown-limit',
  ]);
  assert.deepEqual(codes(planFile([{ doses: [[fragrance({ skin: 'unknown' }), '1 %']] }])), [
    'caution unknown-limit',
  ]);
});

test('stand-in figures are named, and drops are always approximate', () => {
  assert.deepEqual(codes(planFile([{ base: base({ densityGPerMl: null }) }])), ['note stand-in-figures']);
  const { sheet, findings } = reviewPlan(planFile([{ doses: [[fragrance(), '60 drops']] }]));
  assert.equal(sheet?.pours[0]?.lines[0]?.exact, false);
  assert.deepEqual(
    ofCode(findings, 'stand-in-figures').map(({ figures }) => figures),
    [['drop-size']],
  );
});

test('an unreadable dose stops, and no room for base is the only finding', () => {
  assert.deepEqual(codes(planFile([{ doses: [[fragrance(), '2.5.1 %']] }])), ['stop dose-unreadable']);
  assert.deepEqual(codes(planFile([{ doses: [[additive(), '50 kg']] }])), ['stop no-room-for-base']);
});

test('every finding can be said, and every mend resolves its finding', () => {
  const amount = fc.oneof(
    fc.integer({ min: 0, max: 1200 }).map((hundredths) => `${hundredths / 100} %`),
    fc.integer({ min: 0, max: 60 }).map((grams) => `${grams} g`),
    fc.integer({ min: 0, max: 20 }).map((ml) => `${ml} mL`),
    fc.constantFrom('2,5', 'some', ''),
  );
  const scent = fc.record({
    skin: fc.constantFrom('released', 'not-released', 'unknown'),
    maxOfProduct: fc.option(fc.integer({ min: 1, max: 600 }).map((n) => n / 10_000)),
    densityGPerMl: fc.option(fc.constant(0.9)),
  });
  const anyDoses = fc.array(fc.tuple(scent, amount), { maxLength: 5 });
  const anyLaid = fc.array(fc.tuple(scent, amount, fc.constantFrom(...LAID_WHERE)), { maxLength: 2 });
  const anyBatch = fc.option(
    fc.record({
      by: fc.constantFrom('base' as const, 'jug' as const),
      massG: fc.constantFrom(20, 300, 2000),
      gives: fc.constantFrom('pieces' as const, 'fill' as const),
    }),
    { nil: undefined, freq: 1 },
  );
  fc.assert(
    fc.property(anyDoses, anyDoses, anyLaid, anyBatch, (scents, extras, laid, batch) => {
      const file = planFile(
        [
          {
            // One laid material is one that is stirred in too.
            laid: laid.map(([facts, text, where], n) => [
              additive({ id: `extra-${n}`, name: `Extra ${n}`, ...facts }),
              text,
              where,
            ]),
            doses: [
              ...scents.map(
                ([facts, text], n) =>
                  [fragrance({ id: `scent-${n}`, name: `Scent ${n}`, ...facts }), text] as [
                    DosedMaterial,
                    string,
                  ],
              ),
              ...extras.map(
                ([facts, text], n) =>
                  [additive({ id: `extra-${n}`, name: `Extra ${n}`, ...facts }), text] as [
                    DosedMaterial,
                    string,
                  ],
              ),
            ],
          },
        ],
        batch ? { batch: { ...batch, text: '' } } : {},
      );
      for (const finding of reviewPlan(file).findings) {
        const said = describeFinding(finding, { system: 'metric', locale: 'en-GB' });
        assert.ok(said.title && said.reason);
        assert.equal(said.fixLabel === null, finding.fix === null);
        if (!finding.fix) continue;
        const after = reviewPlan({ ...file, plan: applyFix(file, finding.fix) });
        const still = after.findings.filter(
          ({ code, about }) => code === finding.code && about === finding.about,
        );
        const before = reviewPlan(file).findings.filter(
          ({ code, about }) => code === finding.code && about === finding.about,
        );
        assert.ok(still.length < before.length, finding.code);
      }
    }),
    { numRuns: 400 },
  );
});

test('only a stop keeps a plan from the bench', () => {
  const caution = reviewPlan(planFile([{ doses: [[fragrance({ maxOfProduct: null }), '1 %']] }]));
  const stop = reviewPlan(planFile([{ doses: [[fragrance(), '9 %']] }]));
  assert.deepEqual([hasStop(caution.findings), hasStop(stop.findings)], [false, true]);
});
