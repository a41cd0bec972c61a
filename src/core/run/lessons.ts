import type { Reading, Taught } from '../heat/taught';
import type { TeachFault } from '../heat/teach';
import type { Reading as CountReading, ReadingKind } from '../materials/reading';
import type { Sheet } from '../plan/sheet';
import { jugsOf, meltedBeyond } from '../pours/jugsOf';
import { fail, ok, type Result } from '../result';
import { heatCaseOf } from '../schedule/heatCase';
import { teach } from '../schedule/teachFrom';
import type { CountUnit } from '../units/counting';
import { weighedLine } from '../work/weighedLine';
import { heatOfRound, pouredAtMs } from './heatOnward';
import { intoJug, poursOfJug } from './intoJug';
import { isTopUp } from './jugBase';
import { jugContentG } from './jugContentG';
import { lastDone } from './lastDone';
import { type Progress, progress, withReadings } from './progress';
import type { Run } from './run';
import type { JugReading } from './said';
import { settledReadings } from './settledReadings';
import type { TaskState } from './taskStates';

/** A lesson, and whether what it is about was taught it already. */
export type OfferedLesson = Lesson & { isKept: boolean };

/** Why a cooling or a skin of a run teaches nothing. */
export type LessonFault = TeachFault | { code: 'room-not-read' };

/** What a run taught of what it was made with. Each is only offered. */
export type Lesson =
  | {
      of: 'jug' | 'mold';
      id: string;
      name: string;
      /** The pour that was read or touched. */
      letter: string;
      taught: Result<Taught, LessonFault>;
    }
  /** What one drop, block, scoop, capsule or mL of a spoon weighs; `was` is what the plan counted with, g. */
  | { of: 'count'; materialId: string; name: string; reading: CountReading; wasG: number }
  /** A dose that went in otherwise than it was planned, as a fraction of base. */
  | {
      of: 'dose';
      planId: string;
      doseId: string;
      name: string;
      letter: string;
      ofBase: number;
      wasOfBase: number;
    }
  /** What stays in a jug, as a fraction of what was in it; `spread` is one standard deviation between jugs. */
  | { of: 'loss'; fraction: number; spread: number | null; jugs: number; wasFraction: number };

/** What went in nearer to its plan is a hand's doing. Our own assumption. */
const LEAST_OTHERWISE = 0.05;
/** Below and above what a touch tells: a finger is no clock. The same guess as where a touch is typed. */
const TOUCH_SPREAD = 0.12;
/** More readings of one jug tell no more. */
const MOST_READINGS = 200;
/** With more left over by plan than this, what stays in a jug says nothing of its walls. Our own assumption. */
const MOST_LEFT_OVER = 0.02;

/**
 * What a finished run taught, by its readings, touches, counts, and what stayed in its jugs.
 *
 * @param followed what thermometers showed of jugs that they stood in
 */
export function lessonsOf(run: Run, followed: readonly JugReading[]): Lesson[] {
  const so = withReadings(progress(run), followed);
  return [
    ...doseLessons(run, so),
    ...jugLessons(run, so),
    ...moldLessons(run, so),
    ...countLessons(run, so),
    ...lossLesson(run, so),
  ];
}

function jugLessons(run: Run, so: Progress): Lesson[] {
  const { sheet, rules } = run.snapshot;
  return so.tasks.flatMap((melt): Lesson[] => {
    const jug = rules.jugs.find(({ id }) => melt.jugs.some((each) => each.id === id));
    const pourIndex = melt.pourIndexes[0] ?? 0;
    const pour = sheet.pours[pourIndex];
    if (melt.kind !== 'melt' || !jug || !pour) return [];
    const readings = coolingOf(melt, so, sheet);
    if (readings.length === 0) return [];
    const contentG = jugContentG(run, so, melt);
    const told = inRoom(run, so, (around, roomC) => {
      const answer = teach(around, rules, {
        ...{ of: 'jug', holdsMl: jug.holdsMl, contentG, pourIndex, readings, roomC },
      });
      if (!answer.success) return answer;
      const { scale, spread, curve = [] } = answer.data;
      return ok(
        taughtOn(run, {
          scale,
          spread,
          from: { is: 'readings', readings, roomC, contentG, baseName: pour.base.name, curve, runId: run.id },
        }),
      );
    });
    return [{ of: 'jug', id: jug.id, name: jug.name, letter: pour.letter, taught: told }];
  });
}

