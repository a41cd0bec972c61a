import { meltedName } from '../plan/baseParts';
import type { SheetLine } from '../plan/sheet';
import { weighedLine } from '../work/weighedLine';
import { intoJug } from './intoJug';
import { lastDone } from './lastDone';
import { progress } from './progress';
import type { Run, Verdict } from './run';
import type { TaskState } from './taskStates';

/** One weighing as it was planned and as it was. */
export interface LoggedWeight {
  /** From 1. */
  round: number;
  load: number;
  loads: number;
  pourLetter: string;
  name: string;
  /** How the dose came into the plan; null for a base. */
  dose: Pick<SheetLine, 'text' | 'wets' | 'blend'> | null;
  plannedG: number;
  /** Planned, brought to the base that was in the jug. */
  targetG: number;
  actualG: number;
  /** What was ticked at first, where more was added or it was corrected; else null. */
  tickedG: number | null;
  /** Why it was left as it is. */
  note: string;
  /** An optional dose that did not go in. */
  isLeftOut: boolean;
  /** (actual − target) / target; for a base, against the plan. */
  deviation: number;
}

/** A pour as it was planned and as it was. */
export interface LoggedPour {
  /** From 1. */
  round: number;
  load: number;
  loads: number;
  pourLetters: string[];
  /** It was not poured; nothing else is said of it then. */
  isLeftOut: boolean;
  /** When it was ticked. */
  at: string;
  plannedC: number;
  /** Each null where nobody read or said it. */
  tempC: number | null;
  cavities: number | null;
  leftG: number | null;
  /** What was left of all that was weighed into its jug. */
  leftFraction: number | null;
}

/** What the logbook keeps of a finished run. */
export interface LogEntry {
  runId: string;
  /** null for runs of before there were codes. */
  code: string | null;
  planId: string;
  planVersion: number;
  planName: string;
  isTrial: boolean;
  startedAt: string;
  finishedAt: string;
  pieces: number;
  goodPieces: number;
  verdict: Verdict;
  note: string;
  /** What went into the scrap jar. */
  toScrapG: number;
  weights: LoggedWeight[];
  pours: LoggedPour[];
}

/**
 * The log entry of a run that has been finished.
 *
 * @throws RangeError when the run has not been finished
 */
export function logEntry(run: Run): LogEntry {
  const { tasks, ended } = progress(run);
  if (ended?.kind !== 'finished') throw new RangeError('only a finished run has a log entry');
  const { sheet } = run.snapshot;
  const weights = tasks.flatMap((task): LoggedWeight[] => {
    const { plannedG, targetG, actualG } = task;
    const pour = sheet.pours[task.pourIndexes[0] ?? -1];
    if (!pour || plannedG === null || targetG === null || actualG === null) return [];
    const line = weighedLine(sheet, task);
    return [
      {
        round: task.round + 1,
        load: task.load + 1,
        loads: task.loads,
        pourLetter: pour.letter,
        name: line?.material.name ?? meltedName(pour),
        dose: line ? { text: line.text, wets: line.wets, blend: line.blend } : null,
        plannedG,
        targetG,
        actualG,
        tickedG: task.tickedG,
        note: task.note,
        isLeftOut: task.isLeftOut,
        deviation: targetG === 0 ? 0 : (actualG - targetG) / targetG,
      },
    ];
  });
  return {
    runId: run.id,
    code: run.code,
    planId: run.planId,
    planVersion: run.planVersion,
    planName: sheet.planName,
    isTrial: run.snapshot.isTrial === true,
    startedAt: run.startedAt,
    finishedAt: ended.at,
    pieces: sheet.pieces,
    goodPieces: ended.goodPieces,
    verdict: ended.verdict,
    note: ended.note,
    toScrapG: ended.toScrapG,
    weights,
    pours: tasks.flatMap((task) => loggedPour(run, task, tasks) ?? []),
  };
}

function loggedPour(run: Run, task: TaskState, tasks: readonly TaskState[]): LoggedPour | null {
  if (task.kind !== 'pour' || task.doneAt === null) return null;
  const said = task.isLeftOut ? null : lastDone(run, task.id);
  const leftG = said?.leftG ?? null;
  const jugG = intoJug(run.snapshot.sheet, task, tasks).reduce((sum, { actualG }) => sum + (actualG ?? 0), 0);
  return {
    round: task.round + 1,
    load: task.load + 1,
    loads: task.loads,
    pourLetters: task.pourIndexes.map((index) => run.snapshot.sheet.pours[index]?.letter ?? ''),
    at: task.doneAt,
    isLeftOut: task.isLeftOut,
    plannedC: task.tempC,
    tempC: said?.tempC ?? null,
    cavities: said?.cavities ?? null,
    leftG,
    leftFraction: leftG === null || !(jugG > 0) ? null : leftG / jugG,
  };
}
