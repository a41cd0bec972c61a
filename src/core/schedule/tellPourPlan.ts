import { BONDS, type Bond } from '../heat/bond';
import type { Sheet } from '../plan/sheet';
import { NOMINAL } from './factors';
import type { HeatCase } from './heatCase';
import { idealS } from './idealMoment';
import { curveTimes, type JugSample, jugSample, layerOfPour } from './jugSample';
import { grainsOf, tipsOf } from './particles';
import type { PlacedPour } from './placeLayer';
import type { PourLayer, PourPlan } from './pourPlan';
import type { PourRules } from './pourRules';
import { rangeOf, shifted } from './range';
import type { Schedule } from './schedule';
import type { ScheduledTask } from './scheduledTask';
import type { LayerTimes, SampleTimes } from './simulate';

/** One sample with its inputs off: layers, and the jugs of the first filling in the order they are poured. */
export interface Sample {
  times: SampleTimes;
  jugs: JugSample[];
}

/** All that a pour plan is told from. */
export interface Told {
  sheet: Sheet;
  heat: HeatCase;
  rules: PourRules;
  schedule: Schedule;
  middle: SampleTimes;
  /** How long the rounds that are not placed one by one take, s. */
  beyondS: number;
  /** None while only the middle is known. */
  samples: readonly Sample[];
}

/** The pour plan that the samples tell: the middle one its moments, all of them its ranges. */
export function tellPourPlan(told: Told): PourPlan {
  const { sheet, heat, schedule, middle, beyondS, samples } = told;
  const scheduled = schedule.tasks();
  const startS = schedule.beginsS();
  const over = (figure: (sample: SampleTimes) => number) => samples.map(({ times }) => figure(times));
  const unmold = rangeOf(
    middle.unmoldS,
    over(({ unmoldS }) => unmoldS),
  );
  const cut =
    middle.cutS === null
      ? null
      : rangeOf(
          middle.cutS,
          over(({ cutS }) => cutS ?? 0),
        );
  const skins = heat.layers.map((_, index) =>
    rangeOf(
      middle.layers[index]?.skinS ?? 0,
      over(({ layers }) => layers[index]?.skinS ?? 0),
    ),
  );
  const tasks = scheduled.map((task) => {
    const range =
      task.kind === 'skin' ? skins[layerOf(heat, task.pourIndexes)] : task.kind === 'set' ? unmold : null;
    return {
      ...task,
      fromS: task.fromS - startS,
      toS: task.toS - startS,
      ends: range ? shifted(range, task.toS - startS - range.middle) : null,
    };
  });
  const last = (isIt: (kind: ScheduledTask['kind']) => boolean) =>
    beyondS + Math.max(...tasks.filter(({ kind }) => isIt(kind)).map(({ toS }) => toS));
  const outS = last((kind) => kind === 'unmold');
  const doneS = last((kind) => kind !== 'harden');
  // What is late in every round adds up.
  const late = (sure: { low: number; middle: number; high: number }, endS: number) => ({
    low: endS - (sure.middle - sure.low) * sheet.totals.rounds,
    middle: endS,
    high: endS + (sure.high - sure.middle) * sheet.totals.rounds,
  });
  const dews = samples.flatMap(({ times: { dew } }) => dew ?? []);
  return {
    version: 1,
    room: heat.room,
    samples: samples.length,
    layers: heat.layers.map((_, index) => layerTold(told, index, skins[index] ?? rangeOf(0, []))),
    tasks,
    rounds: schedule.rounds,
    roundsInAll: sheet.totals.rounds,
    unmold,
    unmoldC: heat.unmoldC,
    cutC: heat.cutC,
    never: middle.never,
    cut,
    done: late(cut ?? unmold, doneS),
    out: late(unmold, outS),
    handsS: handsOf(tasks) * (sheet.totals.rounds / schedule.rounds),
    dew: middle.dew && {
      dewPointC: middle.dew.dewPointC,
      above: rangeOf(
        middle.dew.aboveDewS,
        dews.map(({ aboveDewS }) => aboveDewS),
      ),
      dry: rangeOf(
        middle.dew.dryS,
        dews.map(({ dryS }) => dryS),
      ),
      mostGM2: middle.dew.mostGM2,
    },
    waterActivity: heat.waterActivity,
    shapeAssumed: heat.shapeAssumed,
    moldTaught: heat.moldLearnt !== null,
    grains: heat.layers.flatMap((layer, index) =>
      grainsOf(sheet, layer, middle.layers[index] ?? { moments: [] }),
    ),
    tips: heat.layers.flatMap((layer) => tipsOf(sheet, layer, heat.room.tempC)),
  };
}