/** What was read of a jug while it only cooled: after the last that went into it, before any of it was poured. */
function coolingOf(melt: TaskState, so: Progress, sheet: Sheet): Reading[] {
  const ofJug = (task: TaskState) =>
    task.round === melt.round &&
    task.load === melt.load &&
    poursOfJug(sheet, melt).includes(task.pourIndexes[0] ?? -1);
  const own = so.tasks.filter((task) => task.doneAt !== null && ofJug(task));
  const pouredAt = own.find(({ kind }) => kind === 'pour')?.doneAt ?? null;
  const fullAt = own
    .filter((task) => ['melt', 'stir-in', 'weigh-dose', 'rewarm'].includes(task.kind))
    .map(({ doneAt }) => doneAt ?? '')
    .filter((at) => pouredAt === null || at < pouredAt)
    .sort()
    .at(-1);
  if (fullAt === undefined) return [];
  const read = settledReadings(
    so.readings.filter(
      ({ taskId, at }) => taskId === melt.id && at >= fullAt && (pouredAt === null || at <= pouredAt),
    ),
  );
  const every = Math.ceil(read.length / MOST_READINGS);
  const startMs = Date.parse(read[0]?.at ?? '');
  return read
    .filter((_, place) => place % every === 0)
    .map(({ at, tempC }) => ({ timeS: (Date.parse(at) - startMs) / 1000, tempC }))
    .filter(({ timeS }, place, all) => place === 0 || timeS > (all[place - 1]?.timeS ?? 0));
}

/**
 * A touch tells when a layer began to carry only where one shortly before it said “not yet”, or where it carried sooner
 * than thought: touched later, it may have carried for long.
 */
function moldLessons(run: Run, so: Progress): Lesson[] {
  const { sheet, rules } = run.snapshot;
  const heat = heatCaseOf(sheet, rules);
  return so.tasks.flatMap((skin): Lesson[] => {
    const touches = so.touches.filter(({ taskId }) => taskId === skin.id);
    const carried = touches.find(({ carries }) => carries);
    const layerIndex = heat.layers.findIndex(({ pourIndexes }) => pourIndexes[0] === skin.pourIndexes[0]);
    // A round without one of its layers is not the one that the model follows here.
    if (heatOfRound(so, heat, skin.round) !== heat) return [];
    const poured = pouredAtMs(so, heat, skin.round);
    const fromMs = poured[layerIndex];
    if (skin.kind !== 'skin' || !carried || fromMs === undefined) return [];
    const waits = poured.slice(1).map((at, place) => (at - (poured[place] ?? at)) / 1000);
    const afterS = (at: string) => Math.max(1, (Date.parse(at) - fromMs) / 1000);
    const notYet = touches.findLast(({ carries, at }) => !carries && at < carried.at);
    const carriedS = notYet ? Math.sqrt(afterS(notYet.at) * afterS(carried.at)) : afterS(carried.at);
    const told = inRoom(run, so, (around) => {
      const answer = teach(around, rules, { of: 'touch', layerIndex, waits, carriedS });
      if (!answer.success) return answer;
      const { scale } = answer.data;
      // Between the two touches any moment is as likely as another.
      const between = notYet ? Math.log(afterS(carried.at) / afterS(notYet.at)) / Math.sqrt(12) : 0;
      return ok(
        taughtOn(run, {
          scale,
          spread: Math.hypot(TOUCH_SPREAD, between),
          from: { is: 'touch', carriedS, planName: sheet.planName, runId: run.id },
        }),
      );
    });
    const isSooner = told.success && told.data.scale > (heat.moldLearnt?.scale ?? 1);
    if (!notYet && !isSooner) return [];
    const letter = sheet.pours[skin.pourIndexes[0] ?? 0]?.letter ?? '';
    return [{ of: 'mold', id: sheet.mold.id, name: sheet.mold.name, letter, taught: told }];
  });
}

type CountLesson = Extract<Lesson, { of: 'count' }>;

const KINDS: Record<CountUnit, ReadingKind> = {
  drops: 'drops',
  blocks: 'blocks',
  scoops: 'scoops',
  capsules: 'capsules',
  spoons: 'spoon',
  millilitres: 'spoon',
};

/** What drops, blocks or spoons weighed, where they were counted onto a scale. */
export function countLessons(run: Run, { tasks }: Progress): CountLesson[] {
  const { sheet } = run.snapshot;
  const lessons = new Map<string, CountLesson>();
  for (const task of tasks) {
    const counted = run.events.findLast(
      ({ event }) => event.kind === 'weighed' && event.taskId === task.id,
    )?.event;
    const line = weighedLine(sheet, task);
    // What was corrected or added to is no longer what was counted.
    if (
      counted?.kind !== 'weighed' ||
      counted.count === undefined ||
      !line?.counted ||
      task.parts.length !== 1
    )
      continue;
    if (task.actualG !== counted.massG) continue;
    const { count, massG } = counted;
    const known = lessons.get(line.material.id)?.reading;
    lessons.set(line.material.id, {
      of: 'count',
      materialId: line.material.id,
      name: line.material.name,
      reading: {
        of: KINDS[line.counted.unit],
        on: dayOf(run),
        count: (known?.count ?? 0) + count,
        massG: (known?.massG ?? 0) + massG,
        runId: run.id,
      },
      wasG: line.counted.gPerOne,
    });
  }
  return [...lessons.values()];
}

