import assert from 'node:assert/strict';
import test from 'node:test';
import { convectionWM2K, dewPointC, saturationPa, surfaceLossWM2 } from '../../src/core/heat/air';
import { conduct, USUAL_FINENESS } from '../../src/core/heat/conduct';
import { contactC } from '../../src/core/heat/contact';
import { heatJM2, poured, type Slab, type Stack, stackOf } from '../../src/core/heat/stack';
import { SILICONE, SOAP, type Substance, WOOD } from '../../src/core/heat/substance';

/** Does not melt; soap's other figures. */
const INERT: Substance = { ...SOAP, melting: null };
const DIFFUSIVITY = INERT.conductivityWMK / (INERT.densityKgM3 * INERT.heatCapacityJKgK);
const FINE = { ...USUAL_FINENESS, mostK: 0.1 };
const insulated = { bottom: null, top: null, roomC: 21 };
/** Held at a temperature, but for a film that hardly counts. */
const held = (tempC: number) => (surfaceC: number) => 1e6 * (surfaceC - tempC);

const slab = (over: Partial<Slab> = {}): Slab => ({
  substance: INERT,
  thicknessM: 0.02,
  cells: 200,
  tempC: 60,
  sideWM3K: 0,
  ...over,
});

/** M. Abramowitz and I. A. Stegun, 7.1.26: to 1.5e-7. */
function erf(x: number): number {
  const t = 1 / (1 + 0.3275911 * Math.abs(x));
  const sum =
    t * (0.254829592 + t * (-0.284496736 + t * (1.421413741 + t * (-1.453152027 + t * 1.061405429))));
  return Math.sign(x) * (1 - sum * Math.exp(-x * x));
}

test('a step at the surface of a thick body goes in as erfc(x / 2√(αt)) (Carslaw and Jaeger, § 2.4)', () => {
  const stack = stackOf([slab({ thicknessM: 0.06, tempC: 20 })]);
  const timeS = 120;
  conduct(stack, { ...insulated, top: held(60) }, timeS, undefined, FINE);
  const dx = 0.06 / 200;
  let worst = 0;
  for (let at = 0; at < 200; at++) {
    const depth = 0.06 - (at + 0.5) * dx;
    const exact = 20 + 40 * (1 - erf(depth / (2 * Math.sqrt(DIFFUSIVITY * timeS))));
    worst = Math.max(worst, Math.abs((stack.tempC[at] ?? 0) - exact));
  }
  // 0.7 % of the step of 40 K.
  assert.ok(worst < 0.28, `${worst} K off`);
});

test('a plane wall that loses heat to the air follows the series (Carslaw and Jaeger, § 3.11), at 25 cells', () => {
  for (const biot of [0.5, 4.2]) {
    const half = 0.02;
    const film = (biot * INERT.conductivityWMK) / half;
    const stack = stackOf([slab({ thicknessM: half, cells: 25 })]);
    const timeS = 900;
    conduct(
      stack,
      { ...insulated, top: (surfaceC) => film * (surfaceC - 20), roomC: 20 },
      timeS,
      undefined,
      FINE,
    );
    const fourier = (DIFFUSIVITY * timeS) / half ** 2;
    const roots = Array.from({ length: 30 }, (_, n) => rootOf(biot, n));
    for (let at = 0; at < 25; at++) {
      const place = (at + 0.5) / 25;
      const share = roots.reduce(
        (sum, z) =>
          sum +
          ((4 * Math.sin(z)) / (2 * z + Math.sin(2 * z))) * Math.exp(-z * z * fourier) * Math.cos(z * place),
        0,
      );
      const off = Math.abs((stack.tempC[at] ?? 0) - (20 + 40 * share));
      assert.ok(off < 0.01 * 40, `Bi ${biot}, ${place}: ${off} K`);
    }
  }
});

