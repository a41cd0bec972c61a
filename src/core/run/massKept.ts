import type { Sheet } from '../plan/sheet';
import { partOfRound, wholeSheet } from '../work/rounds';
import { weighedLine } from '../work/weighedLine';
import type { Progress } from './progress';
import type { RunSoFar } from './run';
import type { TaskState } from './taskStates';

/** Where all that went into a run has gone by what was said, g. They add up to `inG`. */
export interface MassKept {
  /** Weighed into jugs and dishes, and set in. */
  inG: number;
  toJarsG: number;
  keptPiecesG: number;
  samplesG: number;
  wasteG: number;
  /** Lost in cutting. */
  crumbsG: number;
  /** In the bars and blocks, on the walls of the jugs, dried off: all that nobody said anything of. */
  restG: number;
}

/** No gram of a run comes or goes without an entry: what nobody told of is its rest. */
export function massKept(
  { snapshot }: Pick<RunSoFar, 'snapshot'>,
  so: Pick<Progress, 'tasks' | 'asides' | 'cuts' | 'ended'>,
): MassKept {
  const inG = so.tasks.reduce((sum, task) => sum + cameWith(snapshot.sheet, task), 0);
  const asideG = (is: Progress['asides'][number]['to']['is']) =>
    so.asides.reduce((sum, { to, massG }) => sum + (to.is === is ? massG : 0), 0);
  const atEndG = so.ended?.kind === 'finished' ? so.ended.toScrapG : 0;
  const gone = {
    toJarsG: asideG('jar') + atEndG,
    keptPiecesG: asideG('pieces'),
    samplesG: asideG('sample'),
    wasteG: asideG('waste'),
    crumbsG: so.cuts.reduce((sum, { lossG }) => sum + lossG, 0),
  };
  return { inG, ...gone, restG: inG - Object.values(gone).reduce((sum, each) => sum + each, 0) };
}

function cameWith(sheet: Sheet, task: TaskState): number {
  if (task.doneAt === null || task.isLeftOut) return 0;
  if (task.kind === 'inclusions') {
    const { ofAll } = partOfRound(sheet, task.round);
    const share = ofAll / wholeSheet(sheet).ofAll;
    return (sheet.pours[task.pourIndexes[0] ?? -1]?.embeds ?? [])
      .filter(({ embedIndex }) => task.embedIndexes.includes(embedIndex))
      .reduce((sum, { massG }) => sum + massG * share, 0);
  }
  return weighedLine(sheet, task)?.leaves ? 0 : (task.actualG ?? 0);
}
