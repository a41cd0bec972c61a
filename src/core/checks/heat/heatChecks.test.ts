import assert from 'node:assert/strict';
import test from 'node:test';
import { ofCode } from '../../../../tests/support/findings';
import {
  additive,
  BOX,
  base,
  boat,
  type FilePour,
  mold,
  pieces,
  planFile,
  scrap,
  sheetOf,
} from '../../../../tests/support/planFiles';
import { allFindingWords } from '../../../words/en/findings/findingWords';
import { type HouseRules, USUAL_HOUSE_RULES } from '../../houseRules/houseRules';
import { heatOfBase } from '../../materials/base';
import { USUAL_MAKING } from '../../plan/making';
import type { PlanFile } from '../../plan/plan';
import { makePourPlan } from '../../schedule/makePourPlan';
import { applyFix } from '../applyFix';
import type { Finding, FindingCode } from '../finding';
import { reviewPlan } from '../review';
import { heatFindings } from './heatReview';
import { lateFindings } from './lateFindings';
import { withHeat } from './withHeat';

const describeFinding = await allFindingWords();

const RUNS = 6;
/** Checks of the sheet that need no run. */
const OF_HEAT: ReadonlySet<string> = new Set(['mold-too-hot', 'freezer-refused']);
const METRIC = { system: 'metric', locale: 'en' } as const;

function found(file: PlanFile, rules: Partial<HouseRules> = {}, now: string | null = null): Finding[] {
  const sheet = sheetOf(file);
  const house = { ...USUAL_HOUSE_RULES, ...rules };
  const pourPlan = makePourPlan(sheet, house, RUNS);
  const ofSheet = reviewPlan(file, { rules: house, shelf: null }).findings.filter(({ code }) =>
    OF_HEAT.has(code),
  );
  const heat = heatFindings({ sheet, pourPlan, rules: house });
  return [...ofSheet, ...heat, ...lateFindings({ sheet, pourPlan, now })];
}

const codes = (findings: readonly Finding[]) => findings.map(({ code }) => code.replace('heat-', ''));
const two = (second: FilePour, plan: Partial<PlanFile['plan']> = {}, inMold = BOX) =>
  planFile([{ size: '8 mm' }, { size: 'rest', ...second }], plan, inMold);
const of = <Code extends FindingCode>(findings: readonly Finding[], code: Code) => {
  const [finding] = ofCode(findings, code);
  assert.ok(finding, `${code} was not found, but ${codes(findings).join()}`);
  return { finding, said: describeFinding(finding, METRIC) };
};
const mended = (file: PlanFile, { fix }: Finding): PlanFile => {
  assert.ok(fix);
  return { ...file, plan: applyFix(file, fix) };
};

test('a pour that is dragged too late bonds weakly; it says how warm it would have to be, and one press takes it back', () => {
  const late = two({ when: { afterMin: 45 } });
  const { finding, said } = of(found(late), 'heat-weak-bond');
  assert.equal(finding.severity, 'caution');
  assert.match(said.reason, /45 min .* too late at 52 °C/);
  assert.match(said.reason, /Rewarm it to \d\d °C to \d\d °C, or spray and score/);
  const { rewarm } = finding;
  assert.ok(rewarm && rewarm.fromC >= 54 && rewarm.toC <= 66);
  const back = found(mended(late, finding));
  assert.ok(!back.some(({ code, severity }) => code === 'heat-weak-bond' && severity === 'caution'));
  // Poured as warm as it says, it bonds there too.
  const warm = two({
    when: { afterMin: 45, atC: Math.round((rewarm.fromC + rewarm.toC) / 2) },
  });
  assert.ok(!found(warm).some(({ code, severity }) => code === 'heat-weak-bond' && severity === 'caution'));
});

test('a pour that is too hot on a fresh skin breaks through, and so does one before the skin', () => {
  const hot = two({ when: { atC: 66, afterMin: 6 } });
  const { finding, said } = of(found(hot), 'heat-breaks-through');
  assert.match(said.title, /B (will|may) break through/);
  assert.ok(!codes(found(mended(hot, finding))).includes('breaks-through'));
  const early = of(found(two({ when: { atC: 60, afterMin: 4 } })), 'heat-breaks-through');
  assert.match(early.said.reason, /before the skin carries/);
});

