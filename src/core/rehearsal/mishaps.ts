import type { ScheduledTask } from '../schedule/scheduledTask';
import { seededRandom } from '../seededRandom';
import { isWait } from '../work/task';

/** What may go wrong in a rehearsal. */
export const MISHAPS = ['telephone', 'heavy-base', 'cold-room', 'unplugged', 'early-touch'] as const;
export type MishapKind = (typeof MISHAPS)[number];

/** A mishap and where it happens. */
export type Mishap =
  /** Hands are away for so long before a task. */
  | { kind: 'telephone'; taskId: string; lengthS: number }
  /** What is put on the scale for a base is so many times what was aimed at. */
  | { kind: 'heavy-base'; taskId: string; times: number }
  /** The room is so much colder than the plan has it, K. */
  | { kind: 'cold-room'; byK: number }
  /** The scale is gone when a weighing begins. */
  | { kind: 'unplugged'; taskId: string }
  /** A layer is touched when so much of its wait is over, and does not carry. */
  | { kind: 'early-touch'; taskId: string; share: number };

const LONGEST_CALL_S = 12 * 60;
const SHORTEST_CALL_S = 4 * 60;
/** Common practice, no source: a knife is off by some per cent, and nobody looks. */
const HEAVY = 1.04;
const COLD_K = 5;
const TOUCHED_AT = 0.6;

/**
 * Where the chosen mishaps happen: the same places for the same seed. What a run has no place for is left out.
 *
 * @param tasks in the order of the schedule
 */
export function placeMishaps(
  tasks: readonly ScheduledTask[],
  chosen: readonly MishapKind[],
  seed: number,
): Mishap[] {
  const random = seededRandom(seed);
  const oneOf = <Of>(all: readonly Of[]): Of | undefined => all[Math.floor(random() * all.length)];
  const firstPour = tasks.findIndex(({ kind }) => kind === 'pour');
  const places: Record<MishapKind, () => Mishap | null> = {
    telephone: () => {
      // While something cools or skins: before and after that it only takes longer.
      const between = tasks.slice(firstPour, tasks.findLastIndex(({ kind }) => kind === 'pour') + 1);
      const task = oneOf(between.filter((each) => !isWait(each) && each.hands));
      const lengthS = SHORTEST_CALL_S + random() * (LONGEST_CALL_S - SHORTEST_CALL_S);
      return task ? { kind: 'telephone', taskId: task.id, lengthS: Math.round(lengthS) } : null;
    },
    'heavy-base': () => {
      const task = oneOf(tasks.filter(({ kind }) => kind === 'weigh-base'));
      return task ? { kind: 'heavy-base', taskId: task.id, times: HEAVY } : null;
    },
    'cold-room': () => ({ kind: 'cold-room', byK: COLD_K }),
    unplugged: () => {
      const task = oneOf(tasks.filter(({ kind }) => kind === 'weigh-base' || kind === 'weigh-dose'));
      return task ? { kind: 'unplugged', taskId: task.id } : null;
    },
    'early-touch': () => {
      const waitsFor = tasks.filter(({ kind, id }) => kind === 'skin' && isWaitedUpon(id, tasks));
      const task = oneOf(waitsFor);
      return task ? { kind: 'early-touch', taskId: task.id, share: TOUCHED_AT } : null;
    },
  };
  // Each is asked in its turn whether it is chosen or not, so that one more moves no other.
  return MISHAPS.flatMap((kind) => {
    const placed = places[kind]();
    return placed && chosen.includes(kind) ? [placed] : [];
  });
}

/** Another pour waits for it. */
function isWaitedUpon(skinId: string, tasks: readonly ScheduledTask[]): boolean {
  return tasks.some(({ kind, needs }) => kind === 'pour' && needs.includes(skinId));
}
