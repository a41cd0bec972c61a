import assert from 'node:assert/strict';
import test from 'node:test';
import fc from 'fast-check';
import {
  dragCoefficient,
  isHeld,
  settledM,
  terminalMS,
  USUAL_FLOW,
  viscosityPaS,
} from '../../src/core/heat/settle';
import { SOAP } from '../../src/core/heat/substance';

const { melting } = SOAP;
assert.ok(melting);

test('slow balls fall by Stokes’ law: Δρ g d² / 18 μ (G. G. Stokes, 1851)', () => {
  // 20 µm of 2650 kg/m³ in a fluid of 1000 kg/m³ and 1 mPa·s: 0.3597 mm/s, at Re 0.007.
  const speed = terminalMS({ diameterM: 20e-6, densityKgM3: 2650 }, 1000, 1e-3);
  assert.ok(Math.abs(speed / 0.3597e-3 - 1) < 0.006, `${speed}`);
  // As light as it is heavy, it rises as fast as it would fall.
  const rising = terminalMS({ diameterM: 20e-6, densityKgM3: -650 }, 1000, 1e-3);
  assert.ok(Math.abs(rising / speed + 1) < 1e-9);
  assert.equal(terminalMS({ diameterM: 1e-3, densityKgM3: 1500 }, 1080, Number.POSITIVE_INFINITY), 0);
});

test('drag of a ball: the standard curve (R. Clift, J. R. Grace and M. E. Weber, 1978; points from memory) within 5 %', () => {
  // L. Schiller and A. Naumann gave their form for Re up to 800.
  for (const [reynolds, drag] of [
    [0.1, 245],
    [1, 27.2],
    [10, 4.26],
    [100, 1.09],
    [500, 0.56],
    [800, 0.48],
  ] as const)
    assert.ok(
      Math.abs(dragCoefficient(reynolds) / drag - 1) < 0.05,
      `Re ${reynolds}: ${dragCoefficient(reynolds)}`,
    );
  assert.throws(() => dragCoefficient(0), RangeError);
});

test('a falling ball is where its weight and its drag are equal', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 2e-5, max: 3e-3, noNaN: true }),
      fc.double({ min: 1100, max: 3000, noNaN: true }),
      fc.double({ min: 0.001, max: 2, noNaN: true }),
      (diameterM, densityKgM3, viscosity) => {
        const fluid = 1080;
        const speed = terminalMS({ diameterM, densityKgM3 }, fluid, viscosity);
        const reynolds = (fluid * speed * diameterM) / viscosity;
        const drag = dragCoefficient(reynolds) * 0.5 * fluid * speed ** 2 * Math.PI * (diameterM / 2) ** 2;
        const weight = (densityKgM3 - fluid) * 9.81 * (Math.PI / 6) * diameterM ** 3;
        assert.ok(Math.abs(drag / weight - 1) < 1e-6);
      },
    ),
  );
});

test('base thickens as it cools, and holds what its yield stress can', () => {
  const hot = viscosityPaS(USUAL_FLOW, melting, 60);
  assert.ok(Math.abs(hot - 0.08) < 1e-12);
  let before = hot;
  for (let tempC = 59; tempC > 46; tempC--) {
    const now = viscosityPaS(USUAL_FLOW, melting, tempC);
    assert.ok(now > before, `${tempC}`);
    before = now;
  }
  assert.equal(viscosityPaS(USUAL_FLOW, melting, 43), Number.POSITIVE_INFINITY);
  const grain = { diameterM: 1e-3, densityKgM3: 1380 };
  // 300 · 9.81 · 0.001 = 2.94 Pa, over 21: held from 0.14 Pa on.
  assert.ok(!isHeld(grain, 1080, { ...USUAL_FLOW, yieldPa: 0.139 }));
  assert.ok(isHeld(grain, 1080, { ...USUAL_FLOW, yieldPa: 0.141 }));
});

test('grit sinks further from a hotter pour, petals rise, and in a suspension base nothing moves', () => {
  const cooling = (fromC: number) =>
    Array.from({ length: 400 }, (_, i) => ({ timeS: i * 3, tempC: fromC - i * 0.05 })).filter(
      ({ tempC }) => tempC > 40,
    );
  const grit = { diameterM: 5e-4, densityKgM3: 1400 };
  const from = (tempC: number, flow = USUAL_FLOW) => settledM(grit, 1080, flow, melting, cooling(tempC));
  assert.ok(from(58) > from(54) && from(54) > from(50) && from(50) >= 0);
  assert.ok(settledM({ diameterM: 3e-3, densityKgM3: 900 }, 1080, USUAL_FLOW, melting, cooling(58)) < 0);
  assert.equal(from(58, { ...USUAL_FLOW, yieldPa: 0.6 }), 0);
});