/** The n-th root of z · tan z = Bi. */
function rootOf(biot: number, n: number): number {
  let [low, high] = [n * Math.PI + 1e-12, n * Math.PI + Math.PI / 2 - 1e-12];
  for (let step = 0; step < 80; step++) {
    const middle = (low + high) / 2;
    if (middle * Math.tan(middle) < biot) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

test('a front of setting goes in as Neumann’s 2 λ √(αt) (Carslaw and Jaeger, § 11.2), for a narrow range', () => {
  const narrow: Substance = {
    ...SOAP,
    melting: {
      latentJKg: 40_000,
      solidusC: 47.3,
      liquidusC: 47.7,
      hysteresisK: 0,
      liquidConductivityWMK: SOAP.conductivityWMK,
    },
  };
  const [startC, frontC, wallC] = [55, 47.5, 20];
  const stack = stackOf([slab({ substance: narrow, thicknessM: 0.06, cells: 100, tempC: startC })]);
  const timeS = 1200;
  conduct(stack, { ...insulated, top: held(wallC) }, timeS, undefined, { ...FINE, mostK: 1 });
  let liquidM = 0;
  for (let at = 0; at < 100; at++) liquidM += (stack.liquid[at] ?? 0) * (0.06 / 100);
  const depth = 0.06 - liquidM;
  const stefan = SOAP.heatCapacityJKgK * (frontC - wallC);
  const off = (l: number) =>
    Math.exp(-l * l) / erf(l) +
    (((frontC - startC) / (frontC - wallC)) * Math.exp(-l * l)) / (1 - erf(l)) -
    (l * 40_000 * Math.sqrt(Math.PI)) / stefan;
  let [low, high] = [0.05, 3];
  for (let step = 0; step < 80; step++) {
    const middle = (low + high) / 2;
    if (off(middle) > 0) low = middle;
    else high = middle;
  }
  const exact = 2 * low * Math.sqrt(DIFFUSIVITY * timeS);
  assert.ok(Math.abs(depth / exact - 1) < 0.011, `${depth} is not ${exact}`);
});

test('heat is kept: at rest, and between two pours that touch', () => {
  const rest = stackOf([slab({ substance: SOAP, tempC: 47 })]);
  const before = heatJM2(rest);
  conduct(rest, insulated, 7200);
  assert.ok(Math.abs(heatJM2(rest) / before - 1) < 1e-9);
  const two = poured(stackOf([slab({ substance: SOAP, tempC: 30 })]), [slab({ substance: SOAP, tempC: 62 })]);
  const all = heatJM2(two);
  conduct(two, insulated, 3600);
  assert.ok(Math.abs(heatJM2(two) / all - 1) < 1e-8, `${heatJM2(two) / all - 1}`);
  assert.ok(Math.max(...two.tempC) - Math.min(...two.tempC) < 12);
});

test('two thick bodies that touch are at once at the mean by their effusivities (Carslaw and Jaeger, § 2.8)', () => {
  const other: Substance = { ...WOOD };
  const stack = poured(stackOf([slab({ substance: other, thicknessM: 0.03, cells: 200, tempC: 20 })]), [
    slab({ thicknessM: 0.03, cells: 200, tempC: 60 }),
  ]);
  conduct(stack, insulated, 60, undefined, { ...FINE, mostK: 0.1 });
  const [below, above] = [stack.tempC[199] ?? 0, stack.tempC[200] ?? 0];
  const [kBelow, kAbove] = [other.conductivityWMK, INERT.conductivityWMK];
  const between = (kBelow * below + kAbove * above) / (kBelow + kAbove);
  assert.ok(Math.abs(between - contactC(INERT, 60, other, 20)) < 0.1, `${between}`);
  assert.ok(Math.abs(contactC(INERT, 60, INERT, 20) - 40) < 1e-12);
});

/** One cavity on a bench: soap of 10 mm in silicone on wood, 85 x 109 mm from above, in a room of 21 °C and 50 %. */
function reference(pourC: number, mostK: number) {
  const [width, length] = [0.085, 0.109];
  const [area, perimeter] = [width * length, 2 * (width + length)];
  const side = (1 / (0.003 / 0.2 + 1 / 8 + width / (6 * 0.3))) * (perimeter / area);
  const room = { tempC: 21, humidity: 0.5 };
  const stack = stackOf([
    slab({ substance: WOOD, thicknessM: 0.02, cells: 20, tempC: 21 }),
    slab({ substance: SILICONE, thicknessM: 0.003, cells: 6, tempC: 21 }),
    slab({ substance: SOAP, thicknessM: 0.01, cells: 100, tempC: pourC, sideWM3K: side }),
  ]);
  let [skinS, coreS] = [0, 0];
  let [depthBefore, coreBefore] = [0, pourC];
  const crossing = (from: number, to: number, past: number, now: number, at: number) =>
    from + ((to - from) * (at - past)) / (now - past);
  conduct(
    stack,
    {
      bottom: (surfaceC) => 8 * (surfaceC - 21),
      top: (surfaceC, liquid) => surfaceLossWM2(surfaceC, room, area / perimeter, liquid),
      roomC: 21,
    },
    3 * 3600,
    (timeS, now, before) => {
      const depth = skinM(now, 26);
      const core = Math.max(...now.tempC.subarray(26));
      if (skinS === 0 && depth >= 0.0012) skinS = crossing(before.timeS, timeS, depthBefore, depth, 0.0012);
      if (coreS === 0 && core <= 32) coreS = crossing(before.timeS, timeS, coreBefore, core, 32);
      [depthBefore, coreBefore] = [depth, core];
      return skinS > 0 && coreS > 0;
    },
    { ...USUAL_FINENESS, mostK },
  );
  return { skinMin: skinS / 60, coreMin: coreS / 60 };
}

/** How deep the top is set to a liquid share of 0.3, from the surface down to cell `floor`. */
function skinM({ tempC, liquid, thicknessM }: Stack, floor: number): number {
  const last = tempC.length - 1;
  const dx = thicknessM[last] ?? 0;
  for (let at = last; at >= floor; at--) {
    const here = liquid[at] ?? 0;
    if (here <= 0.3) continue;
    if (at === last) return 0;
    const above = liquid[at + 1] ?? 0;
    return (last - at - 0.5 + (0.3 - above) / (here - above)) * dx;
  }
  return (last - floor + 1) * dx;
}

test('the reference configuration: skin and core as two independent solutions of it gave them, within 2 %', () => {
  for (const [pourC, skinMin, coreMin] of [
    [50, 4.15, 32.9],
    [55, 7.3, 41.7],
    [60, 8.87, 45.9],
  ] as const) {
    const told = reference(pourC, 0.5);
    assert.ok(Math.abs(told.skinMin / skinMin - 1) < 0.02, `skin ${told.skinMin} at ${pourC}`);
    assert.ok(Math.abs(told.coreMin / coreMin - 1) < 0.02, `core ${told.coreMin} at ${pourC}`);
  }
});

test('a thicker pour sets later, a warmer room and a hotter pour too', () => {
  assert.ok(reference(50, 1).skinMin < reference(55, 1).skinMin);
  assert.ok(reference(55, 1).coreMin < reference(60, 1).coreMin);
});

test('air: saturation and dew point turn round each other, and convection grows with the difference', () => {
  // 2339 Pa at 20 °C (any steam table, from memory): the form is 0.3 % below it.
  assert.ok(Math.abs(saturationPa(20) / 2339 - 1) < 0.004);
  for (const tempC of [5, 21, 30])
    for (const humidity of [0.2, 0.5, 0.9]) {
      const dew = dewPointC({ tempC, humidity });
      assert.ok(Math.abs(saturationPa(dew) / (humidity * saturationPa(tempC)) - 1) < 1e-9);
    }
  // 21 °C and 50 %: 10.2 °C.
  assert.ok(Math.abs(dewPointC({ tempC: 21, humidity: 0.5 }) - 10.2) < 0.05);
  assert.ok(convectionWM2K(40, 0.02) > convectionWM2K(10, 0.02));
  assert.throws(() => dewPointC({ tempC: 21, humidity: 0 }), RangeError);
});
