import { isWait } from '../work/task';
import type { HeatOnward, JugOnward, RoundOnward } from './heatOnward';
import type { Progress } from './progress';
import type { TaskState } from './taskStates';

/** A task with its times on from what has happened, ms since the epoch; what is done has the times it had. */
export type OnwardTask = TaskState & { fromMs: number; toMs: number };

/** When the next layer may be poured onto one that has been poured. */
export interface PourWindow {
  /** The pour that it is for. */
  pourTaskId: string;
  opensMs: number;
  closesMs: number;
  /** So warm it is joined after it has closed; null where no heat helps. */
  rewarmC: { fromC: number; toC: number } | null;
}

/** Where a run stands at a moment: what passes by itself, and what hands are asked for next. */
export interface Onward {
  tasks: OnwardTask[];
  /** Waits that have begun and are not over, the soonest end first. */
  waits: OnwardTask[];
  /** After the task in hand, what hands are asked for next. */
  next: OnwardTask | null;
  windows: PourWindow[];
  /** When the last bar is out of its mold; null once it is. */
  outMs: number | null;
}

/**
 * The rest of a run on from what has happened: what is done keeps its times, what is open begins when what it needs is
 * over, hands are free and it is due, and takes as long as was planned; skins, jugs and setting take as long as heat says.
 *
 * @param heat null while it is being worked out: waits are then as they were planned
 */
export function onward(so: Progress, heat: HeatOnward | null, startedMs: number, nowMs: number): Onward {
  const tasks = placing(so, heat, startedMs, nowMs);
  let handsMs = nowMs;
  for (let task = tasks.peek(handsMs, 0); task; task = tasks.peek(handsMs, 0)) {
    tasks.take(task);
    if (task.doneAt === null && task.isByHand) handsMs = Math.max(handsMs, task.toMs);
  }
  return tasks.told();
}

/**
 * Gives the tasks of a run their times one after the other, in the order of the schedule. Whoever asks says when hands are
 * free, and what a task takes besides.
 */
export function placing(so: Progress, heat: HeatOnward | null, startedMs: number, nowMs: number) {
  const known = new Map<string, OnwardTask>();
  const late = latenessOf(so, startedMs);
  const windows: PourWindow[] = [];
  const next = () => so.tasks[known.size];
  return {
    nextId: (): string | null => next()?.id ?? null,
    /** The next task as it would be; null after the last. `closesMs` is of the window of its pour. */
    peek(handsMs: number, freeMs: number) {
      const task = next();
      if (!task) return null;
      const around = { so, heat, known, startedMs, nowMs, lateMs: late(task), handsMs, freeMs };
      const window = windowOf(task, so, heat);
      const isByHand = task.hands && !isWait(task);
      return { ...place(task, around), isByHand, closesMs: window?.closesMs ?? null };
    },
    take({ isByHand, closesMs, ...task }: OnwardTask & { isByHand: boolean; closesMs: number | null }) {
      known.set(task.id, task);
      const window = windowOf(task, so, heat);
      if (window) windows.push(window);
    },
    told: () => tell([...known.values()], windows, so),
  };
}

function tell(tasks: OnwardTask[], windows: PourWindow[], so: Progress): Onward {
  const open = tasks.filter(({ doneAt }) => doneAt === null);
  return {
    tasks,
    waits: open
      .filter((task) => isWait(task) && hasBegun(task, so) && !isOver(task, so))
      .sort((a, b) => a.toMs - b.toMs),
    next: open.find((task) => !isWait(task) && task.id !== so.inHand?.id) ?? null,
    windows,
    outMs: open.reduce<number | null>(
      (last, { kind, toMs }) => (kind === 'unmold' ? Math.max(last ?? toMs, toMs) : last),
      null,
    ),
  };
}

/** Where a run's tasks are found, for as long as nothing happens. */
interface Index {
  byId: Map<string, TaskState>;
  neededBy: Map<string, TaskState[]>;
  /** The layers of a round by the pours they begin with, from the floor up. */
  leads: Map<number, number[]>;
  /** The pour that a pour of a round and load goes in with. */
  pours: Map<string, TaskState>;
}

