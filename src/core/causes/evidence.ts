import type { Finding } from '../checks/finding';
import { waterActivityOf } from '../heat/substanceOf';
import type { Material } from '../materials/material';
import type { Mold } from '../molds/mold';
import { meltedName } from '../plan/baseParts';
import type { Sheet, SheetLine } from '../plan/sheet';
import { heatOnward } from '../run/heatOnward';
import { type Outcome, outcomeOf } from '../run/outcome';
import { type Progress, progress } from '../run/progress';
import type { Run } from '../run/run';
import { weighedLine } from '../work/weighedLine';

/** A weighing, and how far off it was. */
export interface WeighingSeen {
  /** null for a base. */
  line: SheetLine | null;
  name: string;
  letter: string;
  pourIndex: number;
  round: number;
  /** Of what was aimed at, of the plan for a base; −1 where it was left out. */
  deviation: number;
}

/** What a run measured, as far as it bears on faults. */
export interface Evidence {
  sheet: Sheet;
  mold: Mold;
  /** Of the checks, before it was made. */
  findings: readonly Finding[];
  outcome: Outcome;
  weighings: WeighingSeen[];
  /** When each round came out of its mold, and when the model had it cold enough, s from its last pour. */
  early: { round: number; outS: number; readyS: number }[];
  /** Rounds that did not come out of their molds at first. */
  stuckRounds: number[];
  /** Of the room, a fraction; null where nobody read it. */
  humidity: number | null;
  /** Above this its last pour draws water. */
  sweatsAbove: number;
  /** From the mold to the wrap, or to when it was looked at; null while it is neither. */
  unwrappedS: number | null;
  /** Alcohol went onto what was poured onto. */
  isSpritzed: boolean;
  /** What may be taken into the plan instead. */
  shelf: readonly Material[];
}

/** So often the model is asked about a bond that is not good. */
const SAMPLES = 20;

/** Of what a run measured, what bears on one of its rounds. */
export function evidenceOfRound(evidence: Evidence, round: number): Evidence {
  const { outcome, weighings, early, stuckRounds } = evidence;
  const isIn = (each: { round: number }) => each.round === round;
  return {
    ...evidence,
    outcome: {
      ...outcome,
      layers: outcome.layers.filter(isIn),
      bonds: outcome.bonds.filter(isIn),
      over: outcome.over.filter(({ baseTaskId }) => baseTaskId.startsWith(`r${round + 1}/`)),
    },
    weighings: weighings.filter(isIn),
    early: early.filter(isIn),
    stuckRounds: stuckRounds.filter((each) => each === round),
  };
}

/**
 * Gathers what a run measured. Follows its heat, which takes a while: best beside the page.
 *
 * @param shelf bases, dispersants and packaging that may be taken into the plan instead
 */
export function evidenceOf(run: Run, shelf: readonly Material[] = []): Evidence {
  const { sheet, findings } = run.snapshot;
  const so = progress(run);
  const last = sheet.pours.at(-1);
  return {
    ...{ sheet, findings, shelf },
    mold: sheet.mold,
    outcome: outcomeOf(run, so.room?.tempC ?? sheet.making.room.tempC, SAMPLES),
    weighings: weighingsOf(so, sheet),
    early: outOfMolds(run, so),
    stuckRounds: so.feels
      .filter(({ how }) => how === 'stuck')
      .flatMap(({ taskId }) => so.tasks.find(({ id }) => id === taskId)?.round ?? []),
    humidity: so.room?.humidity ?? null,
    sweatsAbove: last ? waterActivityOf(last.base) : 1,
    unwrappedS: unwrapped(so),
    isSpritzed: so.tasks.some(
      ({ kind, doneAt, isLeftOut }) => kind === 'spritz' && doneAt !== null && !isLeftOut,
    ),
  };
}

function weighingsOf({ tasks }: Progress, sheet: Sheet): WeighingSeen[] {
  return tasks.flatMap((task): WeighingSeen[] => {
    const { actualG, targetG, plannedG, isLeftOut } = task;
    const [pourIndex = 0] = task.pourIndexes;
    const pour = sheet.pours[pourIndex];
    const aimedG = task.kind === 'weigh-base' ? plannedG : targetG;
    if (!pour || actualG === null || !aimedG) return [];
    const line = weighedLine(sheet, task) ?? null;
    return [
      {
        line,
        name: line?.material.name ?? meltedName(pour),
        letter: pour.letter,
        pourIndex,
        round: task.round,
        deviation: isLeftOut ? -1 : actualG / aimedG - 1,
      },
    ];
  });
}

function outOfMolds(run: Run, so: Progress): Evidence['early'] {
  return so.tasks.flatMap((unmold) => {
    if (unmold.kind !== 'unmold' || unmold.doneAt === null) return [];
    const { round, id, doneAt } = unmold;
    const pours = so.tasks.filter((task) => task.kind === 'pour' && task.round === round && !task.isLeftOut);
    const lastMs = Math.max(
      ...pours.map((task) => Date.parse(task.doneAt ?? '') - (task.toS - task.fromS) * 1000),
    );
    const until = run.events.findIndex(({ event }) => event.kind === 'done' && event.taskId === id);
    const before = { ...run, events: run.events.slice(0, until) };
    const heat = heatOnward(before, Date.parse(doneAt)).rounds.find((each) => each.round === round);
    return heat ? [{ round, outS: (Date.parse(doneAt) - lastMs) / 1000, readyS: heat.unmoldS }] : [];
  });
}

/** The longest that a round lay open. */
function unwrapped({ tasks, inspections }: Progress): number | null {
  const lengths = tasks.flatMap((unmold) => {
    if (unmold.kind !== 'unmold' || unmold.doneAt === null) return [];
    const wrap = tasks.find(({ kind, round }) => kind === 'wrap' && round === unmold.round);
    const until = wrap?.doneAt ?? inspections.findLast(({ round }) => round === unmold.round)?.at;
    return until ? [(Date.parse(until) - Date.parse(unmold.doneAt)) / 1000] : [];
  });
  return lengths.length === 0 ? null : Math.max(...lengths);
}
