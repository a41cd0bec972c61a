import assert from 'node:assert/strict';
import test from 'node:test';
import { converter, differenceCiede2000, differenceEuclidean } from 'culori';
import fc from 'fast-check';
import { ciede2000 } from '../../src/core/colour/ciede2000';
import { oklabOf, visibleDistance } from '../../src/core/colour/oklab';
import { ombreDoses } from '../../src/core/colour/ombre';
import { absorbedFor, BACKING, reflectance } from '../../src/core/colour/reflectance';
import { hexOf, lightOf } from '../../src/core/colour/rgb';
import { tintLight, tintOf } from '../../src/core/colour/tint';
import { colorant, isClose } from '../support/planFiles';

const toOklab = converter('oklab');
const toLinear = converter('lrgb');
const hex = fc.integer({ min: 0, max: 0xffffff }).map((value) => `#${value.toString(16).padStart(6, '0')}`);

test('linear light and OKLab agree with the colour library (IEC 61966-2-1; B. Ottosson, 2020)', () => {
  fc.assert(
    fc.property(hex, (colour) => {
      const light = lightOf(colour);
      const linear = toLinear(colour);
      assert.ok(linear);
      for (const [band, key] of (['r', 'g', 'b'] as const).entries())
        assert.ok(Math.abs((light[band] ?? 0) - linear[key]) < 1e-9);
      const lab = oklabOf(light);
      const theirs = toOklab(colour);
      assert.ok(theirs);
      assert.ok(Math.abs(lab[0] - theirs.l) < 1e-6);
      assert.ok(Math.abs(lab[1] - theirs.a) < 1e-6);
      assert.ok(Math.abs(lab[2] - theirs.b) < 1e-6);
      assert.equal(hexOf(light), colour);
    }),
  );
});

test('visible distance is the colour library’s distance in OKLab', () => {
  const theirs = differenceEuclidean('oklab');
  fc.assert(
    fc.property(hex, hex, (one, other) =>
      assert.ok(Math.abs(visibleDistance(lightOf(one), lightOf(other)) - theirs(one, other)) < 1e-6),
    ),
  );
});

test('CIEDE2000 is the colour library’s (G. Sharma, W. Wu, E. N. Dalal, 2005)', () => {
  const theirs = differenceCiede2000();
  fc.assert(
    fc.property(hex, hex, (one, other) => {
      const ours = ciede2000(lightOf(one), lightOf(other));
      assert.ok(Math.abs(ours - theirs(one, other)) < 1e-4, `${one} ${other}: ${ours} ${theirs(one, other)}`);
    }),
    { numRuns: 500 },
  );
});

test('a ladder of any hue in any base has steps within 1.5 : 1 to the eye', () => {
  const hues = ['#c0392b', '#d97f1e', '#e0c52f', '#4f9a3c', '#1f9a8f', '#2f6fa8', '#6a4ca5', '#b03a78'];
  for (const colour of hues)
    for (const look of ['white', 'ivory', 'clear', 'translucent'] as const) {
      const lightAt = (ofBase: number) => tintLight(look, [{ colorant: colorant({ colour }), ofBase }], 25);
      const doses = ombreDoses(5, 0.0004, 0.006, lightAt);
      const seen = doses.map((ofBase) => hexOf(lightAt(ofBase)));
      const steps = seen.slice(1).map((each, rung) => differenceCiede2000()(seen[rung] ?? each, each));
      const ratio = Math.max(...steps) / Math.min(...steps);
      assert.ok(
        ratio < 1.5,
        `${colour} in ${look}: ${ratio.toFixed(2)}, ${steps.map((step) => step.toFixed(2))}`,
      );
    }
});