const INDEXES = new WeakMap<Progress, Index>();

function indexOf(so: Progress): Index {
  const known = INDEXES.get(so);
  if (known) return known;
  const index: Index = { byId: new Map(), neededBy: new Map(), leads: new Map(), pours: new Map() };
  for (const task of so.tasks) {
    const { id, kind, round, load, pourIndexes, needs } = task;
    index.byId.set(id, task);
    for (const need of needs) index.neededBy.set(need, [...(index.neededBy.get(need) ?? []), task]);
    if (kind === 'pour') for (const each of pourIndexes) index.pours.set(pourKey(round, load, each), task);
    if (kind === 'skin' && !task.isLeftOut)
      index.leads.set(
        round,
        [...(index.leads.get(round) ?? []), pourIndexes[0] ?? 0].sort((a, b) => a - b),
      );
  }
  INDEXES.set(so, index);
  return index;
}

function pourKey(round: number, load: number, pourIndex: number | undefined): string {
  return `${round} ${load} ${pourIndex}`;
}

/** A wait has begun once all that it needs is over. */
function hasBegun({ needs }: TaskState, so: Progress): boolean {
  return needs.every((id) => {
    const need = indexOf(so).byId.get(id);
    return !need || need.doneAt !== null || (isWait(need) && hasBegun(need, so));
  });
}

/** A wait is over once something that needed it is done, or a touch said so. */
function isOver(wait: TaskState, so: Progress): boolean {
  if (so.touches.findLast(({ taskId }) => taskId === wait.id)?.carries) return true;
  const after = indexOf(so).neededBy.get(wait.id) ?? [];
  return after.some((task) => task.doneAt !== null || (isWait(task) && isOver(task, so)));
}

/** How much later than planned the work of a task's round is, by what was ticked last in it or before it, ms. */
function latenessOf(so: Progress, startedMs: number): (task: TaskState) => number {
  const done = so.tasks
    .filter((task) => task.doneAt !== null && !isWait(task))
    .map((task) => ({
      round: task.round,
      kind: task.kind,
      lateMs: Date.parse(task.doneAt ?? '') - startedMs - task.toS * 1000,
      at: task.doneAt ?? '',
    }))
    .sort((a, b) => (a.at < b.at ? -1 : 1));
  return ({ round }) => {
    const own = done.findLast((each) => each.round === round && each.kind === 'pour') ?? done.at(-1);
    return own?.lateMs ?? 0;
  };
}

/** What does not carry yet is touched again so much later at the soonest, whatever the model says. */
const TOUCHED_AGAIN_MS = 60_000;

interface Around {
  so: Progress;
  heat: HeatOnward | null;
  known: ReadonlyMap<string, OnwardTask>;
  startedMs: number;
  nowMs: number;
  lateMs: number;
  handsMs: number;
  /** What it takes is free from then on. */
  freeMs: number;
}

function place(task: TaskState, around: Around): OnwardTask {
  const { known, startedMs, nowMs, lateMs, handsMs, freeMs } = around;
  const lengthMs = (task.toS - task.fromS) * 1000;
  if (task.doneAt !== null) {
    const toMs = Date.parse(task.doneAt);
    return { ...task, fromMs: toMs - lengthMs, toMs };
  }
  const readyMs = Math.max(0, ...task.needs.map((id) => known.get(id)?.toMs ?? 0));
  if (isWait(task)) {
    const fromMs = readyMs || startedMs + task.fromS * 1000 + lateMs;
    return { ...task, fromMs, toMs: Math.max(fromMs, waitEndMs(task, fromMs, lengthMs, around)) };
  }
  const fromMs = Math.max(readyMs, nowMs, freeMs, task.hands ? handsMs : 0, dueMs(task, around));
  return { ...task, fromMs, toMs: fromMs + lengthMs };
}

