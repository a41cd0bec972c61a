import { cavitiesFilled, moldsFilled } from '../molds/filled';
import type { Sheet } from '../plan/sheet';
import { fillsOfRound } from '../work/rounds';
import { poursOfJug } from './intoJug';
import type { Progress } from './progress';
import type { TaskState } from './taskStates';

/** A jug, or some molds of a kind, that a run has from when one task begins until another is over. */
export interface Hold {
  of: 'jug' | 'mold';
  id: string;
  name: string;
  /** So many of them, of so many that there are. */
  count: number;
  copies: number;
  fromTaskId: string;
  untilTaskId: string;
  /** The pours that are in it. */
  pourIndexes: number[];
}

const HOLDS = new WeakMap<Progress, Hold[]>();

/** What a run holds, and from when to when: each jug from its base to its last pour, the molds from the first pour to the unmolding. */
export function holdsOf(so: Progress, sheet: Sheet): Hold[] {
  const known = HOLDS.get(so);
  if (known) return known;
  const holds = so.tasks.flatMap((task) =>
    task.kind === 'melt'
      ? jugHolds(task, so, sheet)
      : task.kind === 'unmold'
        ? moldHolds(task, so, sheet)
        : [],
  );
  HOLDS.set(so, holds);
  return holds;
}

function jugHolds(melt: TaskState, { tasks }: Progress, sheet: Sheet): Hold[] {
  const pourIndexes = poursOfJug(sheet, melt);
  const last = tasks.findLast(
    (task) =>
      task.kind === 'pour' &&
      task.round === melt.round &&
      task.load === melt.load &&
      task.pourIndexes.some((index) => pourIndexes.includes(index)),
  );
  const base = tasks.find((task) => task.kind === 'weigh-base' && melt.needs.includes(task.id));
  if (!last) return [];
  return melt.jugs
    .filter(({ id }) => id !== '')
    .map(({ id, name }) => ({
      ...{ of: 'jug' as const, id, name, count: 1, copies: 1, pourIndexes },
      ...{ fromTaskId: base?.id ?? melt.id, untilTaskId: last.id },
    }));
}

function moldHolds({ id: untilTaskId, round }: TaskState, { tasks }: Progress, sheet: Sheet): Hold[] {
  const first = tasks.find((task) => task.kind === 'pour' && task.round === round);
  if (!first) return [];
  const fills = fillsOfRound(sheet, round);
  const { first: ofFirst, second } = cavitiesFilled(sheet, fills);
  const pourIndexes = sheet.pours.map((_, index) => index);
  return moldsFilled(sheet, fills).map((mold) => {
    const cavities = mold === sheet.mold ? ofFirst : second;
    const count = Math.min(mold.copies, Math.max(1, Math.ceil(cavities / mold.cavities - 1e-9)));
    return {
      ...{ of: 'mold' as const, id: mold.id, name: mold.name, count, copies: mold.copies, pourIndexes },
      ...{ fromTaskId: first.id, untilTaskId },
    };
  });
}
