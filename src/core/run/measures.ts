import { inspectionWeightG } from '../inspection/inspection';
import { fillSeen } from './fillSeen';
import { countLessons } from './lessons';
import { logEntry } from './logEntry';
import type { Progress } from './progress';
import type { Run } from './run';

/** What is predicted by a sheet or a schedule, and measured while it is made. */
export const MEASURES = [
  'piece-mass',
  'good-pieces',
  'fill',
  'jug-loss',
  'drop-mass',
  'skin',
  'unmold',
  'pour-heat',
] as const;
export type MeasureKind = (typeof MEASURES)[number];

/** A figure of a run beside what was predicted of it: g, pieces, mL, a fraction, s or °C. */
export interface Measure {
  kind: MeasureKind;
  predicted: number;
  measured: number;
}

/**
 * What a finished run measured of what was predicted, each kind at most once: the mean of its rounds and pours.
 *
 * A layer carries when it was first touched and carried, having been touched before and not; when a mold was emptied is
 * when hands came to it, and that is no sooner than it could be.
 */
export function measuresOf(run: Run, so: Progress): Measure[] {
  if (so.ended?.kind !== 'finished') return [];
  const { sheet } = run.snapshot;
  const { pours } = logEntry(run);
  const weighedG = inspectionWeightG(so.inspections);
  const left = pours.filter(({ leftFraction, isLeftOut }) => leftFraction !== null && !isLeftOut);
  const read = pours.filter(({ tempC }) => tempC !== null);
  const mean = (figures: readonly number[]) => figures.reduce((sum, each) => sum + each, 0) / figures.length;
  const of = (kind: MeasureKind, predicted: number[], measured: number[]): Measure[] =>
    measured.length === 0 ? [] : [{ kind, predicted: mean(predicted), measured: mean(measured) }];
  const skins = skinsOf(so);
  const unmolds = unmoldsOf(so);
  const fill = fillSeen(run);
  const drops = countLessons(run, so).filter(({ reading: { of: what } }) => what === 'drops');
  return [
    ...of('piece-mass', [sheet.totals.pieceG], weighedG === null ? [] : [weighedG]),
    ...of('good-pieces', [sheet.pieces], [so.ended.goodPieces]),
    ...of('fill', [sheet.mold.capacityMl], fill ? [fill.capacityMl] : []),
    ...of(
      'drop-mass',
      drops.map(({ wasG }) => wasG),
      drops.map(({ reading: { massG, count } }) => massG / count),
    ),
    ...of(
      'jug-loss',
      [sheet.jugLossFraction],
      left.map(({ leftFraction }) => leftFraction ?? 0),
    ),
    ...of(
      'skin',
      skins.map(({ plannedS }) => plannedS),
      skins.map(({ wasS }) => wasS),
    ),
    ...of(
      'unmold',
      unmolds.map(({ plannedS }) => plannedS),
      unmolds.map(({ wasS }) => wasS),
    ),
    ...of(
      'pour-heat',
      read.map(({ plannedC }) => plannedC),
      read.map(({ tempC }) => tempC ?? 0),
    ),
  ];
}

interface Length {
  plannedS: number;
  wasS: number;
}

/** From a pour to the touch that carried, where one before it did not: a first touch that carries may be late. */
function skinsOf({ tasks, touches }: Progress): Length[] {
  return tasks.flatMap((task): Length[] => {
    if (task.kind !== 'skin') return [];
    const own = touches.filter(({ taskId }) => taskId === task.id);
    const carried = own.find(({ carries }) => carries);
    const isBracketed = own.some(({ carries, at }) => !carries && carried !== undefined && at < carried.at);
    const poured = lastOf(tasks, (each) => task.needs.includes(each.id));
    if (!carried || !isBracketed || poured === null) return [];
    return [{ plannedS: task.toS - task.fromS, wasS: (Date.parse(carried.at) - poured) / 1000 }];
  });
}

/** From the last pour of a round until it was taken out. */
function unmoldsOf({ tasks }: Progress): Length[] {
  return tasks.flatMap((task): Length[] => {
    if (task.kind !== 'unmold' || task.doneAt === null) return [];
    const isPour = (each: Progress['tasks'][number]) => each.kind === 'pour' && each.round === task.round;
    const planned = Math.max(...tasks.filter(isPour).map(({ toS }) => toS));
    const poured = lastOf(tasks, isPour);
    if (poured === null || !(task.fromS > planned)) return [];
    return [{ plannedS: task.fromS - planned, wasS: (Date.parse(task.doneAt) - poured) / 1000 }];
  });
}

/** When the last of some tasks was done, ms; null where one is open or there is none. */
function lastOf(
  tasks: Progress['tasks'],
  isOne: (task: Progress['tasks'][number]) => boolean,
): number | null {
  const own = tasks.filter(isOne);
  if (own.length === 0 || own.some(({ doneAt }) => doneAt === null)) return null;
  return Math.max(...own.map(({ doneAt }) => Date.parse(doneAt ?? '')));
}

/** Whether a kind is off by a share of what was predicted; else by so much in its own unit. */
export function isShareMeasure(kind: MeasureKind): boolean {
  return kind !== 'pour-heat' && kind !== 'jug-loss';
}