test('Kubelka and Munk: infinite depth is 1 + q − √(q² + 2q), and no scattering is Lambert’s law there and back', () => {
  const share = fc.double({ min: 0.001, max: 3, noNaN: true });
  fc.assert(
    fc.property(
      share,
      share,
      fc.double({ min: 1, max: 60, noNaN: true }),
      (absorbed, scattered, thicknessMm) => {
        const q = (2 * absorbed) / scattered;
        const deep = reflectance({ absorbed, scattered, thicknessMm: Number.POSITIVE_INFINITY });
        assert.ok(Math.abs(deep - (1 + q - Math.sqrt(q * q + 2 * q))) < 1e-9);
        const clear = reflectance({ absorbed, scattered: 0, thicknessMm });
        assert.ok(isClose(clear, BACKING * Math.exp(-2 * absorbed * thicknessMm)));
        const layer = { scattered, thicknessMm };
        const seen = reflectance({ ...layer, absorbed });
        if (seen < 0.001) return;
        assert.ok(Math.abs(reflectance({ ...layer, absorbed: absorbedFor(seen, layer) }) - seen) < 1e-9);
      },
    ),
  );
});

test('a matched sample comes out as it was matched, a dose of nothing as the base, and more is never brighter', () => {
  const colour = '#4d7fa6';
  for (const look of ['white', 'clear', 'translucent'] as const) {
    const matched = colorant({ match: { on: '2026-01-01', colour, ofBase: 0.003, look, thicknessMm: 20 } });
    const tint = tintOf(look, [{ colorant: matched, ofBase: 0.003 }], 20);
    assert.ok(visibleDistance(lightOf(tint.hex), lightOf(colour)) < 0.004, `${look} ${tint.hex}`);
    assert.equal(tint.isEstimate, false);
    assert.equal(tintOf(look, [{ colorant: matched, ofBase: 0 }], 20).hex, tintOf(look, [], 20).hex);
    const doses = [0.0005, 0.001, 0.002, 0.004, 0.008];
    const light = doses.map(
      (ofBase) => oklabOf(lightOf(tintOf(look, [{ colorant: matched, ofBase }], 20).hex))[0],
    );
    for (let at = 1; at < light.length; at++) assert.ok((light[at] ?? 1) <= (light[at - 1] ?? 0));
  }
});

test('the same dose is a pastel in white and vivid in clear, and in clear a thin pour is paler than a thick one', () => {
  const dye = colorant({ colour: '#2f6fa8' });
  const chroma = (text: string) => Math.hypot(...oklabOf(lightOf(text)).slice(1));
  const at = (look: 'white' | 'clear', mm: number) =>
    tintOf(look, [{ colorant: dye, ofBase: 0.0004 }], mm).hex;
  assert.ok(chroma(at('clear', 25)) > chroma(at('white', 25)));
  assert.ok(oklabOf(lightOf(at('clear', 5)))[0] > oklabOf(lightOf(at('clear', 40)))[0]);
  assert.equal(at('white', 5), at('white', 40));
  assert.deepEqual(tintOf('white', [{ colorant: colorant({ name: 'Grey' }), ofBase: 0.01 }], 25).unknown, [
    'Grey',
  ]);
});

test('a ladder’s rungs are equally far apart to the eye', () => {
  const dye = colorant({ colour: '#2f6fa8' });
  const lightAt = (ofBase: number) => tintLight('white', [{ colorant: dye, ofBase }], 25);
  const [least, most] = [0.0004, 0.006];
  for (const pours of [2, 3, 4, 6]) {
    const doses = ombreDoses(pours, least, most, lightAt);
    assert.ok(isClose(doses[0] ?? 0, least) && isClose(doses.at(-1) ?? 0, most));
    const steps = doses.slice(1).map((dose, rung) => ciede2000(lightAt(doses[rung] ?? 0), lightAt(dose)));
    const mean = steps.reduce((sum, step) => sum + step, 0) / steps.length;
    for (const step of steps) assert.ok(Math.abs(step / mean - 1) < 0.001, `${pours}: ${steps}`);
    // In doses they are anything but equal: the deeper, the more it takes.
    if (pours > 2) assert.ok((doses[1] ?? 1) < least + (most - least) / (pours - 1));
  }
  assert.throws(() => ombreDoses(1, 0, 0.1, lightAt), RangeError);
  assert.throws(() => ombreDoses(3, 0.1, 0.1, lightAt), RangeError);
});
