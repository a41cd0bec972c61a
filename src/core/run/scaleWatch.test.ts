import assert from 'node:assert/strict';
import test from 'node:test';
import { USUAL_HOUSE_RULES } from '../houseRules/houseRules';
import { type AtRest, atRest, type ScaleReading, scaleTarget, watchScale } from './scaleWatch';

const TARGET = { targetG: 12.4, bandG: 0.25, stepG: 0.1, isFine: true };

/** Readings ten times a second. */
const at10Hz = (masses: readonly number[], isStable: boolean | null = null): ScaleReading[] =>
  masses.map((massG, place) => ({ massG, isStable, atMs: place * 100 }));
const resting = (massG: number): AtRest => ({ massG, flickerG: 0 });
const still = (massG: number, count: number) => Array.from({ length: count }, () => massG);

test('it is accepted after two seconds still in the band, and not sooner', () => {
  const rising = [0, 3, 6, 9, 12, 12.3];
  assert.equal(watchScale([], resting(0), TARGET), null);
  const soon = watchScale(at10Hz([...rising, ...still(12.4, 15)]), resting(0), TARGET);
  assert.deepEqual([soon?.place, soon?.isAccepted, soon?.isStable], ['in', false, true]);
  const late = watchScale(at10Hz([...rising, ...still(12.4, 21)]), resting(0), TARGET);
  assert.equal(late?.isAccepted, true);
  // Two readings far apart are no three.
  const few = [
    { massG: 12.4, isStable: true, atMs: 0 },
    { massG: 12.4, isStable: true, atMs: 5000 },
  ];
  assert.equal(watchScale(few, resting(0), TARGET)?.isAccepted, false);
});

test('below, above, moving or said to be unstable it is not accepted, however long', () => {
  const told = (massG: number, isStable: boolean | null = null) =>
    watchScale(at10Hz(still(massG, 60), isStable), resting(0), TARGET);
  assert.deepEqual([told(0.1)?.place, told(11)?.place, told(13)?.place], ['nothing', 'below', 'above']);
  for (const massG of [0.1, 11, 13]) assert.equal(told(massG)?.isAccepted, false);
  assert.equal(told(12.4, false)?.isAccepted, false);
  const swaying = at10Hz(Array.from({ length: 60 }, (_, place) => 12.4 + (place % 2 === 0 ? 0.2 : -0.2)));
  assert.equal(watchScale(swaying, resting(0), TARGET)?.isAccepted, false);
});

test('what stood on the scale before is taken off: doses go into one jug without tare', () => {
  const onJug = watchScale(at10Hz(still(612.4, 30)), resting(600), TARGET);
  assert.deepEqual([onJug?.place, onJug?.isAccepted], ['in', true]);
  assert.ok(Math.abs((onJug?.nettoG ?? 0) - 12.4) < 1e-9);
  assert.equal(watchScale(at10Hz(still(600, 30)), resting(600), TARGET)?.place, 'nothing');
  // Taken off, it is below nothing.
  assert.equal(watchScale(at10Hz(still(0, 30)), resting(600), TARGET)?.place, 'nothing');
});

test('near enough is what a hand gets, or half a step of the workshop’s best scale; what no scale reads finely is not accepted by itself', () => {
  const scales = [
    { id: 'kitchen', name: 'Kitchen', stepG: 1, gramsStepG: null, capacityG: 5000 },
    { id: 'fine', name: 'Fine', stepG: 0.01, gramsStepG: null, capacityG: 200 },
  ];
  const rules = { ...USUAL_HOUSE_RULES, readingErrorMost: 0.05, scales };
  const fine = scaleTarget(0.5, rules);
  assert.deepEqual([fine.bandG, fine.stepG, fine.isFine], [0.01, 0.01, true]);
  assert.equal(scaleTarget(600, rules).bandG, 12);
  // Half a gram on a scale of whole grams, or of tenths where none is told of, is for a hand to say.
  const coarse = scaleTarget(0.5, { ...rules, scales: scales.slice(0, 1) });
  assert.deepEqual([coarse.bandG, coarse.isFine], [0.5, false]);
  assert.equal(watchScale(at10Hz(still(0.5, 60)), resting(0), coarse)?.isAccepted, false);
  assert.equal(scaleTarget(0.5, { ...rules, scales: [] }).isFine, false);
  // A fifth less of a small dose is no dose that is taken.
  assert.equal(watchScale(at10Hz(still(0.41, 60)), resting(0), fine)?.place, 'below');
  assert.equal(watchScale(at10Hz(still(0.5, 60)), resting(0), fine)?.isAccepted, true);
  // A dose below two steps is seen all the same.
  assert.equal(
    watchScale(at10Hz(still(0.1, 60)), resting(0), { ...TARGET, targetG: 0.12, bandG: 0.05 })?.place,
    'in',
  );
});

test('what a coarse scale flickers by itself is nothing of a small dose', () => {
  const dose = { targetG: 2, bandG: 0.04, stepG: 0.01, isFine: true };
  // It mostly shows the upper of two steps, and the lower one just when the dose is begun.
  const readings = at10Hz([200, 250.1, 250.1, 250.1, 250.1, 250, 250.1, 250]);
  const zero = atRest(readings);
  assert.deepEqual(zero, { massG: 250.1, flickerG: 250.1 - 250 });
  for (const massG of [250, 250.1, 250.2])
    assert.equal(watchScale(at10Hz([massG]), zero ?? resting(0), dose)?.place, 'nothing');
  assert.equal(watchScale(at10Hz([250.4]), zero ?? resting(0), dose)?.place, 'below');
  // A tenth on a scale that stands still is something of it.
  assert.equal(watchScale(at10Hz([250.2]), resting(250.1), dose)?.place, 'below');
  assert.equal(atRest([]), null);
  assert.deepEqual(atRest(at10Hz([250.1, 250.1, 251], false)), resting(251));
  assert.deepEqual(atRest(at10Hz([100, 100.2, 200])), resting(200));
});
