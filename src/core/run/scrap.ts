import { slicesOf } from '../molds/slicing';
import { jugGroups } from '../plan/oneJug';
import type { Run } from './run';
import { runState } from './runState';

/** What a run leaves that can be melted again, g. */
export interface ScrapOfRun {
  /** Pours that are cut off. */
  trimmedG: number;
  /** Ends of loaves and what is left of their last slices. */
  endsG: number;
  /** What was cut and melted beyond the need of the molds. */
  leftOverG: number;
}

/** What can go into the scrap jar after a run, by its sheet and by the base that was really melted. */
export function scrapOf(run: Pick<Run, 'sheet' | 'events'>): ScrapOfRun {
  const { pours, mold, totals, pieces } = run.sheet;
  const { steps } = runState(run);
  const leftOverG = jugGroups(pours).reduce((sum, group) => {
    const [head = 0] = group;
    const base = steps.find(({ kind, pourIndex }) => kind === 'weigh-base' && pourIndex === head);
    const planned = pours[head]?.meltG ?? 0;
    const jugG = group.reduce((total, index) => total + (pours[index]?.jugG ?? 0), 0);
    const beyond = planned > 0 ? (base?.actualG ?? planned) / planned - 1 : 0;
    return sum + Math.max(0, beyond * jugG);
  }, 0);
  const slices = slicesOf(mold);
  return {
    trimmedG: totals.trimmedG,
    endsG: slices ? totals.pieceG * pieces * slices.trimShare : 0,
    leftOverG,
  };
}
