import { cavitiesOf } from '../molds/bars';
import type { Sheet } from '../plan/sheet';
import { fillsOfRound, partOfRound, piecesOfRound } from '../work/rounds';
import type { TaskKind } from '../work/task';
import { type Bench, benchOf, type ScheduleRules, taskOfKind } from './bench';
import { CUT_BAR_S, layS, unmoldS as outOfMoldS, WASH_S, WRAP_BAR_S } from './handTimes';
import type { HeatCase } from './heatCase';
import { loadsOf } from './jugLoads';
import { type Due, type PlacedPour, placeLayer } from './placeLayer';
import { resourcesOf } from './resources';
import type { ScheduledTask } from './scheduledTask';
import { withoutUnplaced } from './withoutUnplaced';

/** Times of one round, as heat has them. */
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
  /** When the molds of a round are free for good from then on. */
  moldsFreeS(round: number, fromS: number): number;
  /** Skins, setting and unmolding of a round; answers when the molds are free again. */
  unmold(round: number, layerAtS: readonly number[], times: RoundTimes): number;
  /** What waits until hands are free, once everything is poured: cutting, hardening, wrapping. */
  finish(): void;
  /** Every task that was placed, by its beginning. */
  tasks(): ScheduledTask[];
  /** When its first task begins. */
  beginsS(): number;
  /** Of the first round. */
  pours: readonly PlacedPour[];
  /** Rounds that are placed one by one; the others follow in the same beat. */
  rounds: number;
}

/** More rounds than this are not placed one by one, nor so many that a list of their pours would be too long to read. */
const MOST_ROUNDS = 40;
const MOST_POURS = 160;
/** Two rounds tell how long after one another they follow. */
const LEAST_ROUNDS = 2;

/** How many rounds of a sheet are placed one by one. */
export function roundsPlaced(sheet: Sheet, rules: ScheduleRules): number {
  const pours = loadsOf(sheet, fillsOfRound(sheet, 0), rules).reduce(
    (sum, loads) => sum + Math.max(1, loads.length),
    0,
  );
  const most = Math.max(LEAST_ROUNDS, Math.min(MOST_ROUNDS, Math.floor(MOST_POURS / pours)));
  return Math.min(most, sheet.totals.rounds);
}

/** Everything in the middle: makers, ovens, jugs and molds are given out in the order of the work. */
export function scheduleOf(
  sheet: Sheet,
  heat: HeatCase,
  rules: ScheduleRules,
  resources = resourcesOf(),
): Schedule {
  const bench = benchOf(sheet, heat, rules, resources);
  const moldsOf = (round: number) =>
    Math.ceil(Math.min(cavitiesOf(sheet.mold), fillsOfRound(sheet, round)) / sheet.mold.cavities);
  const rounds = roundsPlaced(sheet, rules);
  const pours: PlacedPour[] = [];
  const out: { round: number; fromS: number; cutFromS: number | null }[] = [];
  return {
    placeLayer(round, layerIndex, due) {
      const layer = heat.layers[layerIndex];
      if (!layer) throw new RangeError('a layer that is not there');
      const placed = placeLayer(bench, layer, { number: round, fills: fillsOfRound(sheet, round) }, due);
      if (round === 0) pours.push(...placed.pours);
      return placed.atS;
    },
    moldsFreeS: (round, fromS) => bench.molds.firstFreeS(fromS, Number.POSITIVE_INFINITY, moldsOf(round)),
    unmold(round, layerAtS, times) {
      const { outS, freeS, cutFromS } = unmold(bench, round, layerAtS, times);
      bench.molds.take(layerAtS[0] ?? 0, freeS, moldsOf(round));
      out.push({ round, fromS: outS, cutFromS });
      return freeS;
    },
    finish() {
      for (const { round, fromS, cutFromS } of out) finish(bench, round, fromS, cutFromS);
    },
    beginsS: () => Math.min(...bench.placed.map(({ fromS }) => fromS)),
    tasks: () => withoutUnplaced(bench.placed, (round) => bench.tasks(round)),
    pours,
    rounds,
  };
}

