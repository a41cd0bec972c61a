import type { Jug } from '../houseRules/houseRules';
import type { Sheet } from '../plan/sheet';
import { usableMl } from '../work/loads';
import type { Task, TaskKind, TaskOf } from '../work/task';
import { tasksOfRound, type WorkRules } from '../work/tasksOf';
import type { Busy } from './busy';
import { NOMINAL } from './factors';
import type { HeatCase } from './heatCase';
import { anyJug, type JugLoad, type LoadInJug, type MeltRules, meltLoad } from './jugLoads';
import { type Resources, resourcesOf } from './resources';
import type { ScheduledTask, TaskTimes } from './scheduledTask';

/** What of the workshop decides how the work is given out. */
export type ScheduleRules = WorkRules & MeltRules;

/** A jug that was melted, while pours go on in it. */
export interface OpenJug {
  inJug: LoadInJug;
  /** When it was melted, and when it may be used again. */
  meltedS: number;
  freeS: number;
}

/** One run's work as it is given out. */
export interface Bench extends Pick<Resources, 'hands' | 'oven'> {
  sheet: Sheet;
  heat: HeatCase;
  rules: ScheduleRules;
  /** The copies of the plan's mold. */
  molds: Busy;
  /** What was placed so far. */
  placed: ScheduledTask[];
  /** By the pour that a jug was melted for, and its load. */
  open: Map<string, OpenJug>;
  jugFreeS(jug: Jug): number;
  keepJug(jug: Jug, untilS: number): void;
  /** A load in a jug: the same for the same content in the same jug. */
  melted(load: JugLoad, jug: Jug): LoadInJug;
  /** The tasks of a round, of one pour and load where these are said. */
  tasks(round: number, of?: { pourIndex: number; load: number }): readonly Task[];
  /** A round's task with an id. */
  taskWith(round: number, id: string): Task | undefined;
  /** What hands put into the molds beside the pours of a round. */
  putTasks(round: number): readonly PutTask[];
  /** Gives a task its times. */
  place(task: Task, times: Pick<TaskTimes, 'fromS' | 'toS'> & Partial<TaskTimes>): void;
}

export type PutTask = TaskOf<'inclusions'> | TaskOf<'lay'>;

export function benchOf(
  sheet: Sheet,
  heat: HeatCase,
  rules: ScheduleRules,
  resources = resourcesOf(),
): Bench {
  const placed: ScheduledTask[] = [];
  const known = new Map<string, LoadInJug>();
  const rounds = new Map<number, RoundTasks>();
  const ofRound = (round: number) => {
    const tasks = rounds.get(round) ?? roundTasks(tasksOfRound(sheet, rules, round));
    rounds.set(round, tasks);
    return tasks;
  };
  return {
    sheet,
    heat,
    rules,
    hands: resources.hands,
    oven: resources.oven,
    molds: resources.mold(sheet.mold.id, sheet.mold.copies),
    placed,
    open: new Map(),
    jugFreeS: ({ id }) => resources.jugFreeS(id),
    // A jug of no id is one of as many as it takes.
    keepJug: ({ id }, untilS) => id !== '' && resources.keepJug(id, untilS),
    melted(load, jug) {
      const key = `${load.pourIndex} ${load.contentG} ${jug.id} ${jug.holdsMl}`;
      const found = known.get(key) ?? meltLoad(sheet, heat, load, jug, rules, NOMINAL);
      known.set(key, found);
      return found;
    },
    tasks(round, of) {
      const { all, ofLoad } = ofRound(round);
      return of === undefined ? all : (ofLoad.get(loadKey(of.pourIndex, of.load)) ?? []);
    },
    taskWith: (round, id) => ofRound(round).byId.get(id),
    putTasks: (round) => ofRound(round).put,
    place(task, { fromS, toS, ends = null, hands = false, jugs = [], melt = null }) {
      placed.push({ fromS, toS, ends, hands, jugs, melt, ...task });
    },
  };
}

/** Of one round: a crowded one has some thousand tasks, and is asked for each of them. */
interface RoundTasks {
  all: readonly Task[];
  /** Of each pour and load. */
  ofLoad: ReadonlyMap<string, readonly Task[]>;
  byId: ReadonlyMap<string, Task>;
  put: readonly PutTask[];
}

function roundTasks(all: readonly Task[]): RoundTasks {
  const ofLoad = new Map<string, Task[]>();
  for (const task of all) {
    const key = loadKey(task.pourIndexes[0], task.load);
    const known = ofLoad.get(key);
    if (known) known.push(task);
    else ofLoad.set(key, [task]);
  }
  return {
    all,
    ofLoad,
    byId: new Map(all.map((task) => [task.id, task])),
    put: all.filter((task) => task.kind === 'inclusions' || task.kind === 'lay'),
  };
}

function loadKey(pourIndex: number | undefined, load: number): string {
  return `${pourIndex} ${load}`;
}

/** The one task of a kind among some; undefined where there is none. */
export function taskOfKind<Kind extends TaskKind>(tasks: readonly Task[], kind: Kind) {
  return tasks.find((task): task is Extract<Task, { kind: Kind }> => task.kind === kind);
}

/** Melting, doses and cooling take about so long: by then a jug should be free. */
const PREPARED_S = 1200;
/** A jug that frees up so soon after a pour is due is waited for, rather than taking the only one that a later pour fits into. */
const WORTH_WAITING_S = 600;

/**
 * The smallest jug that takes a load and is free by then; else the one that is free first; else the largest. The only jug
 * that a later load fits into is left to it where another one is free soon. One that pours still go on in is not taken:
 * where there is no other, any jug beside the workshop's is.
 */
export function jugFor(
  { rules, jugFreeS }: Bench,
  load: JugLoad,
  dueS: number,
  laterOnes: readonly JugLoad[] = [],
): Jug {
  const byS = dueS - PREPARED_S;
  const atHand = rules.jugs.filter((jug) => jugFreeS(jug) < Number.POSITIVE_INFINITY);
  const fittingFor = ({ contentMl }: JugLoad) =>
    atHand
      .filter(({ holdsMl }) => usableMl(holdsMl, rules) >= contentMl - 1e-6)
      .sort((a, b) => a.holdsMl - b.holdsMl);
  const wanted = new Set(
    laterOnes.flatMap((each) => {
      const [only, other] = fittingFor(each);
      return only && !other ? [only.id] : [];
    }),
  );
  const fitting = fittingFor(load);
  const unwanted = fitting.filter(({ id }) => !wanted.has(id));
  const soonest = (jugs: readonly Jug[]) => jugs.toSorted((a, b) => jugFreeS(a) - jugFreeS(b))[0];
  const worthWaiting = soonest(unwanted.filter((jug) => jugFreeS(jug) <= dueS + WORTH_WAITING_S));
  const largest = atHand.toSorted((a, b) => b.holdsMl - a.holdsMl)[0];
  return (
    unwanted.find((jug) => jugFreeS(jug) <= byS) ??
    worthWaiting ??
    fitting.find((jug) => jugFreeS(jug) <= byS) ??
    soonest(fitting) ??
    largest ??
    anyJug(load.contentMl, rules)
  );
}
