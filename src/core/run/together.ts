import type { HeatOnward } from './heatOnward';
import { type Hold, holdsOf } from './holds';
import { type Onward, type OnwardTask, placing } from './onward';
import type { Progress } from './progress';
import type { Run } from './run';

/** One of the runs on the bench, and where it stands. */
export interface BenchRun {
  run: Pick<Run, 'id' | 'startedAt' | 'snapshot'>;
  so: Progress;
  /** null while it is being worked out. */
  heat: HeatOnward | null;
}

/** A hold of another run: its place among the runs, and when it ends, ms; null while that is not placed yet. */
type Held = Hold & { by: number; endsMs: number | null };

/**
 * The rest of several runs that are made at once, by one pair of hands, with one set of jugs and molds: in the order in
 * which hands can begin, and a pour whose window closes before what could be done meanwhile is over goes first.
 *
 * @returns one for each run, in their order
 */
export function onwardTogether(runs: readonly BenchRun[], nowMs: number): Onward[] {
  const placings = runs.map(({ so, heat, run }) => placing(so, heat, Date.parse(run.startedAt), nowMs));
  const held: Held[] = [];
  let handsMs = nowMs;
  for (;;) {
    const candidates = placings.flatMap((each, by) => {
      const freeMs = freeAt(runs, by, each.nextId(), held);
      const task = each.peek(handsMs, freeMs ?? nowMs);
      return task ? [{ by, task, isBlocked: freeMs === null }] : [];
    });
    const chosen = choose(candidates);
    if (!chosen) break;
    const { by, task } = chosen;
    placings[by]?.take(task);
    if (task.isByHand && task.doneAt === null) handsMs = Math.max(handsMs, task.toMs);
    for (const each of held) if (each.by === by && each.untilTaskId === task.id) each.endsMs = task.toMs;
    held.push(...takenBy(runs, by, task.id).map((hold) => ({ ...hold, by, endsMs: null })));
  }
  return placings.map((each) => each.told());
}

interface Candidate {
  by: number;
  task: OnwardTask & { isByHand: boolean; closesMs: number | null };
  /** What it takes is another run's, and nobody knows yet for how long. */
  isBlocked: boolean;
}

/** What is done, and waits, are placed at once; of what hands do, the one that can begin first, unless that makes a pour too late. */
function choose(candidates: readonly Candidate[]): Candidate | undefined {
  const free = candidates.find(({ task }) => task.doneAt !== null || !task.isByHand);
  if (free) return free;
  const open = candidates.filter(({ isBlocked }) => !isBlocked);
  const [first, ...others] = (open.length > 0 ? open : candidates).toSorted(
    (a, b) => a.task.fromMs - b.task.fromMs,
  );
  const urgent = others.find(
    ({ task }) =>
      first &&
      task.closesMs !== null &&
      (first.task.closesMs === null || task.closesMs < first.task.closesMs) &&
      task.fromMs < first.task.toMs &&
      first.task.toMs + (task.toMs - task.fromMs) > task.closesMs,
  );
  return urgent ?? first;
}

function takenBy(runs: readonly BenchRun[], by: number, taskId: string): Hold[] {
  const own = runs[by];
  return own ? holdsOf(own.so, own.run.snapshot.sheet).filter(({ fromTaskId }) => fromTaskId === taskId) : [];
}

/** When all that a task takes is free of the other runs, ms; null while that is not known. */
function freeAt(
  runs: readonly BenchRun[],
  by: number,
  taskId: string | null,
  held: readonly Held[],
): number | null {
  let freeMs = 0;
  for (const { of, id, count, copies } of taskId === null ? [] : takenBy(runs, by, taskId)) {
    const others = held.filter((each) => each.by !== by && each.of === of && each.id === id);
    const ends = others.toSorted((a, b) => (b.endsMs ?? Infinity) - (a.endsMs ?? Infinity));
    let left = copies;
    for (const { count: taken, endsMs } of ends) {
      left -= taken;
      // The longest held first: with this one still held there are too few.
      if (left >= count) continue;
      if (endsMs === null) return null;
      freeMs = Math.max(freeMs, endsMs);
      break;
    }
  }
  return freeMs;
}

/** What a task takes that another run holds now, and which one that is. */
export function inTheWay(
  runs: readonly BenchRun[],
  by: number,
  taskId: string,
): (Hold & { run: BenchRun['run'] })[] {
  return takenBy(runs, by, taskId).flatMap(({ of, id, count, copies }) => {
    const others = runs.flatMap(({ run, so }, at) =>
      at === by
        ? []
        : holdsOf(so, run.snapshot.sheet)
            .filter((hold) => hold.of === of && hold.id === id && isHeld(hold, so))
            .map((hold) => ({ ...hold, run })),
    );
    const taken = others.reduce((sum, hold) => sum + hold.count, 0);
    return taken + count > copies ? others : [];
  });
}

function isHeld({ fromTaskId, untilTaskId }: Hold, { tasks }: Progress): boolean {
  const isDone = (id: string) => tasks.some((task) => task.id === id && task.doneAt !== null);
  return isDone(fromTaskId) && !isDone(untilTaskId);
}
