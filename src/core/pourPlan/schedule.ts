import type { HouseRules } from '../houseRules/houseRules';
import { slicesOf } from '../molds/slicing';
import type { Sheet } from '../plan/sheet';
import { type Bench, benchOf } from './bench';
import { CUT_BAR_S, unmoldS as outOfMoldS, WASH_S, WRAP_BAR_S } from './handTimes';
import type { HeatCase } from './heatCase';
import type { Job, JobKind } from './job';
import { loadsOf, type MeltRules } from './jugLoads';
import { type Due, type PlacedPour, placeLayer } from './placeLayer';

/** What of the workshop decides the order of the work. */
export interface ScheduleRules extends MeltRules {
  wrap: HouseRules['wrap'];
}

/** Times of one filling, as heat has them. */
export interface RoundTimes {
  /** Of each layer, after it was poured. */
  skinS: number[];
  /** After the last pour. */
  unmoldS: number;
  cutS: number | null;
}

export interface Schedule {
  /** Places a layer as soon after it is due as can be; answers when. s from the first pour of the plan. */
  placeLayer(round: number, layerIndex: number, due: Due): number;
  /** Skins, setting and unmolding of a filling; answers when the molds are free again. */
  unmold(round: number, layerAtS: readonly number[], times: RoundTimes): number;
  /** What waits until hands are free, once everything is poured: cutting, hardening, wrapping. */
  finish(): void;
  jobs: readonly Job[];
  /** Of the first filling. */
  pours: readonly PlacedPour[];
  rounds: number;
}

/** More fillings than this are not told one by one, nor so many that a list of their pours would be too long to read. */
const MOST_ROUNDS = 40;
const MOST_POURS = 160;

/** Everything in the middle: hands, one oven and the jugs are given out in the order of the work. */
export function scheduleOf(sheet: Sheet, heat: HeatCase, rules: ScheduleRules): Schedule {
  const bench = benchOf(sheet, heat, rules);
  const { cavities } = sheet.mold;
  const piecesOf = (round: number) => Math.min(cavities, sheet.pieces - round * cavities);
  const poursARound = loadsOf(sheet, piecesOf(0), rules).reduce(
    (sum, loads) => sum + Math.max(1, loads.length),
    0,
  );
  const rounds = Math.max(
    1,
    Math.min(MOST_ROUNDS, Math.floor(MOST_POURS / poursARound), sheet.totals.rounds),
  );
  const pours: PlacedPour[] = [];
  const out: { round: number; fromS: number; cutFromS: number | null }[] = [];
  return {
    placeLayer(round, layerIndex, due) {
      const layer = heat.layers[layerIndex];
      if (!layer) throw new RangeError('a layer that is not there');
      const placed = placeLayer(bench, layer, { number: round, pieces: piecesOf(round) }, due);
      if (round === 0) pours.push(...placed.pours);
      return placed.atS;
    },
    unmold(round, layerAtS, times) {
      const isLast = round === rounds - 1;
      const { outS, cutFromS } = unmold(bench, round, piecesOf(round), layerAtS, times, isLast);
      out.push({ round, fromS: outS, cutFromS });
      return isLast ? outS : outS + WASH_S;
    },
    finish() {
      for (const { round, fromS, cutFromS } of out)
        finish(bench, rules, round, piecesOf(round), fromS, cutFromS);
    },
    jobs: bench.jobs,
    pours,
    rounds,
  };
}

/** Lets a filling set, takes it out, and wipes the mold for the next. The last cavity to be poured is waited for. */
function unmold(
  { hands, heat, job, jobs }: Bench,
  round: number,
  pieces: number,
  layerAtS: readonly number[],
  { skinS, unmoldS, cutS }: RoundTimes,
  isLast: boolean,
): { outS: number; cutFromS: number | null } {
  const pours = jobs.filter((each) => each.kind === 'pour' && each.round === round);
  heat.layers.forEach(({ pourIndexes }, index) => {
    const atS = layerAtS[index] ?? 0;
    const poured = pours.find((each) => each.pourIndexes[0] === pourIndexes[0]);
    const toS = atS + (skinS[index] ?? 0);
    job({ kind: 'skin', round, pourIndexes, fromS: Math.min(poured?.toS ?? atS, toS), toS });
  });
  const lastS = Math.max(...pours.map(({ fromS }) => fromS));
  const skinnedS = lastS + (skinS.at(-1) ?? 0);
  const restsFromS = skinnedS + (heat.freezerS ?? 0);
  if (heat.freezerS !== null) job({ kind: 'freezer', round, fromS: skinnedS, toS: restsFromS });
  const lengthS = outOfMoldS(pieces);
  const boundS = isLast ? lengthS : lengthS + WASH_S;
  const fromS = hands.firstFreeS(Math.max(lastS + unmoldS, restsFromS), boundS);
  const outS = fromS + lengthS;
  job({ kind: 'set', round, fromS: restsFromS, toS: fromS });
  job({ kind: 'unmold', round, fromS, toS: outS, hands: true });
  if (!isLast) job({ kind: 'wash', round, fromS: outS, toS: outS + WASH_S, hands: true });
  return { outS, cutFromS: cutS === null ? null : lastS + cutS };
}

/** Cuts, lets harden and wraps a filling, each when hands are free. */
function finish(
  { hands, heat, job, sheet }: Bench,
  rules: ScheduleRules,
  round: number,
  pieces: number,
  outS: number,
  cutFromS: number | null,
) {
  const bars = pieces * Math.max(1, slicesOf(sheet.mold)?.bars ?? 1);
  let doneS = outS;
  const byHand = (kind: JobKind, fromS: number, lengthS: number) => {
    const startS = hands.firstFreeS(fromS, lengthS);
    job({ kind, round, fromS: startS, toS: startS + lengthS, hands: true });
    doneS = startS + lengthS;
  };
  if (cutFromS !== null) byHand('cut', Math.max(doneS, cutFromS), CUT_BAR_S * bars);
  const hardensS = Math.max(0, ...sheet.pours.map(({ base: { hardensH } }) => (hardensH ?? 0) * 3600));
  if (hardensS > 0) job({ kind: 'harden', round, fromS: doneS, toS: doneS + hardensS });
  if (mustWrap(sheet, rules, heat)) byHand('wrap', doneS, WRAP_BAR_S * bars);
}

/** By the house rule, and whatever it says where the bar would draw water from the room. */
function mustWrap({ pours }: Sheet, { wrap }: ScheduleRules, { room, waterActivity }: HeatCase): boolean {
  const maySweat = pours.some(({ base: { sweat } }) => sweat !== 'low' && sweat !== 'none');
  return wrap === 'same-day' || maySweat || room.humidity > waterActivity;
}
