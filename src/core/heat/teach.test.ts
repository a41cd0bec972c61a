import assert from 'node:assert/strict';
import test from 'node:test';
import fc from 'fast-check';
import { USUAL_EVAPORATION } from './air';
import { coolJug, coolsToS, jugAtC } from './jug';
import { SOAP } from './substance';
import { fitLossScale, scaleByTouch } from './teach';

const around = (lossScale: number, tempC = 21) => ({
  room: { tempC, humidity: 0.5 },
  evaporating: USUAL_EVAPORATION,
  filmWM2K: 8,
  lossScale,
});
const JUG = { holdsMl: 600, contentG: 450 };
const cools = (scale: number, startC: number, times: readonly number[], roomC = 21) => {
  const moments = coolJug(JUG, SOAP, startC, around(scale, roomC), (times.at(-1) ?? 0) + 1);
  return times.map((timeS) => jugAtC(moments, timeS));
};
/** Readings every half minute, off by up to half a kelvin. */
function readings(scale: number, count: number, noise: readonly number[], startC = 70) {
  const times = Array.from({ length: count }, (_, i) => i * 30);
  return cools(scale, startC, times).map((tempC, i) => ({
    timeS: times[i] ?? 0,
    tempC: tempC + (noise[i] ?? 0),
  }));
}
const fit = (read: ReturnType<typeof readings>, roomC = 21) =>
  fitLossScale(read, roomC, (scale, startC, times) => cools(scale, startC, times, roomC));

test('21 readings over 10 min at ± 0.5 K find the loss scale to some 4 %, and forecast 54 °C to half a minute', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 0.6, max: 1.8, noNaN: true }),
      fc.array(fc.double({ min: -0.5, max: 0.5, noNaN: true }), { minLength: 21, maxLength: 21 }),
      (scale, noise) => {
        const told = fit(readings(scale, 21, noise));
        assert.ok(told.success);
        // Three standard deviations: noise that a search picks to be bad.
        assert.ok(Math.abs(told.data.scale / scale - 1) < 4 * told.data.spread, `${told.data.scale}`);
        assert.ok(told.data.spread < 0.06);
      },
    ),
    { numRuns: 40 },
  );
  const still = fit(readings(1.25, 21, []));
  assert.ok(still.success && Math.abs(still.data.scale / 1.25 - 1) < 0.002);
  const at54 = (scale: number) => coolsToS(coolJug(JUG, SOAP, 70, around(scale), 3600), 54) ?? 0;
  assert.ok(Math.abs(at54(still.data.scale) - at54(1.25)) < 30);
});

test('readings that can’t tell are refused with the reason', () => {
  const code = (read: ReturnType<typeof readings>, roomC = 21) => {
    const told = fit(read, roomC);
    return told.success ? 'fits' : told.error.code;
  };
  const good = readings(1, 12, []);
  assert.equal(code(good), 'fits');
  assert.equal(code(good.slice(0, 3)), 'too-few');
  assert.equal(code(readings(1, 4, [])), 'too-flat');
  assert.equal(code(good.toReversed()), 'not-in-order');
  assert.equal(code(good, 68), 'room-too-warm');
  assert.equal(
    code(good.map(({ timeS, tempC }, i) => ({ timeS, tempC: i === 6 ? tempC + 15 : tempC }))),
    'does-not-fit',
  );
  assert.equal(code(good.map(({ timeS, tempC }) => ({ timeS: timeS * 60, tempC }))), 'beyond-belief');
});

test('a touch moves the same figure: the scale at which the model carries just then', () => {
  const skinS = (scale: number) => 500 / scale;
  const told = scaleByTouch(400, skinS);
  assert.ok(told.success && Math.abs(told.data.scale - 1.25) < 0.001);
  const never = scaleByTouch(20, skinS);
  assert.ok(!never.success && never.error.code === 'beyond-belief');
});
