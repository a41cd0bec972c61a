import assert from 'node:assert/strict';
import test from 'node:test';
import { BOX, planFile, sheetOf } from '../../../tests/support/planFiles';
import { USUAL_HOUSE_RULES } from '../houseRules/houseRules';
import { benchOf, jugFor } from './bench';
import { busy, earliestFree, latestFree } from './busy';
import { heatCaseOf } from './heatCase';
import type { JugLoad } from './jugLoads';
import { keptPourPlans } from './keptPourPlans';
import type { PourPlan } from './pourPlan';
import { rangeOf, shifted } from './range';

const jug = (name: string, holdsMl: number) => ({ id: name, name, holdsMl, taught: [] });
const load = (contentMl: number): JugLoad => ({
  pourIndex: 0,
  serves: [0],
  baseName: 'Base',
  meltG: contentMl,
  contentG: contentMl,
  contentMl,
});
const withJugs = (...jugs: ReturnType<typeof jug>[]) => {
  const sheet = sheetOf(planFile([{}], {}, BOX));
  return benchOf(sheet, heatCaseOf(sheet, USUAL_HOUSE_RULES), { ...USUAL_HOUSE_RULES, jugs });
};

test('the smallest jug that is free and takes it under its headspace', () => {
  const bench = withJugs(jug('Large', 2000), jug('Small', 400), jug('Middle', 1000));
  const name = (ml: number, dueS = 5000) => jugFor(bench, load(ml), dueS).name;
  // A quarter of each stays empty.
  assert.deepEqual(
    [300, 301, 750, 751, 9000].map((ml) => name(ml)),
    ['Small', 'Middle', 'Middle', 'Large', 'Large'],
  );
  bench.keepJug(jug('Small', 400), 4500);
  // It has to be free some twenty minutes before a pour is due; but one that is free soon is waited for.
  assert.equal(name(300, 6000), 'Small');
  assert.equal(name(300, 5000), 'Middle');
  bench.keepJug(jug('Middle', 1000), 9000);
  bench.keepJug(jug('Large', 2000), 8000);
  assert.equal(name(700, 5000), 'Large');
});

test('the only jug that a later pour fits into is left to it where another is free soon', () => {
  const bench = withJugs(jug('Small', 400), jug('Large', 2000));
  bench.keepJug(jug('Small', 400), 5200);
  assert.equal(jugFor(bench, load(100), 5000).name, 'Large');
  assert.equal(jugFor(bench, load(100), 5000, [load(900)]).name, 'Small');
  // Not where that would be long.
  bench.keepJug(jug('Small', 400), 9000);
  assert.equal(jugFor(bench, load(100), 5000, [load(900)]).name, 'Large');
});

test('two jugs of one name are two jugs', () => {
  const twin = { ...jug('Small', 400), id: 'twin' };
  const bench = withJugs(jug('Small', 400), twin);
  bench.keepJug(jug('Small', 400), 9000);
  assert.equal(jugFor(bench, load(100), 5000).id, 'twin');
});

test('without jugs any content has one, as many as it takes', () => {
  const bench = withJugs();
  const any = jugFor(bench, load(300), 0);
  assert.deepEqual([any.name, any.holdsMl], ['', 400]);
  bench.keepJug(any, 9000);
  assert.equal(bench.jugFreeS(jugFor(bench, load(300), 0)), Number.NEGATIVE_INFINITY);
});

test('hands: what is taken is taken, and what touches it is not', () => {
  const hands = busy();
  hands.take(100, 200);
  assert.ok(hands.isFree(0, 100) && hands.isFree(200, 300));
  assert.ok(!hands.isFree(50, 101) && !hands.isFree(150, 160) && !hands.isFree(199, 400));
  const free = (startS: number) => hands.isFree(startS, startS + 50);
  assert.equal(latestFree(190, 0, free), 40);
  assert.equal(latestFree(190, 120, free), null);
  assert.equal(earliestFree(120, free), 210);
  // To the second where only hands are asked for.
  hands.take(230, 400);
  assert.deepEqual(
    [hands.firstFreeS(120, 30), hands.firstFreeS(120, 50), hands.firstFreeS(0, 100)],
    [200, 400, 0],
  );
});

test('ranges: the 10th and the 90th of a hundred, and always round the middle', () => {
  const figures = Array.from({ length: 101 }, (_, at) => at);
  assert.deepEqual(rangeOf(50, figures), { low: 10, middle: 50, high: 90 });
  assert.deepEqual(rangeOf(95, figures), { low: 10, middle: 95, high: 95 });
  assert.deepEqual(rangeOf(-3, figures), { low: -3, middle: -3, high: 90 });
  assert.deepEqual(rangeOf(7, []), { low: 7, middle: 7, high: 7 });
  assert.deepEqual(shifted({ low: 1, middle: 2, high: 4 }, 10), { low: 11, middle: 12, high: 14 });
});

test('pour plans are kept by their key, and the one that was asked for longest ago goes first', () => {
  const plans = keptPourPlans(2);
  const [a, b, c] = [{ samples: 1 }, { samples: 2 }, { samples: 3 }] as PourPlan[];
  assert.ok(a && b && c);
  plans.keep('a', a);
  plans.keep('b', b);
  assert.equal(plans.find('a'), a);
  plans.keep('c', c);
  assert.deepEqual([plans.find('a'), plans.find('b'), plans.find('c')], [a, undefined, c]);
  // By weight: as many go as it takes, and what is heavier than all may be is not kept.
  const heavy = keptPourPlans(4, ({ samples }) => samples);
  for (const [key, plan] of Object.entries({ a, b, c })) heavy.keep(key, plan);
  assert.deepEqual([heavy.find('a'), heavy.find('b'), heavy.find('c')], [undefined, undefined, c]);
  heavy.keep('d', { samples: 5 } as PourPlan);
  assert.deepEqual([heavy.find('c'), heavy.find('d')], [undefined, undefined]);
});
