import assert from 'node:assert/strict';
import test from 'node:test';
import { additive, BOX, base, fragrance, isClose, planFile, scrap } from '../../../tests/support/planFiles';
import { allFindingWords } from '../../words/en/findings/findingWords';
import { USUAL_HOUSE_RULES } from '../houseRules/houseRules';
import { makePourPlan } from '../schedule/makePourPlan';
import { parseQuantity } from '../units/parseQuantity';
import { allergensOf } from './allergens';
import { applyFix } from './applyFix';
import type { FindingCode } from './finding';
import { withHeat } from './heat/withHeat';
import { reviewPlan } from './review';

const describeFinding = await allFindingWords();
const SCENT = fragrance({ maxOfProduct: 0.02, allergens: [{ name: 'Linalool', ofMaterial: 0.5 }] });
const OWN = base({ fragranceCapOfBase: 0.03 });
/** A hundred grams of base with 3 g of scent. */
const JAR = scrap({
  melts: 2,
  holds: [
    { materialId: OWN.id, name: OWN.name, kind: 'base', ofScrap: 100 / 103 },
    { materialId: SCENT.id, name: SCENT.name, kind: 'dose', ofScrap: 3 / 103 },
  ],
});

function review(ofBase: number, said: string, jar = JAR, materials = [SCENT]) {
  const file = planFile([{ base: OWN, doses: [[SCENT, said]] }], {}, BOX, [jar]);
  const pours = file.plan.pours.map((pour) => ({ ...pour, remelt: { scrapId: jar.id, ofBase } }));
  const kept = file.materials.filter(({ id }) => id !== SCENT.id);
  return reviewPlan({ ...file, plan: { ...file.plan, pours }, materials: [...kept, ...materials] });
}

const of = ({ findings }: ReturnType<typeof review>, code: FindingCode) =>
  findings.filter((finding) => finding.code === code);

test('what was dosed before counts in caps, in the supplier’s limit and among the allergens', () => {
  const half = review(0.5, '1 %');
  // Of 100 g, 50 g are of the jar with 1.456 g of scent: 2.456 g on 98.544 g of base.
  const allergen = allergensOf(half.sheet as never)[0]?.ofProduct ?? 0;
  assert.ok(isClose(allergen, ((1.5 / 103) * 100 + 1) / 101 / 2, 1e-9), `${allergen}`);
  assert.deepEqual(of(half, 'fragrance-over-cap'), []);
  const [limit] = of(half, 'over-supplier-limit');
  assert.ok(limit?.code === 'over-supplier-limit' && isClose(limit.ofProduct, allergen * 2, 1e-9));
  // Brought down, it is the added dose that goes, as far as is needed.
  const [edit] = limit.fix ?? [];
  assert.ok(edit?.kind === 'set-dose');
  const brought = parseQuantity(edit.text);
  assert.ok(brought.success);
  const mended = review(0.5, edit.text);
  assert.deepEqual(of(mended, 'over-supplier-limit'), []);
  // All of it again is over by itself: nothing that is added can be brought down far enough.
  const whole = review(1, '1 %');
  const [cap] = of(whole, 'fragrance-over-cap');
  assert.ok(cap?.code === 'fragrance-over-cap' && isClose(cap.ofBase, (3 / 103 + 0.01) / (100 / 103), 1e-9));
  assert.equal(of(whole, 'over-supplier-limit')[0]?.fix, null);
});

test('it is told what is melted again, and as a caution where nobody knows what it holds', () => {
  const said = (each: ReturnType<typeof review>) => {
    const [finding] = of(each, 'remelted');
    assert.ok(finding);
    const { title, reason } = describeFinding(finding, { system: 'metric', locale: 'en' });
    return [finding.severity, title, reason];
  };
  const [severity, title, reason] = said(review(0.5, '0.1 %'));
  assert.deepEqual([severity, title], ['note', 'Test offcuts is melted again in A']);
  assert.match(reason ?? '', /50 % of the base comes out of it, with Test scent 1\.46 % of the base/);
  assert.match(reason ?? '', /melted 2 times before/);
  assert.equal(said(review(0.5, '0.1 %', scrap()))[0], 'caution');
  const gone = scrap({
    holds: [...(JAR.holds ?? []), { materialId: 'gone', name: 'Old blue', kind: 'dose', ofScrap: 0.001 }],
  });
  assert.match(said(review(0.5, '0.1 %', gone))[2] ?? '', /Old blue is in it and no more on the shelf/);
});

test('what must not touch skin, scratches, browns or comes from milk does so out of a jar, too, and fresh base ends it', () => {
  const candle = fragrance({
    id: 'candle',
    name: 'Candle scent',
    skin: 'candle-only',
    vanillinOfMaterial: 0.05,
  });
  const grit = additive({ id: 'grit', name: 'Coarse shell', role: 'grit', grainMm: 2, densityGPerMl: 1.4 });
  const milk = base({ id: 'milk', name: 'Milk base', baseKind: 'syndet', origins: ['milk'] });
  const held = (materialId: string, name: string, kind: 'base' | 'dose', ofScrap: number) => ({
    ...{ materialId, name, kind, ofScrap },
  });
  const jar = scrap({
    holds: [
      held('milk', milk.name, 'base', 0.9),
      held('candle', candle.name, 'dose', 0.02),
      held('grit', grit.name, 'dose', 0.08),
    ],
  });
  const file = planFile([{ base: { ...OWN, suspension: false } }], { use: 'face' }, BOX, [
    ...[jar, candle, grit, milk],
  ]);
  const [pour] = file.plan.pours;
  assert.ok(pour);
  const plan = { ...file.plan, pours: [{ ...pour, remelt: { scrapId: jar.id, ofBase: 0.5 } }] };
  const { findings, sheet } = reviewPlan({ ...file, plan });
  assert.ok(sheet);
  const { grains } = makePourPlan(sheet, USUAL_HOUSE_RULES, 0);
  assert.deepEqual([grains[0]?.name, grains[0]?.doseIndex], [grit.name, null]);
  assert.ok((grains[0]?.movesMm ?? 0) > 1 && findings.some(({ code }) => code === 'solids-move'));
  assert.ok(!withHeat(findings, [], grains).some(({ code }) => code === 'solids-move'));
  const found = (code: FindingCode) => findings.find((each) => each.code === code);
  for (const code of ['candle-only', 'grit-too-coarse', 'vanillin-browns'] as const) {
    const told = found(code);
    assert.ok(told, code);
    assert.deepEqual(told.doseIndexes, [], code);
  }
  assert.ok(
    findings.some(
      (each) => each.code === 'origins' && each.origin === 'milk' && /Milk base/.test(each.about),
    ),
  );
  const stop = found('candle-only');
  assert.equal(stop?.severity, 'stop');
  const words = describeFinding(stop as never, { system: 'metric', locale: 'en' });
  assert.match(words.reason, /It comes with what is melted again/);
  assert.equal(words.fixLabel, 'Melt fresh base instead');
  const again = found('remelted');
  assert.ok(again?.code === 'remelted' && again.ofOtherKind && again.severity === 'caution');
  const mended = applyFix({ plan, mold: file.mold }, stop?.fix ?? []);
  assert.equal(mended.pours[0]?.remelt, undefined);
  assert.deepEqual(
    reviewPlan({ ...file, plan: mended }).findings.filter(({ severity }) => severity === 'stop'),
    [],
  );
});
