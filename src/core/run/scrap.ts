import { cavitiesFilled } from '../molds/filled';
import type { Mold } from '../molds/mold';
import { slicesOf } from '../molds/slicing';
import { jugsOf, meltedBeyond } from '../pours/jugsOf';
import { isTopUp } from './jugBase';
import { progress } from './progress';
import type { RunSoFar } from './run';
import type { TaskState } from './taskStates';

/** What a run leaves that can be melted again, g. */
export interface ScrapOfRun {
  /** Pours that are cut off. */
  trimmedG: number;
  /** Ends of loaves and what is left of their last slices. */
  endsG: number;
  /** What was cut and melted beyond the need of the molds. */
  leftOverG: number;
}

/** All pours of a jug were left out. */
function isNoneTaken(base: TaskState, group: readonly number[], tasks: readonly TaskState[]): boolean {
  const own = tasks.filter(
    ({ kind, round, load, pourIndexes }) =>
      kind === 'pour' &&
      round === base.round &&
      load === base.load &&
      pourIndexes.some((index) => group.includes(index)),
  );
  return own.length > 0 && own.every(({ isLeftOut }) => isLeftOut);
}

/** What can go into the scrap jar after a run, by its sheet and by the base that was really melted. */
export function scrapOf(run: RunSoFar): ScrapOfRun {
  const { sheet } = run.snapshot;
  const { pours, mold, secondMold, totals } = sheet;
  const jugs = jugsOf(pours);
  const { tasks } = progress(run);
  const leftOverG = tasks.reduce((sum, task) => {
    if (task.kind !== 'weigh-base' || isTopUp(task) || task.actualG === null || !(task.massG > 0)) return sum;
    const toppedUpG = tasks.reduce(
      (more, each) => (each.id.startsWith(`${task.id}+`) ? more + (each.actualG ?? 0) : more),
      0,
    );
    const [head = 0] = task.pourIndexes;
    const jug = jugs.find(({ group }) => group.includes(head));
    if (!jug || !(jug.baseG > 0)) return sum;
    const tookG = isNoneTaken(task, jug.group, tasks) ? 0 : task.massG / (1 + meltedBeyond(jug));
    return sum + Math.max(0, ((task.actualG + toppedUpG - tookG) * jug.jugG) / jug.baseG);
  }, 0);
  const cavities = cavitiesFilled(sheet, sheet.fills);
  const trimShare = (of: Mold | null) => (of && slicesOf(of)?.trimShare) ?? 0;
  return {
    trimmedG: totals.trimmedG,
    endsG:
      totals.fillG * cavities.first * trimShare(mold) +
      totals.secondFillG * cavities.second * trimShare(secondMold),
    leftOverG,
  };
}
