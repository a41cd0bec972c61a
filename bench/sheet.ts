import { makeSheet } from '../src/core/plan/makeSheet';
import { additive, base, planFile } from '../tests/support/planFiles';

const POURS = 8;
const MATERIALS = 12;
const SHARE = 0.004;
const ROUNDS = 400;
const CALLS = 50;

const file = planFile(
  Array.from({ length: POURS }, (_, p) => ({
    base: base({ id: `base-${p}`, densityGPerMl: 1 + p / 100 }),
    parts: p + 1,
    doses: Array.from({ length: MATERIALS }, (_, d): [ReturnType<typeof additive>, string] => [
      additive({ id: `extra-${p}-${d}`, densityGPerMl: 0.8 + d / 20 }),
      `${SHARE * 100} %`,
    ]),
  })),
  { pieces: 24, jugLossFraction: 0.03 },
);

/** The same arithmetic with everything known beforehand: flat arrays, no records, no names. */
const baseDensity = Float64Array.from({ length: POURS }, (_, p) => 1 + p / 100);
const doseDensity = Float64Array.from({ length: MATERIALS }, (_, d) => 0.8 + d / 20);
const masses = new Float64Array(POURS * (MATERIALS + 1));

function handInlined(): number {
  const fillMl = 24 * 100;
  let allParts = 0;
  for (let p = 0; p < POURS; p++) allParts += p + 1;
  let total = 0;
  for (let p = 0; p < POURS; p++) {
    let perG = 1 / (baseDensity[p] ?? 1);
    for (let d = 0; d < MATERIALS; d++) perG += SHARE / (doseDensity[d] ?? 1);
    const baseG = (fillMl * (p + 1)) / allParts / 0.97 / perG;
    masses[p * (MATERIALS + 1)] = baseG;
    for (let d = 0; d < MATERIALS; d++) masses[p * (MATERIALS + 1) + d + 1] = SHARE * baseG;
    total += baseG * (1 + MATERIALS * SHARE);
  }
  return total;
}

function product(): number {
  const made = makeSheet(file);
  return made.success ? made.data.totals.jugG : Number.NaN;
}

/** Median time of one call, µs, over rounds of calls. */
function medianUs(work: () => number): number {
  const rounds: number[] = [];
  for (let round = 0; round < ROUNDS; round++) {
    const began = performance.now();
    for (let call = 0; call < CALLS; call++) work();
    rounds.push(((performance.now() - began) * 1000) / CALLS);
  }
  return rounds.sort((a, b) => a - b)[ROUNDS / 2] ?? Number.NaN;
}

const difference = Math.abs(product() / handInlined() - 1);
medianUs(product);
medianUs(handInlined);
const ours = medianUs(product);
const bare = medianUs(handInlined);
console.log(
  `sheet of ${POURS} pours with ${MATERIALS} materials each: median ${ours.toFixed(1)} µs, hand-inlined arithmetic ${bare.toFixed(2)} µs, ratio ${(ours / bare).toFixed(0)} (results agree to ${difference.toExponential(1)})`,
);
