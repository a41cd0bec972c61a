import { howSaid } from '../plan/howSaid';
import type { Run, Verdict } from './run';
import { runState } from './runState';

/** One weighing as it was planned and as it was. */
export interface LoggedWeight {
  pourLetter: string;
  name: string;
  text: string | null;
  plannedG: number;
  /** Planned, brought to the base that was in the jug. */
  targetG: number;
  actualG: number;
  /** (actual − target) / target; for a base, against the plan. */
  deviation: number;
}

/** What the logbook keeps of a finished run. */
export interface LogEntry {
  runId: string;
  planId: string;
  planVersion: number;
  planName: string;
  startedAt: string;
  finishedAt: string;
  pieces: number;
  goodPieces: number;
  verdict: Verdict;
  note: string;
  /** What went into the scrap jar. */
  toScrapG: number;
  weights: LoggedWeight[];
}

/**
 * The log entry of a run that has been finished.
 *
 * @throws RangeError when the run has not been finished
 */
export function logEntry(run: Run): LogEntry {
  const { steps, ended } = runState(run);
  if (ended?.how !== 'finished') throw new RangeError('only a finished run has a log entry');
  const weights = steps.flatMap((step): LoggedWeight[] => {
    const { plannedG, targetG, actualG } = step;
    const pour = run.sheet.pours[step.pourIndex];
    if (!pour || plannedG === null || targetG === null || actualG === null) return [];
    const line = step.kind === 'weigh-dose' ? pour.lines[step.lineIndex] : undefined;
    return [
      {
        pourLetter: pour.letter,
        name: line?.material.name ?? pour.base.name,
        text: line ? howSaid(line) : null,
        plannedG,
        targetG,
        actualG,
        deviation: targetG === 0 ? 0 : (actualG - targetG) / targetG,
      },
    ];
  });
  return {
    runId: run.id,
    planId: run.planId,
    planVersion: run.planVersion,
    planName: run.sheet.planName,
    startedAt: run.startedAt,
    finishedAt: ended.at,
    pieces: run.sheet.pieces,
    goodPieces: ended.goodPieces,
    verdict: ended.verdict,
    note: ended.note,
    toScrapG: ended.toScrapG,
    weights,
  };
}
