import assert from 'node:assert/strict';
import test from 'node:test';
import fc from 'fast-check';
import { USUAL_EVAPORATION } from '../../src/core/heat/air';
import { coldJugTakesK, coolJug, coolsToS, jugAtC } from '../../src/core/heat/jug';
import { meltInBathS, meltInBursts } from '../../src/core/heat/melt';
import { SOAP, SYNDET } from '../../src/core/heat/substance';

const around = (lossScale = 1, tempC = 21) => ({
  room: { tempC, humidity: 0.5 },
  evaporating: USUAL_EVAPORATION,
  filmWM2K: 8,
  lossScale,
});
const minutesTo = (atC: number, contentG: number, holdsMl: number, lossScale = 1, roomC = 21) => {
  const cooled = coolsToS(coolJug({ holdsMl, contentG }, SOAP, 70, around(lossScale, roomC), 14_400), atC);
  assert.ok(cooled !== null);
  return cooled / 60;
};

test('a jug of 450 g falls from 70 to 60 °C in some ten minutes (common practice, no source)', () => {
  const told = minutesTo(60, 450, 600);
  assert.ok(told > 8 && told < 13, `${told} min`);
});

test('time goes as one over the losses, since they are all that drives it', () => {
  for (const atC of [62, 54, 48]) {
    const [once, twice] = [minutesTo(atC, 450, 600), minutesTo(atC, 450, 600, 2)];
    assert.ok(Math.abs(once / twice - 2) < 0.02, `${once} and ${twice} at ${atC}`);
  }
});

test('heat is kept: what a jug has lost is what went through its faces, by a sum of another kind', () => {
  // No evaporation, no free surface to speak of: a wall film alone has a closed curve, T = T_room + ΔT exp(−h A t / m c).
  const inert = { ...SOAP, melting: null };
  const still = { ...around(), evaporating: { multiplier: 0, waterActivity: 0.5 } };
  const moments = coolJug({ holdsMl: 600, contentG: 450 }, inert, 70, still, 1200);
  const both = coolJug({ holdsMl: 600, contentG: 450 }, inert, 70, { ...still, filmWM2K: 8 + 40 }, 1200);
  const rate = (all: typeof moments, at: number) => {
    const [from, to] = [jugAtC(all, at - 5), jugAtC(all, at + 5)];
    return (from - to) / 10;
  };
  // The extra film takes 40 W/m²K of the wetted faces: bottom and wall of a jug as high as wide.
  const diameterM = Math.cbrt((4 * 600e-6) / Math.PI);
  const wettedM2 = (Math.PI * diameterM ** 2) / 4 + (0.45 / 1080) * (4 / diameterM);
  const expected = (40 * wettedM2) / (0.45 * 2650);
  for (const at of [60, 300]) {
    const more = rate(both, at) / (jugAtC(both, at) - 21) - rate(moments, at) / (jugAtC(moments, at) - 21);
    assert.ok(Math.abs(more / expected - 1) < 0.12, `${more} is not ${expected}`);
  }
});

test('a fuller jug and a warmer room are slower, a jug that is emptied cools faster', () => {
  assert.ok(minutesTo(55, 900, 1800) > minutesTo(55, 450, 1800));
  assert.ok(minutesTo(55, 450, 600, 1, 28) > minutesTo(55, 450, 600, 1, 18));
  const last = (emptied: { fromS: number; toS: number } | null) =>
    coolJug({ holdsMl: 600, contentG: 450 }, SOAP, 57, around(), 600, emptied).at(-1)?.tempC ?? 0;
  assert.ok(last({ fromS: 0, toS: 600 }) < last(null) - 0.5);
});

test('a cold jug takes about 7 K from 450 g and 17 K from 100 g, at the most', () => {
  for (const [contentG, takesK] of [
    [450, 7],
    [100, 17],
  ] as const) {
    const told = coldJugTakesK(contentG, SOAP, 65, 21);
    assert.ok(Math.abs(told - takesK) < 1, `${told} K`);
  }
});

const request = (massG: number, powerW = 1000) => ({
  massG,
  substance: SOAP,
  fromC: 21,
  toC: 65,
  ceilingC: 71,
  powerW,
});
const fullS = (massG: number, powerW = 1000) =>
  meltInBursts(request(massG, powerW)).bursts.reduce((sum, { lengthS, power }) => sum + lengthS * power, 0);

test('microwave bursts against what is seen, to a factor of two (common practice, no source)', () => {
  for (const [massG, seenS] of [
    [45, 24],
    [100, 31],
    [255, 55],
    [450, 95],
    [1000, 180],
  ] as const)
    assert.ok(fullS(massG) / seenS > 0.5 && fullS(massG) / seenS < 2, `${massG} g: ${fullS(massG)} s`);
  const lengths = (massG: number) => meltInBursts(request(massG)).bursts.map(({ lengthS }) => lengthS);
  // 10 s for up to 60 g, 15 s up to 200 g, 30 s above.
  assert.ok(
    Math.max(...lengths(50)) <= 10 && Math.max(...lengths(150)) <= 15 && Math.max(...lengths(800)) <= 30,
  );
});

test('any melt ends liquid, warm enough, and nowhere above its ceiling; twice the mass takes longer', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 5, max: 4000, noNaN: true }),
      fc.integer({ min: 400, max: 1600 }),
      fc.constantFrom(SOAP, SYNDET),
      (massG, powerW, substance) => {
        const { bursts, endC, hottestC, lengthS } = meltInBursts({ ...request(massG, powerW), substance });
        assert.ok(hottestC <= 71 + 1e-6, `${hottestC} °C`);
        assert.ok(endC > 54 && endC < 70, `${endC} °C`);
        assert.ok(bursts.every((each) => each.power > 0 && each.power <= 1 && each.lengthS >= 0));
        assert.ok(lengthS >= bursts.reduce((sum, each) => sum + each.lengthS, 0));
      },
    ),
    { numRuns: 60 },
  );
  assert.ok(fullS(800) > fullS(400) && fullS(400) > fullS(200));
  assert.ok(fullS(400, 500) > fullS(400, 1000));
});

test('what can’t be melted is refused', () => {
  assert.throws(() => meltInBursts({ ...request(100), ceilingC: 60 }), RangeError);
  assert.throws(() => meltInBursts(request(0)), RangeError);
  assert.throws(() => meltInBathS({ ...request(0) }), RangeError);
});

test('a double boiler is slower than the oven, more so the more there is', () => {
  for (const massG of [100, 450, 1000])
    assert.ok(meltInBathS(request(massG)) > meltInBursts(request(massG)).lengthS);
  assert.ok(meltInBathS(request(1000)) > meltInBathS(request(450)));
});
