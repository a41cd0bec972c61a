import { capFindings } from '../checks/capFindings';
import type { Found } from '../checks/finding';
import { contentOf, isInherited, type Sheet, type SheetLine, type SheetPour } from '../plan/sheet';
import { jugGroups } from '../pours/sharedJug';
import type { Progress } from './progress';
import type { TaskState } from './taskStates';

/** A limit that is passed by what is really in a jug, and the way out of it. */
export interface OverLimit {
  finding: Found;
  /** Id of the weighing of the base in that jug. */
  baseTaskId: string;
  /** So much more base brings it to the limit, g. */
  moreBaseG: number;
}

/** What is in the jug of a task's pour: weighed, as far as it was, and on target for the rest. */
interface JugLoad {
  round: number;
  load: number;
  pourIndex: number;
}

/**
 * The limits that a jug passes by what was really weighed into it. What is typed and not ticked yet counts as weighed.
 *
 * @param typed what the scale shows for a task
 */
export function overLimits(
  sheet: Sheet,
  { tasks }: Pick<Progress, 'tasks'>,
  { round, load, pourIndex }: JugLoad,
  typed: { taskId: string; massG: number } | null = null,
): OverLimit[] {
  const group = jugGroups(sheet.pours).find((each) => each.includes(pourIndex)) ?? [pourIndex];
  const own = tasks.filter((task) => task.round === round && task.load === load);
  const weighed = (task: TaskState) =>
    task.id === typed?.taskId ? typed.massG : (task.actualG ?? task.targetG ?? 0);
  const bases = own.filter((task) => task.kind === 'weigh-base' && task.pourIndexes[0] === group[0]);
  const [first] = bases;
  if (!first) return [];
  const baseG = bases.reduce((sum, task) => sum + weighed(task), 0);
  const plannedG = group.reduce((sum, index) => sum + (sheet.pours[index]?.baseG ?? 0), 0);
  const doseOf = (index: number, lineIndex: number) =>
    own.find(
      (task) => task.kind === 'weigh-dose' && task.pourIndexes[0] === index && task.lineIndex === lineIndex,
    );
  // Base that is still in the jug before a pour, by the shares of the plan.
  const leftBefore = (index: number) =>
    (baseG *
      group.slice(group.indexOf(index)).reduce((sum, each) => sum + (sheet.pours[each]?.baseG ?? 0), 0)) /
    plannedG;
  const pour = sheet.pours[pourIndex];
  if (!pour || !(baseG > 0)) return [];
  const share = (line: SheetLine, index: number, lineIndex: number) => {
    const task = doseOf(index, lineIndex);
    // What holds its strength by what came before keeps to the plan, brought to what was weighed of it.
    if (line.counts === 'content' && group.length > 1)
      return task?.targetG ? line.ofBase * (weighed(task) / task.targetG) : line.ofBase;
    return task ? weighed(task) / leftBefore(index) : line.ofBase;
  };
  const lines = pour.lines.map((line, lineIndex) => ({
    ...line,
    ofBase: line.leaves ? 0 : share(line, pourIndex, lineIndex),
  }));
  const carried = pour.carried.map((line) => {
    const origin = sheet.pours[line.fromPourIndex];
    const lineIndex = origin?.lines.findIndex(
      (each) =>
        each.doseId === line.doseId && each.material.id === line.material.id && each.wets === line.wets,
    );
    return origin === undefined || lineIndex === undefined || lineIndex < 0
      ? line
      : { ...line, ofBase: share(line, line.fromPourIndex, lineIndex) };
  });
  const actual = withShares({ ...pour, lines, carried }, baseG);
  return capFindings(sheet, actual, pourIndex).map(({ finding, countedG, limit, ofG }) => ({
    finding,
    baseTaskId: first.id,
    moreBaseG: countedG / limit - ofG,
  }));
}

/** A pour whose lines say what they are of base, with everything that follows from that. */
function withShares(pour: SheetPour, baseG: number): SheetPour {
  const stays = contentOf(pour).reduce((sum, line) => sum + (isInherited(line) ? 0 : line.ofBase), 0);
  const fill = <Line extends SheetLine>(line: Line): Line => ({
    ...line,
    massG: line.ofBase * baseG,
    ofProduct: line.ofBase / (1 + stays),
  });
  return {
    ...pour,
    baseG,
    jugG: baseG * (1 + stays),
    lines: pour.lines.map(fill),
    carried: pour.carried.map(fill),
    inherited: pour.inherited.map(fill),
  };
}