/** Doses that were brought to taste, or weighed otherwise: over all rounds, of the base that was in their jugs. */
function doseLessons(run: Run, { tasks }: Progress): Lesson[] {
  const { sheet } = run.snapshot;
  return sheet.pours.flatMap((pour, pourIndex) =>
    pour.lines.flatMap((line, lineIndex): Lesson[] => {
      const own = tasks.filter(
        (task) =>
          task.kind === 'weigh-dose' && task.pourIndexes[0] === pourIndex && task.lineIndex === lineIndex,
      );
      const isPlain = line.blend === null && !line.wets && !line.leaves && line.saidAs !== 'relation';
      const isAlone = poursOfJug(sheet, { pourIndexes: [pourIndex] }).length === 1;
      const isWhole = own.every(
        (task) =>
          task.kind === 'weigh-dose' && task.into !== 'dish' && task.actualG !== null && !task.isLeftOut,
      );
      if (own.length === 0 || !isPlain || !isAlone || !isWhole || !(line.ofBase > 0)) return [];
      const bases = tasks.filter((task) => task.kind === 'weigh-base' && task.pourIndexes[0] === pourIndex);
      const sum = (of: readonly TaskState[]) => of.reduce((all, { actualG }) => all + (actualG ?? 0), 0);
      const ofBase = sum(own) / sum(bases);
      if (!(Math.abs(ofBase / line.ofBase - 1) > LEAST_OTHERWISE)) return [];
      return [
        {
          ...{ of: 'dose', planId: run.planId, doseId: line.doseId, name: line.material.name },
          ...{ letter: pour.letter, ofBase, wasOfBase: line.ofBase },
        },
      ];
    }),
  );
}

function lossLesson(run: Run, { tasks }: Progress): Lesson[] {
  const { sheet } = run.snapshot;
  const jugs = tasks.flatMap((pour, place) => {
    const group = poursOfJug(sheet, pour);
    const isLast = !tasks
      .slice(place + 1)
      .some(
        (task) =>
          task.kind === 'pour' &&
          task.round === pour.round &&
          task.load === pour.load &&
          group.includes(task.pourIndexes[0] ?? -1),
      );
    const leftG =
      pour.kind === 'pour' && pour.doneAt && !pour.isLeftOut && isLast
        ? lastDone(run, pour.id)?.leftG
        : undefined;
    if (leftG === undefined) return [];
    const weighed = intoJug(sheet, pour, tasks);
    const actualG = weighed.reduce((sum, task) => sum + (task.actualG ?? 0), 0);
    const plannedG = weighed.reduce((sum, task) => sum + (isTopUp(task) ? 0 : (task.plannedG ?? 0)), 0);
    const jug = jugsOf(sheet.pours).find((each) => each.group.includes(group[0] ?? -1));
    const beyond = jug && plannedG > 0 ? (actualG / plannedG) * (1 + meltedBeyond(jug)) - 1 : 1;
    return actualG > 0 && leftG < actualG && beyond <= MOST_LEFT_OVER ? [{ leftG, actualG }] : [];
  });
  const inAllG = jugs.reduce((sum, { actualG }) => sum + actualG, 0);
  if (inAllG === 0) return [];
  const fraction = jugs.reduce((sum, { leftG }) => sum + leftG, 0) / inAllG;
  const squares = jugs.reduce((sum, { leftG, actualG }) => sum + (leftG / actualG - fraction) ** 2, 0);
  return [
    {
      of: 'loss',
      fraction,
      spread: jugs.length > 1 ? Math.sqrt(squares / (jugs.length - 1)) : null,
      jugs: jugs.length,
      wasFraction: sheet.jugLossFraction,
    },
  ];
}

/** What is told of the sheet in the room that was read. */
function inRoom<Value>(
  { snapshot: { sheet } }: Run,
  { room }: Progress,
  told: (around: Sheet, roomC: number) => Result<Value, LessonFault>,
): Result<Value, LessonFault> {
  if (!room) return fail({ code: 'room-not-read' });
  const planned = sheet.making.room;
  const read = { ...planned, tempC: room.tempC, humidity: room.humidity ?? planned.humidity };
  return told({ ...sheet, making: { ...sheet.making, room: read } }, room.tempC);
}

function taughtOn(run: Run, taught: Omit<Taught, 'on'>): Taught {
  return { on: dayOf(run), ...taught };
}

function dayOf({ startedAt }: Run): string {
  return startedAt.slice(0, 10);
}
