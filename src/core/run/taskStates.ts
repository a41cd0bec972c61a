import type { ScheduledTask } from '../schedule/scheduledTask';
import { isWait } from '../work/task';
import { type Done, tickedAs, type WeighedPart } from './done';
import { basesOf, type ExtraBase, weightsOf, withExtra } from './jugBase';
import { emptied, withoutLeftOut } from './leftOut';
import type { Said } from './said';

/** A task and where it stands. */
export type TaskState = ScheduledTask & {
  doneAt: string | null;
  /** Ids of the tasks that hands must do before it. */
  unmet: string[];
  /** Weighings only: what the plan says, what it becomes with the base that is in the jug, what was weighed. */
  plannedG: number | null;
  targetG: number | null;
  actualG: number | null;
  /** What makes up `actualG`, each from its lot. */
  parts: readonly WeighedPart[];
  /** What was ticked at first, where more was added or it was corrected since; else null. */
  tickedG: number | null;
  /** Why it was left as it is. */
  note: string;
  /** It was left out, or has nothing left to stir in or to lay. */
  isLeftOut: boolean;
};

/** The tasks of a run as they stand after what was said. */
export interface Standing {
  said: Pick<Said, 'done' | 'extra'>;
  tasks: TaskState[];
  plan: TaskPlan;
}

/** Tasks with what they are looked up by. */
interface TaskPlan {
  all: readonly ScheduledTask[];
  byId: ReadonlyMap<string, ScheduledTask>;
  placeOf: ReadonlyMap<string, number>;
  /** Places of those that need it, by place. */
  dependents: readonly (readonly number[])[];
  bases: readonly ScheduledTask[];
}

/**
 * Where each task stands.
 *
 * @param before where they stood: what nothing was said of since is taken over from it
 */
export function taskStates(
  tasks: readonly ScheduledTask[],
  said: Pick<Said, 'done' | 'extra'>,
  before: Standing | null,
): Standing {
  if (before && isSameExtra(before.said.extra, said.extra)) return goneOn(before, said);
  const plan = planAfter(tasks, said);
  return { said, plan, tasks: plan.all.map(stateTeller(plan, said)) };
}

/** So many tasks are told within some milliseconds. */
const TOLD_AT_ONCE = 500;

/**
 * The same, told a part at a time.
 *
 * @param turn waited for between two parts
 */
export async function taskStatesInTurns(
  tasks: readonly ScheduledTask[],
  said: Pick<Said, 'done' | 'extra'>,
  turn: () => Promise<void>,
): Promise<Standing> {
  const plan = planAfter(tasks, said);
  const stateOf = stateTeller(plan, said);
  const states: TaskState[] = [];
  while (states.length < plan.all.length) {
    await turn();
    states.push(...plan.all.slice(states.length, states.length + TOLD_AT_ONCE).map(stateOf));
  }
  return { said, plan, tasks: states };
}

function planAfter(tasks: readonly ScheduledTask[], { extra }: Pick<Said, 'extra'>): TaskPlan {
  return extra.length === 0 ? lookUpTasks(tasks) : planOf(withExtra(tasks, extra));
}

/** By the tasks of a snapshot, which stay as they are. */
const PLANS = new WeakMap<readonly ScheduledTask[], TaskPlan>();

/** What tasks are looked up by, made once. */
function lookUpTasks(tasks: readonly ScheduledTask[]): TaskPlan {
  const plan = PLANS.get(tasks) ?? planOf(tasks);
  PLANS.set(tasks, plan);
  return plan;
}

function planOf(all: readonly ScheduledTask[]): TaskPlan {
  const placeOf = new Map(all.map(({ id }, place) => [id, place]));
  const dependents: number[][] = all.map(() => []);
  all.forEach(({ needs }, place) => {
    for (const id of needs) dependents[placeOf.get(id) ?? -1]?.push(place);
  });
  return {
    all,
    byId: new Map(all.map((task) => [task.id, task])),
    placeOf,
    dependents,
    bases: all.filter(({ kind }) => kind === 'weigh-base'),
  };
}

function isSameExtra(one: readonly ExtraBase[], other: readonly ExtraBase[]): boolean {
  return one.length === other.length && one.every((each, place) => each === other[place]);
}

function goneOn({ said: { done: last }, tasks, plan }: Standing, said: Standing['said']): Standing {
  const stateOf = stateTeller(plan, said);
  const next = [...tasks];
  for (const place of placesToTell(plan, said, last)) {
    const task = plan.all[place];
    if (task) next[place] = stateOf(task);
  }
  return { said, plan, tasks: next };
}

/** Places of the tasks that may stand otherwise than before. */
function placesToTell(
  { all, placeOf, dependents }: TaskPlan,
  { done, extra }: Standing['said'],
  last: ReadonlyMap<string, Done>,
): ReadonlySet<number> {
  const toTell = new Set<number>();
  const spread = new Set<number>();
  const tell = (place: number, goesOn: boolean): void => {
    toTell.add(place);
    if (!goesOn || spread.has(place)) return;
    spread.add(place);
    // What waits and what is emptied stand as what they need, and so do those that need them.
    for (const each of dependents[place] ?? []) tell(each, all[each] ? standsAsItsNeeds(all[each]) : false);
  };
  const said = (id: string): void => {
    const place = placeOf.get(id);
    if (place !== undefined) tell(place, true);
    const more = extra.find((each) => each.id === id);
    if (more) said(more.ofTaskId);
  };
  for (const [id, record] of done) if (last.get(id) !== record) said(id);
  for (const id of last.keys()) if (!done.has(id)) said(id);
  return toTell;
}

function standsAsItsNeeds(task: ScheduledTask): boolean {
  return isWait(task) || task.kind === 'stir-in' || task.kind === 'lay';
}

function stateTeller({ byId, bases }: TaskPlan, { done, extra }: Standing['said']) {
  const loads = basesOf(bases, done, extra);
  const recordOf = (task: ScheduledTask) => done.get(task.id) ?? emptied(task, byId, done);
  const addUnmet = (needs: readonly string[], to: Set<string>): Set<string> => {
    for (const id of needs) {
      const need = byId.get(id);
      if (!need || recordOf(need)) continue;
      // A wait is over when hands say so by going on; only what comes before it can hold them up.
      if (isWait(need)) addUnmet(need.needs, to);
      else to.add(id);
    }
    return to;
  };
  return (task: ScheduledTask): TaskState => {
    const record = recordOf(task);
    const { plannedG, targetG } = weightsOf(task, loads);
    // Set one by one: beside a spread, V8 takes three times as long for the same object.
    const state = { ...withoutLeftOut(task, byId, done) } as TaskState;
    state.doneAt = record?.at ?? null;
    state.actualG = record?.massG ?? null;
    state.parts = record?.parts ?? [];
    state.tickedG = tickedAs(record);
    state.note = record?.note ?? '';
    state.isLeftOut = record !== undefined && (record.massG === 0 || !done.has(task.id));
    state.unmet = [...addUnmet(task.needs, new Set())];
    state.plannedG = plannedG;
    state.targetG = targetG;
    return state;
  };
}