/** A pour is due as it was planned, so much later, in its window; what is done for it so long before it as it was planned. */
function dueMs(task: TaskState, { so, heat, startedMs, lateMs }: Around): number {
  const plannedMs = startedMs + task.fromS * 1000 + lateMs;
  const { pours } = indexOf(so);
  const pour = task.pourIndexes
    .map((index) => pours.get(pourKey(task.round, task.load, index)))
    .find((each) => each?.doneAt === null);
  const window = pour && windowOf(pour, so, heat);
  if (!pour || !window) return plannedMs;
  const pourMs = startedMs + pour.fromS * 1000 + lateMs;
  const inWindowMs = Math.min(Math.max(pourMs, window.opensMs), Math.max(window.opensMs, window.closesMs));
  return plannedMs + inWindowMs - pourMs;
}

function waitEndMs(wait: TaskState, fromMs: number, lengthMs: number, { so, heat }: Around): number {
  const touched = so.touches.findLast(({ taskId }) => taskId === wait.id);
  if (touched?.carries) return Date.parse(touched.at);
  const round = heat?.rounds.find((each) => each.round === wait.round);
  if (wait.kind === 'skin' && round) {
    const at = layerAt(wait, so, round);
    const notMs = touched ? Date.parse(touched.at) + TOUCHED_AGAIN_MS : 0;
    if (at && at.skinS !== undefined) return Math.max(at.pouredMs + at.skinS * 1000, notMs);
  }
  if (wait.kind === 'set' && round) {
    const last = lastPourMs(so, wait.round);
    if (last !== null) return last + round.unmoldS * 1000;
  }
  if (wait.kind === 'cool') {
    const jug = heat?.jugs.find((each) => cools(each, wait, so));
    const reaches = jug?.forecast.reaches[0];
    if (jug && reaches) return jug.fromMs + reaches.middle * 1000;
  }
  return fromMs + lengthMs;
}

/** Whether a wait is that of a jug for its next pour. */
function cools(jug: JugOnward, wait: TaskState, so: Progress): boolean {
  return indexOf(so).byId.get(jug.pourTaskId)?.needs.includes(wait.id) ?? false;
}

function pourOf(so: Progress, round: number, lead: number | undefined): TaskState | undefined {
  return indexOf(so).pours.get(pourKey(round, 0, lead));
}

/** When a pour began, ms; null while it has not. */
function beganMs(pour: TaskState | undefined): number | null {
  return pour?.doneAt && !pour.isLeftOut ? Date.parse(pour.doneAt) - (pour.toS - pour.fromS) * 1000 : null;
}

function leadsOf(so: Progress, round: number): readonly number[] {
  return indexOf(so).leads.get(round) ?? [];
}

function layerAt(task: TaskState, so: Progress, round: RoundOnward) {
  const lead = task.pourIndexes[0];
  const pouredMs = beganMs(pourOf(so, task.round, lead));
  const layer = round.layers[leadsOf(so, task.round).indexOf(lead ?? -1)];
  return pouredMs === null ? null : { pouredMs, skinS: layer?.skinS };
}

function lastPourMs(so: Progress, round: number): number | null {
  const pours = so.tasks.filter((task) => task.kind === 'pour' && task.round === round && !task.isLeftOut);
  const began = pours.map(beganMs);
  return began.some((each) => each === null) ? null : Math.max(...began.map((each) => each ?? 0));
}

/** The window of an open pour, once the layer below it is poured. */
function windowOf(task: TaskState, so: Progress, heat: HeatOnward | null): PourWindow | null {
  if (task.kind !== 'pour' || task.doneAt !== null || task.load !== 0) return null;
  const leads = leadsOf(so, task.round);
  const place = leads.indexOf(task.pourIndexes[0] ?? -1);
  const round = heat?.rounds.find((each) => each.round === task.round);
  const below = round?.layers[place - 1];
  const pouredMs = beganMs(pourOf(so, task.round, leads[place - 1]));
  if (!below || pouredMs === null || below.earliestS === null || below.latestS === null) return null;
  return {
    pourTaskId: task.id,
    opensMs: pouredMs + below.earliestS * 1000,
    closesMs: pouredMs + below.latestS * 1000,
    rewarmC: below.rewarm,
  };
}