test('a jug of many small cavities is too thick before the last of them', () => {
  const many = mold({
    ...BOX,
    cavities: 220,
    capacityMl: 5,
    shape: { kind: 'hemisphere', diameterMm: 26.7 },
  });
  const { said } = of(found(planFile([{}], { pieces: 220 }, many), { jugs: [] }), 'heat-jug-too-thick');
  assert.match(said.reason, /below 47 °C it no longer runs/);
});

test('thin plastic that is too hot for a pour stops the plan, and is mended by pouring cooler', () => {
  const plastic = mold({ ...BOX, madeOf: 'thin-plastic', highestC: null });
  const file = planFile([{ when: { atC: 63 } }], {}, plastic);
  const { finding, said } = of(found(file), 'mold-too-hot');
  assert.equal(finding.severity, 'stop');
  assert.match(said.reason, /63 °C; thin plastic usually bears 60 °C/);
  assert.deepEqual(codes(found(mended(file, finding))), []);
  assert.deepEqual(codes(found(planFile([{}], {}, plastic))), []);
});

test('embeds: thin points melt in a deep hot pour', () => {
  const offcuts = scrap();
  const file = planFile(
    [
      {
        size: 'rest',
        when: { atC: 62 },
        embeds: [pieces(offcuts.id, { size: { by: 'box', lengthMm: 20, widthMm: 10, heightMm: 6 } })],
      },
    ],
    {},
    BOX,
    [offcuts],
  );
  const { said } = of(found(file), 'heat-points-melt');
  assert.match(said.reason, /at 49 °C and below even points stay.* usual soap is taken/);
});

test('what a plan makes melts as its own base does: syndet sooner, and not at all what keeps its shape', () => {
  const set = (over: Parameters<typeof base>[0]) => {
    const embeds = [pieces('', { from: { is: 'plan', planId: 'boat' } })];
    const file = planFile([{ size: 'rest', when: { atC: 62 }, embeds }], {}, BOX);
    return ofCode(
      found({ ...file, made: [boat({ ofBase: heatOfBase(base(over)) })] }),
      'heat-points-melt',
    )[0];
  };
  const [soap, syndet] = [set({}), set({ baseKind: 'syndet', meltsC: 52 })];
  assert.ok(soap && syndet && !soap.assumed);
  // What is not even told a thickness melts whole.
  const thinnest = ({ thinnestMm }: typeof soap) => thinnestMm ?? Number.POSITIVE_INFINITY;
  assert.ok(thinnest(syndet) > thinnest(soap));
  assert.ok(syndet.pointsStayBelowC < soap.pointsStayBelowC);
  assert.equal(set({ standsHeat: true }), undefined);
});

test('grit sinks in thin hot base, and is held by a cooler pour or a suspension base', () => {
  const grit = additive({ role: 'grit', grainMm: 0.5, densityGPerMl: 1.4 });
  const plain = base({ suspension: false });
  const file = planFile([{ base: plain, doses: [[grit, '3 %']], when: { atC: 60 } }], {}, BOX);
  const { finding, said } = of(found(file), 'heat-grain-moves');
  assert.match(said.title, /sinks in A/);
  assert.ok(finding.movesMm > 1);
  if (finding.fix) assert.ok(!codes(found(mended(file, finding))).includes('grain-moves'));
  else assert.match(said.reason, /take a suspension base/);
  const held = planFile([{ base: base({ suspension: true }), doses: [[grit, '3 %']] }], {}, BOX);
  assert.ok(!codes(found(held)).includes('grain-moves'));
  // Where heat tells, the sheet need not guess.
  const sheetOnly = reviewPlan(file).findings;
  assert.ok(sheetOnly.some(({ code }) => code === 'solids-move'));
  const both = withHeat(sheetOnly, found(file), [{ pourIndex: 0, doseIndex: 0, name: grit.name }]);
  assert.ok(
    !both.some(({ code }) => code === 'solids-move') && both.some(({ code }) => code === 'heat-grain-moves'),
  );
});

