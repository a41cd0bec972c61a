import { surfaceLossWM2 } from '../src/core/heat/air';
import { conduct, type Fineness } from '../src/core/heat/conduct';
import { stackOf } from '../src/core/heat/stack';
import { SILICONE, SOAP, WOOD } from '../src/core/heat/substance';
import { USUAL_HOUSE_RULES } from '../src/core/houseRules/houseRules';
import { pourPlanInSteps } from '../src/core/schedule/makePourPlan';
import { methodOfLines } from '../tests/support/methodOfLines';
import { BOX, planFile, sheetOf } from '../tests/support/planFiles';

// Five pours of 10 mm on silicone and wood, at once, and a day of it: 212 cells.
const PLAIN = { ...SOAP, melting: { ...SOAP.melting, hysteresisK: 0 } };
const [WIDTH, LENGTH] = [0.085, 0.109];
const LENGTH_M = (WIDTH * LENGTH) / (2 * (WIDTH + LENGTH));
const SIDE = 1 / (0.015 + 1 / 8 + WIDTH / 1.8) / LENGTH_M;
const ROOM = { tempC: 21, humidity: 0.5 };
const DAY_S = 24 * 3600;
const LAYERS = [
  { substance: WOOD, thicknessM: 0.02, cells: 8, tempC: 21, sideWM3K: 0 },
  { substance: SILICONE, thicknessM: 0.003, cells: 4, tempC: 21, sideWM3K: 0 },
  ...[50, 52, 53, 54, 55].map((tempC) => ({
    substance: PLAIN,
    thicknessM: 0.01,
    cells: 40,
    tempC,
    sideWM3K: SIDE,
  })),
];
const HOUR_S = 3600;

function ours(untilS: number, fineness: Fineness): { ms: number; coreC: number } {
  const began = performance.now();
  const stack = stackOf(LAYERS);
  const ends = {
    bottom: (surfaceC: number) => 8 * (surfaceC - 21),
    top: (surfaceC: number, liquid: number) => surfaceLossWM2(surfaceC, ROOM, LENGTH_M, liquid),
    roomC: 21,
  };
  conduct(stack, ends, untilS, undefined, fineness);
  return { ms: performance.now() - began, coreC: Math.max(...stack.tempC) };
}

function theirs(untilS: number, tolerance: number): { ms: number; coreC: number } {
  const began = performance.now();
  let coreC = 0;
  const keep = (_: number, tempC: readonly number[]) => {
    coreC = Math.max(...tempC);
    return false;
  };
  methodOfLines(LAYERS, ROOM, LENGTH_M, untilS, keep, tolerance);
  return { ms: performance.now() - began, coreC };
}

function median(work: () => { ms: number; coreC: number }): { ms: number; coreC: number } {
  const rounds = Array.from({ length: 9 }, work).sort((a, b) => a.ms - b.ms);
  return rounds[4] ?? work();
}

const FINE: Fineness = { mostK: 0.05, longestS: 60 };
const USUAL: Fineness = { mostK: 1, longestS: 300 };
const first = ours(DAY_S, USUAL);
const day = median(() => ours(DAY_S, USUAL));
// The general solver takes minutes for a day: both do an hour.
const hour = median(() => ours(HOUR_S, USUAL));
const exact = ours(HOUR_S, FINE).coreC;
const general = theirs(HOUR_S, 1e-4);
console.log(
  `five pours, 24 h, 212 cells: first call ${first.ms.toFixed(0)} ms, warm ${day.ms.toFixed(0)} ms; an hour of it ${hour.ms.toFixed(1)} ms, its core ${(hour.coreC - exact).toFixed(2)} K off; a general solver (ODEX, method of lines) ${general.ms.toFixed(0)} ms, ${(general.coreC - exact).toFixed(2)} K off: ${(general.ms / hour.ms).toFixed(0)} times as long`,
);

const sheet = sheetOf(
  planFile([{ size: '6 mm' }, { size: '6 mm' }, { size: '6 mm' }, { size: 'rest' }], {}, BOX),
);
const planned = Array.from({ length: 5 }, () => {
  const began = performance.now();
  let firstMs = 0;
  for (const { done } of pourPlanInSteps(sheet, USUAL_HOUSE_RULES))
    if (done === 0) firstMs = performance.now() - began;
  return { firstMs, wholeMs: performance.now() - began };
});
console.log(
  `pour plan of four pours, in Node: first result ${planned.map(({ firstMs }) => firstMs.toFixed(0)).join(', ')} ms, with all ranges ${planned.map(({ wholeMs }) => wholeMs.toFixed(0)).join(', ')} ms`,
);