/** Lets a round set, takes it out, and wipes the mold for the next. The last cavity to be poured is waited for. */
function unmold(
  bench: Bench,
  round: number,
  layerAtS: readonly number[],
  { skinS, unmoldS, cutS }: RoundTimes,
): { outS: number; freeS: number; cutFromS: number | null } {
  const { hands, heat, placed } = bench;
  const tasks = bench.tasks(round);
  const ofRound = placed.filter((each) => each.round === round);
  const poured = ofRound.filter(({ kind }) => kind === 'pour');
  heat.layers.forEach(({ pourIndexes }, index) => {
    const [lead] = pourIndexes;
    const task = tasks.find(({ kind, pourIndexes: of }) => kind === 'skin' && of[0] === lead);
    const skinnedS = (layerAtS[index] ?? 0) + (skinS[index] ?? 0);
    const fromS = poured.findLast((each) => each.pourIndexes[0] === lead)?.toS ?? skinnedS;
    // A film carries before the last cavity is poured.
    if (task) bench.place(task, { fromS, toS: Math.max(fromS, skinnedS) });
  });
  const lastS = Math.max(...poured.map(({ fromS }) => fromS));
  const laidS = layOnTop(bench, round, lastS + (skinS.at(-1) ?? 0));
  const inMoldS = Math.max(
    ...ofRound.filter(({ kind }) => kind === 'pour' || kind === 'inclusions').map(({ toS }) => toS),
  );
  const skinnedS = Math.max(lastS + (skinS.at(-1) ?? 0), inMoldS, laidS);
  const restsFromS = skinnedS + (heat.freezerS ?? 0);
  const [freezer, set, out, wash] = (['freezer', 'set', 'unmold', 'wash'] as const).map((kind) =>
    taskOfKind(tasks, kind),
  );
  if (freezer) bench.place(freezer, { fromS: skinnedS, toS: restsFromS });
  const lengthS = outOfMoldS(partOfRound(bench.sheet, round).cavities);
  const boundS = wash ? lengthS + WASH_S : lengthS;
  const fromS = hands.firstFreeS(Math.max(lastS + unmoldS, restsFromS), boundS);
  const outS = fromS + lengthS;
  if (set) bench.place(set, { fromS: restsFromS, toS: fromS });
  if (out) bench.place(out, { fromS, toS: outS, hands: true });
  if (wash) bench.place(wash, { fromS: outS, toS: outS + WASH_S, hands: true });
  hands.take(fromS, fromS + boundS);
  return { outS, freeS: fromS + boundS, cutFromS: cutS === null ? null : lastS + cutS };
}

/** Lays what lies on the skin of the last layer, as soon as that carries; answers when it is there. */
function layOnTop(bench: Bench, round: number, skinnedS: number): number {
  const { hands, heat } = bench;
  const top = heat.layers.at(-1)?.pourIndexes ?? [];
  let doneS = skinnedS;
  for (const task of bench.tasks(round)) {
    if (task.kind !== 'lay' || task.where !== 'on-skin' || !top.includes(task.pourIndexes[0] ?? -1)) continue;
    const lengthS = layS(fillsOfRound(bench.sheet, round));
    const fromS = hands.firstFreeS(doneS, lengthS);
    doneS = fromS + lengthS;
    bench.place(task, { fromS, toS: doneS, hands: true });
    hands.take(fromS, doneS);
  }
  return doneS;
}

/** Cuts, lets harden and wraps a round, each when hands are free. */
function finish(bench: Bench, round: number, outS: number, cutFromS: number | null) {
  const { hands, sheet } = bench;
  const tasks = bench.tasks(round);
  const bars = piecesOfRound(sheet, round);
  let doneS = outS;
  const byHand = (kind: TaskKind, fromS: number, lengthS: number) => {
    const task = taskOfKind(tasks, kind);
    if (!task) return;
    const startS = hands.firstFreeS(fromS, lengthS);
    bench.place(task, { fromS: startS, toS: startS + lengthS, hands: true });
    hands.take(startS, startS + lengthS);
    doneS = startS + lengthS;
  };
  byHand('cut-bars', Math.max(doneS, cutFromS ?? doneS), CUT_BAR_S * bars);
  const hardens = taskOfKind(tasks, 'harden');
  const hardensS = Math.max(0, ...sheet.pours.map(({ base: { hardensH } }) => (hardensH ?? 0) * 3600));
  if (hardens) bench.place(hardens, { fromS: doneS, toS: doneS + hardensS });
  byHand('wrap', doneS, WRAP_BAR_S * bars);
}
