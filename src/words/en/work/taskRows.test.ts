import assert from 'node:assert/strict';
import test from 'node:test';
import { BOX, base, fragrance, pieces, planFile, scrap, sheetOf } from '../../../../tests/support/planFiles';
import { USUAL_HOUSE_RULES } from '../../../core/houseRules/houseRules';
import { USUAL_MAKING } from '../../../core/plan/making';
import type { PlanFile } from '../../../core/plan/plan';
import { withFreezer, withMaking, withWhen } from '../../../core/plan/setMaking';
import { makePourPlan } from '../../../core/schedule/makePourPlan';
import { burstWords } from './meltWords';
import { roundRows, taskRows } from './taskRows';

const rowsOf = (file: PlanFile, system: 'metric' | 'us' = 'metric', rules = USUAL_HOUSE_RULES) => {
  const sheet = sheetOf(file);
  return taskRows(sheet, makePourPlan(sheet, rules, 3), { system, locale: 'en-GB' });
};

test('every stretch in words: what, how much, how warm, how long; hands-on moments are marked', () => {
  const offcuts = scrap();
  const file = planFile(
    [
      {
        size: '8 mm',
        base: base({ name: 'Snow', sweat: 'low', bearsFreezer: true, hardensH: 24 }),
        doses: [[fragrance(), '2 %']],
      },
      {
        size: 'rest',
        base: base({ name: 'Snow', sweat: 'low', bearsFreezer: true, hardensH: 24 }),
        embeds: [pieces(offcuts.id, { size: { by: 'ball', diameterMm: 8 } })],
      },
    ],
    { pieces: 36, making: { ...USUAL_MAKING, freezerMin: 6 } },
    {
      ...BOX,
      shape: { kind: 'box', lengthMm: 80, widthMm: 50, depthMm: 25, draftDeg: 0, cornerMm: 0 },
      sliceMm: 20,
    },
    [offcuts],
  );
  const rows = rowsOf(file);
  const all = rows.map(({ words }) => words).join('\n');
  for (const said of [
    /Round 1: Cut and weigh \d+\.\d g Snow for A, cut up to \d+\.0 g\./,
    /Round 1: Melt A: bursts of .*, stir between, to 6\d °C\./,
    /Round 1: \d\.\d\d g Test scent into A\./,
    /Let A cool to \d\d °C\./,
    /Pour B at 52 °C\./,
    /Set 6 pieces of Test offcuts into B\./,
    /Set 3 pieces of Test offcuts into B\./,
    /Skin of A: (about )?\d+.* min\. Touch the edge: it must not move\./,
    /In the freezer for 6 min\./,
    /It sets: .*, until its core is cold enough to come out\./,
    /Out of the mold\./,
    /Wipe the mold for the next round\./,
    /Cut: firm, not brittle\./,
    /It hardens for 24 h\./,
    /Round 2: Wrap\./,
  ])
    assert.match(all, said);
  assert.ok(rows.every(({ when }) => /^\d+:\d\d$/.test(when)));
  const hands = (start: string) =>
    rows.filter(({ words }) => words.includes(start)).map((row) => row.task.hands);
  assert.ok(
    hands('Pour ').every(Boolean) && hands('Melt ').every(Boolean) && !hands('It sets').some(Boolean),
  );
  assert.match(
    rowsOf(file, 'us')
      .map(({ words }) => words)
      .join('\n'),
    /Pour B at 126 °F/,
  );
  const bath = rowsOf(file, 'metric', { ...USUAL_HOUSE_RULES, meltIn: 'double-boiler' });
  assert.match(bath.map(({ words }) => words).join('\n'), /over hot, not boiling water/);
});

test('by the clock where the plan has one, with the day where it is another', () => {
  const clock = { at: 'start', time: '2026-05-02T23:50' } as const;
  const rows = rowsOf(planFile([{}], { making: { ...USUAL_MAKING, clock } }, BOX));
  assert.equal(rows[0]?.when, '23:50');
  assert.match(rows.at(-1)?.when ?? '', /3 May.* 0\d:\d\d/);
});

test('rounds, a line each: as the list has them', () => {
  const file = planFile([{ size: '8 mm' }, { size: 'rest' }], { pieces: 15 }, BOX);
  const sheet = sheetOf(file);
  const pourPlan = makePourPlan(sheet, USUAL_HOUSE_RULES, 0);
  const showing = { system: 'metric', locale: 'en' } as const;
  const rounds = roundRows(sheet, pourPlan, showing);
  assert.deepEqual(
    rounds.map(({ round }) => round),
    [1, 2, 3],
  );
  const rows = taskRows(sheet, pourPlan, showing);
  for (const { round, melt, pours, out } of rounds) {
    const when = (words: string) =>
      rows.find((row) => row.words.startsWith(`Round ${round}: ${words}`))?.when;
    assert.deepEqual([melt, ...pours, out], [when('Melt'), when('Pour A'), when('Pour B'), when('Out of')]);
  }
});

test('bursts as one says them', () => {
  const burst = (lengthS: number, power = 1) => ({ lengthS, power, stirS: 10, restS: 5 });
  assert.equal(
    burstWords([burst(30), burst(30), burst(20, 0.5), burst(0), burst(5)], 'en'),
    'bursts of 2 × 30 s, 20 s at 50 % power, 5 s, stir between',
  );
});

test('a pour’s moment and heat are said, changed and left again; nothing else of the plan moves', () => {
  const { plan } = planFile([{ size: '8 mm' }, { size: 'rest' }], {}, BOX);
  const said = withWhen(plan, 1, { afterMin: 20, atC: 53 });
  assert.deepEqual(said.pours[1]?.when, { afterMin: 20, atC: 53 });
  assert.equal(said.pours[0], plan.pours[0]);
  assert.deepEqual(withWhen(said, 1, { afterMin: null }).pours[1]?.when, { atC: 53 });
  assert.deepEqual(withWhen(said, 1, { afterMin: null, atC: null }), plan);
  assert.deepEqual(withMaking(plan, {}).making, USUAL_MAKING);
  assert.equal(withFreezer(plan, 8).making?.freezerMin, 8);
});