test('the freezer: refused, too long, not for this base, and what gathers on it until when', () => {
  const file = (freezerMin: number, sweat: 'low' | 'standard' = 'low') =>
    planFile(
      [{ base: base({ sweat, bearsFreezer: sweat === 'low' }) }],
      { making: { ...USUAL_MAKING, freezerMin, clock: { at: 'start', time: '2026-05-02T09:00' } } },
      BOX,
    );
  const refused = of(found(file(8), { freezer: 'never' }), 'freezer-refused');
  assert.equal(refused.finding.severity, 'stop');
  assert.match(refused.said.reason, /dew point of 10 °C and gathers water/);
  assert.equal(mended(file(8), refused.finding).plan.making?.freezerMin, null);
  const kinds = (findings: readonly Finding[], locale = 'en-GB') =>
    findings
      .filter(({ code }) => code.startsWith('heat-freezer-'))
      .map((each) => describeFinding(each, { ...METRIC, locale }).title);
  assert.match(kinds(found(file(60))).join('|'), /60 min in the freezer is too long/);
  assert.match(kinds(found(file(8, 'standard'))).join('|'), /does not bear the freezer/);
  // An hour takes it below the dew point; by the clock of the plan, as its reader writes times.
  const long = found(file(180), { freezer: 'freely' });
  assert.match(kinds(long).join('|'), /collects dew out of the freezer until \d\d:\d\d$/);
  assert.match(kinds(long, 'en-US').join('|'), /collects dew out of the freezer until \d:\d\d PM$/);
  assert.match(kinds(found(file(3), { freezer: 'freely' })).join('|'), /comes out of the freezer dry/);
});

test('a humid room makes it sweat by its grade, or by its own figure', () => {
  const humid = (over: Parameters<typeof base>[0]) =>
    planFile(
      [{ base: base(over) }],
      { making: { ...USUAL_MAKING, room: { ...USUAL_MAKING.room, humidity: 0.65 } } },
      BOX,
    );
  assert.match(
    of(found(humid({ sweat: 'standard' })), 'heat-sweats').said.reason,
    /draws water above about 58 %/,
  );
  assert.ok(!codes(found(humid({ sweat: 'low' }))).includes('sweats'));
  assert.ok(!codes(found(humid({ sweat: 'standard', sweatsAbove: 0.7 }))).includes('sweats'));
});

test('a plan that can’t be done by its time', () => {
  const by = (time: string) =>
    planFile([{}], { making: { ...USUAL_MAKING, clock: { at: 'finish', time } } }, BOX);
  const now = '2026-05-02T16:30';
  assert.match(of(found(by('2026-05-02T17:00'), {}, now), 'heat-too-late').said.title, /can’t be done by/);
  assert.deepEqual(codes(found(by('2026-05-02T22:00'), {}, now)), []);
  assert.deepEqual(codes(found(by('2026-05-02T17:00'), {}, null)), []);
});

test('a plain tray of three layers has no heat caution; without alcohol a weak bond is one, and alcohol is no task', () => {
  const tray = mold({
    cavities: 1,
    capacityMl: 2100,
    shape: { kind: 'box', lengthMm: 300, widthMm: 200, depthMm: 35, draftDeg: 0, cornerMm: 0 },
  });
  const file = planFile([{ size: '1 part' }, { size: '1 part' }, { size: '1 part' }], { pieces: 1 }, tray);
  const judged = (spritz: 'always' | 'never') => {
    const rules = { ...USUAL_HOUSE_RULES, spritz };
    const sheet = sheetOf(file);
    const pourPlan = makePourPlan(sheet, rules, 40);
    const heat = heatFindings({ sheet, pourPlan, rules });
    return { heat, spritzed: pourPlan.tasks.filter(({ kind }) => kind === 'spritz') };
  };
  const { heat, spritzed } = judged('always');
  assert.deepEqual(
    heat.filter(({ severity }) => severity !== 'note').map(({ code }) => code),
    [],
  );
  assert.deepEqual(
    spritzed.map(({ id, fromS, toS }) => [id, Math.round(toS - fromS)]),
    [
      ['r1/B/l1/spritz', 10],
      ['r1/C/l1/spritz', 10],
    ],
  );
  const without = judged('never');
  assert.deepEqual(without.spritzed, []);
  assert.ok(without.heat.some(({ code, severity }) => code === 'heat-weak-bond' && severity === 'caution'));
});
