import assert from 'node:assert/strict';
import test from 'node:test';
import { surfaceLossWM2 } from '../../src/core/heat/air';
import { conduct } from '../../src/core/heat/conduct';
import { stackOf } from '../../src/core/heat/stack';
import { SILICONE, SOAP, WOOD } from '../../src/core/heat/substance';
import { methodOfLines } from '../support/methodOfLines';
import { coreInTwoDimensionsS } from '../support/twoDimensions';

const ROOM = { tempC: 21, humidity: 0.5 };
/** Melts as it sets: the other solution has no memory. */
const PLAIN = { ...SOAP, melting: { ...SOAP.melting, hysteresisK: 0 } };

test('two pours in silicone on wood against a general solver of differential equations (ODEX), where no closed solution is', () => {
  const [width, length] = [0.085, 0.109];
  const lengthM = (width * length) / (2 * (width + length));
  const side = 1 / (0.015 + 1 / 8 + width / 1.8) / lengthM;
  const layers = [
    { substance: WOOD, thicknessM: 0.02, cells: 16, tempC: 21, sideWM3K: 0 },
    { substance: SILICONE, thicknessM: 0.003, cells: 4, tempC: 21, sideWM3K: 0 },
    { substance: PLAIN, thicknessM: 0.008, cells: 20, tempC: 47, sideWM3K: side },
    { substance: PLAIN, thicknessM: 0.006, cells: 15, tempC: 55, sideWM3K: side },
  ];
  const own: number[][] = [];
  const times = [120, 600, 1800];
  const stack = stackOf(layers);
  const ends = {
    bottom: (surfaceC: number) => 8 * (surfaceC - 21),
    top: (surfaceC: number, liquid: number) => surfaceLossWM2(surfaceC, ROOM, lengthM, liquid),
    roomC: 21,
  };
  let before = 0;
  for (const timeS of times) {
    conduct(stack, ends, timeS - before, undefined, { mostK: 0.1, longestS: 30 });
    own.push([...stack.tempC]);
    before = timeS;
  }
  for (const [place, timeS] of times.entries()) {
    let theirs: readonly number[] = [];
    methodOfLines(layers, ROOM, lengthM, timeS, (_, tempC) => {
      theirs = tempC;
      return false;
    });
    const off = Math.max(...theirs.map((tempC, at) => Math.abs(tempC - (own[place]?.[at] ?? 0))));
    assert.ok(off < 0.15, `${off} K off after ${timeS} s`);
  }
});

test('a steady fin: a side that loses heat follows cosh(m (L − x)) / cosh(m L) (Carslaw and Jaeger, § 4.5)', () => {
  const fin = { ...SOAP, melting: null };
  const [lengthM, sideWM3K, cells] = [0.06, 900, 60];
  const stack = stackOf([{ substance: fin, thicknessM: lengthM, cells, tempC: 21, sideWM3K }]);
  const ends = { bottom: (surfaceC: number) => 1e6 * (surfaceC - 61), top: null, roomC: 21 };
  conduct(stack, ends, 400_000, undefined, { mostK: 1, longestS: 4000 });
  const m = Math.sqrt(sideWM3K / fin.conductivityWMK);
  for (let at = 0; at < cells; at++) {
    const x = ((at + 0.5) / cells) * lengthM;
    const exact = 21 + (40 * Math.cosh(m * (lengthM - x))) / Math.cosh(m * lengthM);
    assert.ok(Math.abs((stack.tempC[at] ?? 0) - exact) < 0.02, `${x}: ${stack.tempC[at]} is not ${exact}`);
  }
});

test('contact: what two inert bodies have between them, to 0.01 K of the mean by their effusivities', () => {
  const inert = { ...SOAP, melting: null };
  const stack = stackOf([
    { substance: inert, thicknessM: 0.03, cells: 300, tempC: 20, sideWM3K: 0 },
    { substance: inert, thicknessM: 0.03, cells: 300, tempC: 60, sideWM3K: 0 },
  ]);
  conduct(stack, { bottom: null, top: null, roomC: 20 }, 60, undefined, { mostK: 0.1, longestS: 10 });
  assert.ok(Math.abs(((stack.tempC[299] ?? 0) + (stack.tempC[300] ?? 0)) / 2 - 40) < 0.01);
});

test('a loaf in one dimension, its sides in a coefficient, against two dimensions: the core below 38 °C within 6 %', () => {
  // A bar that is much wider than it is high comes out of one dimension a little early.
  for (const [widthM, heightM, within] of [
    [0.07, 0.06, 0.06],
    [0.06, 0.03, 0.06],
    [0.09, 0.05, 0.08],
  ] as const) {
    const [wallWM2K, endWM2K] = [1 / (0.012 / 0.13 + 1 / 8), 10];
    const inTwo = coreInTwoDimensionsS(
      { substance: PLAIN, widthM, heightM, startC: 55, roomC: 21, besideWM2K: wallWM2K, endWM2K, cells: 16 },
      38,
    );
    // As `sideWM3K` has it: the film and the wall in series with w / (6 k) of the soap.
    const side = 2 / widthM / (1 / wallWM2K + widthM / (6 * PLAIN.conductivityWMK));
    const stack = stackOf([{ substance: PLAIN, thicknessM: heightM, cells: 60, tempC: 55, sideWM3K: side }]);
    const end = (surfaceC: number) => endWM2K * (surfaceC - 21);
    const inOne = conduct(
      stack,
      { bottom: end, top: end, roomC: 21 },
      80_000,
      (_, { tempC }) => Math.max(...tempC) <= 38,
      { mostK: 0.2, longestS: 60 },
    );
    assert.ok(Math.abs(inOne / inTwo - 1) < within, `${widthM} x ${heightM}: ${inOne} s, ${inTwo} s`);
  }
});
