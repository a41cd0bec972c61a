import type { Felt } from '../run/afterwards';
import type { Onward, OnwardTask } from '../run/onward';
import type { Progress } from '../run/progress';
import type { Range } from '../schedule/range';
import { isWait } from '../work/task';

/** What hands do on the rack: a task of the run, or a look that no task is kept for. */
const ORDER = ['unmold', 'cut-bars', 'inspect', 'wrap', 'look-again'] as const;
export type RackKind = (typeof ORDER)[number];

/** What hands do next with a round, and when it is due, ms since the epoch. */
export interface RackDue {
  kind: RackKind;
  /** null for a look. */
  taskId: string | null;
  due: Range;
  /** What was felt last for it; null where nobody did. */
  felt: Felt | null;
}

/** What passes by itself. */
export interface RackWait {
  kind: 'skin' | 'freezer' | 'set' | 'harden';
  fromMs: number;
  ends: Range;
}

/** A round that is poured and not put away yet. */
export interface RackRound {
  round: number;
  isInMold: boolean;
  /** When its mold is free again; null once it is. */
  freeMs: Range | null;
  waits: RackWait[];
  /** In the order they come; the first is next. */
  due: RackDue[];
}

/** A soft bar is felt again when so much more of the time since it was poured has passed. A guess, as for a skin. */
const STILL_SOFT = 1.15;
const SOONEST_AGAIN_MS = 10 * 60_000;
/** A stuck bar goes into the freezer for so long. Common practice, no source. */
export const STUCK_MS = 10 * 60_000;
const DAY_MS = 24 * 3600_000;

/**
 * Rounds of a run that are poured and still set, wait to be taken out, cut, wrapped or looked at, hardening, or under
 * watch.
 *
 * @param seen its tasks on from what has happened
 */
export function rackRounds(so: Progress, seen: Pick<Onward, 'tasks'>): RackRound[] {
  const rounds = [...new Set(so.tasks.map(({ round }) => round))];
  return rounds.flatMap((round) => rackRound(round, so, seen.tasks) ?? []);
}

function rackRound(round: number, so: Progress, ofRun: readonly OnwardTask[]): RackRound | null {
  const tasks = ofRun.filter((task) => task.round === round);
  const pours = tasks.filter(({ kind }) => kind === 'pour');
  if (pours.length === 0 || pours.some(({ doneAt }) => doneAt === null)) return null;
  if (so.ended?.kind === 'abandoned') return null;
  const unmold = tasks.find(({ kind }) => kind === 'unmold');
  const set = tasks.find(({ kind }) => kind === 'set');
  const isInMold = unmold !== undefined && unmold.doneAt === null;
  const pouredMs = Math.max(...pours.map(({ doneAt }) => Date.parse(doneAt ?? '')));
  const dueOf = (task: OnwardTask): RackDue => {
    const felt = so.feels.findLast(({ taskId }) => taskId === task.id) ?? null;
    const byModel = task.kind === 'unmold' && set ? endOf(set) : certain(task.fromMs);
    return {
      kind: task.kind as RackKind,
      taskId: task.id,
      felt,
      due: felt ? certain(feltMs(felt, pouredMs)) : byModel,
    };
  };
  const due = tasks
    .filter(
      ({ kind, doneAt }) => doneAt === null && (kind === 'unmold' || kind === 'cut-bars' || kind === 'wrap'),
    )
    .map(dueOf);
  const all = [...due, ...looksOf(round, so, tasks)].sort(
    (a, b) => ORDER.indexOf(a.kind) - ORDER.indexOf(b.kind),
  );
  const [next] = all;
  if (!next) return null;
  return { round, isInMold, freeMs: isInMold ? next.due : null, waits: waitsOf(tasks, so), due: all };
}

/** When what was felt is to be done or felt again. */
function feltMs({ how, at }: Felt, pouredMs: number): number {
  const feltAtMs = Date.parse(at);
  if (how === 'stuck') return feltAtMs + STUCK_MS;
  if (how !== 'soft') return feltAtMs;
  return feltAtMs + Math.max(SOONEST_AGAIN_MS, (feltAtMs - pouredMs) * (STILL_SOFT - 1));
}

function waitsOf(tasks: readonly OnwardTask[], so: Progress): RackWait[] {
  const isDone = (kind: OnwardTask['kind']) =>
    tasks.some((task) => task.kind === kind && task.doneAt !== null);
  return tasks.flatMap((task): RackWait[] => {
    const { kind, fromMs } = task;
    if (!isWait(task) || kind === 'cool') return [];
    // What sets is over once it is out; what hardens is begun then.
    const isOut = isDone('unmold');
    if (kind === 'harden' ? !isOut : isOut) return [];
    if (kind === 'skin' && so.touches.some(({ taskId, carries }) => taskId === task.id && carries)) return [];
    return [{ kind: kind as RackWait['kind'], fromMs, ends: endOf(task) }];
  });
}

/** When a wait ends, with the spread that it was planned with. */
function endOf({ toMs, ends }: OnwardTask): Range {
  if (!ends) return certain(toMs);
  return {
    low: toMs - (ends.middle - ends.low) * 1000,
    middle: toMs,
    high: toMs + (ends.high - ends.middle) * 1000,
  };
}

function certain(ms: number): Range {
  return { low: ms, middle: ms, high: ms };
}

/** Every round is looked at once it is out, and cut where it is; and again when that was asked for. */
function looksOf(round: number, so: Progress, tasks: readonly OnwardTask[]): RackDue[] {
  const seen = so.inspections.filter((each) => each.round === round);
  const last = seen.at(-1);
  const look = (kind: 'inspect' | 'look-again', ms: number): RackDue => ({
    ...{ kind, taskId: null, felt: null },
    due: certain(ms),
  });
  if (!last) {
    const before = tasks.findLast(({ kind }) => kind === 'unmold' || kind === 'cut-bars');
    return before ? [look('inspect', before.toMs)] : [];
  }
  if (last.againAfterDays === null) return [];
  return [look('look-again', Date.parse(last.at) + last.againAfterDays * DAY_MS)];
}