function layerTold(told: Told, index: number, skin: PourLayer['skin']): PourLayer {
  const { heat, schedule, middle, samples } = told;
  const layer = heat.layers[index];
  const own = middle.layers[index];
  if (!layer || !own) throw new RangeError('a layer that was not simulated');
  const below = middle.layers[index - 1];
  const belowOver = (figure: (times: LayerTimes) => number) =>
    samples.flatMap(({ times }) => times.layers[index - 1] ?? []).map(figure);
  const mine = samples.flatMap(({ times }) => times.layers[index] ?? []);
  return {
    pourIndexes: layer.pourIndexes,
    letters: layer.letters,
    thicknessM: layer.thicknessM,
    atC: layer.atC,
    ceilingC: layer.ceilingC,
    tooThickC: layer.tooThickC,
    afterS: own.afterS,
    chosen: layer.afterS !== null,
    window: below
      ? {
          earliest: rangeOf(
            below.earliestS,
            belowOver(({ earliestS }) => earliestS),
          ),
          idealS: idealS(below.earliestS, below.latestS ?? below.earliestS),
          latest: rangeOf(
            below.latestS ?? below.earliestS,
            belowOver(({ latestS, earliestS }) => latestS ?? earliestS),
          ),
        }
      : null,
    bond:
      own.bond && own.meeting
        ? {
            likely: own.bond,
            shares: sharesOf(mine.length > 0 ? mine.map(({ bond }) => bond) : [own.bond]),
            remeltMm: rangeOf(
              own.meeting.remeltM * 1000,
              mine.map(({ meeting }) => (meeting?.remeltM ?? 0) * 1000),
            ),
          }
        : null,
    rewarm: own.rewarm,
    skin,
    jugs: schedule.pours
      .filter(({ pourIndex }) => layer.pourIndexes.includes(pourIndex))
      .map((pour) => jugTold(told, pour)),
    curve: thinned(own.moments),
  };
}

function jugTold(
  { sheet, heat, rules, schedule: { pours }, samples }: Told,
  pour: PlacedPour,
): PourLayer['jugs'][number] {
  const middle = jugSample(sheet, heat, rules, pour, NOMINAL);
  const place = pours.indexOf(pour);
  const own = samples.flatMap(({ jugs }) => jugs[place] ?? []);
  const { tooThickC } = layerOfPour(heat, pour.pourIndex);
  return {
    pourIndex: pour.pourIndex,
    id: pour.inJug.jug.id,
    name: pour.inJug.jug.name,
    taught: pour.inJug.jug.taught.length > 0,
    contentG: pour.inJug.load.contentG,
    pouredAfterS: pour.atS - pour.meltedS,
    pourS: pour.pourS,
    ready: rangeOf(
      middle.readyS,
      own.map(({ readyS }) => readyS),
    ),
    tooThick: rangeOf(
      middle.tooThickS,
      own.map(({ tooThickS }) => tooThickS),
    ),
    lastC: rangeOf(
      middle.lastC,
      own.map(({ lastC }) => lastC),
    ),
    curve: curveTimes(pour.inJug, tooThickC).map((timeS, at) => ({
      timeS,
      tempC: rangeOf(
        middle.curveC[at] ?? 0,
        own.map(({ curveC }) => curveC[at] ?? 0),
      ),
    })),
  };
}

function sharesOf(bonds: readonly (Bond | null)[]): Record<Bond, number> {
  const shares = Object.fromEntries(BONDS.map((each) => [each, 0])) as Record<Bond, number>;
  for (const bond of BONDS) shares[bond] = bonds.filter((each) => each === bond).length / bonds.length;
  return shares;
}

function layerOf({ layers }: HeatCase, pourIndexes: readonly number[]): number {
  return layers.findIndex((layer) => layer.pourIndexes[0] === pourIndexes[0]);
}

/** Hands that are bound at once are bound once. */
function handsOf(tasks: readonly ScheduledTask[]): number {
  let [sum, untilS] = [0, Number.NEGATIVE_INFINITY];
  for (const { fromS, toS } of tasks.filter(({ hands }) => hands)) {
    sum += Math.max(0, toS - Math.max(fromS, untilS));
    untilS = Math.max(untilS, toS);
  }
  return sum;
}

const MOST_MOMENTS = 48;

function thinned(moments: LayerTimes['moments']): LayerTimes['moments'] {
  const every = Math.ceil(moments.length / MOST_MOMENTS);
  return moments.filter((_, place) => place % every === 0 || place === moments.length - 1);
}
