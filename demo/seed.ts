import { addDays, addSeconds, formatISO, subDays, subMinutes } from 'date-fns';
import type { GoodsEdit } from '../src/core/goods/goods';
import type { InspectionSaid } from '../src/core/inspection/inspection';
import { type DraftPlan, withIds } from '../src/core/plan/ids';
import { progress } from '../src/core/run/progress';
import type { Run, RunEvent, Verdict } from '../src/core/run/run';
import type { TaskState } from '../src/core/run/taskStates';
import { piecesOfRound } from '../src/core/work/rounds';
import { editGoods, pack } from '../src/server/goods';
import { createPlan } from '../src/server/plans';
import { findRun, recordEvent } from '../src/server/runs';
import { startRun } from '../src/server/startRun';
import { addLot } from '../src/server/stock';
import { openWorkshop, type Workshop } from '../src/server/workshop';
import { CHOICES, JUGS, SCALES } from './houseRules';
import { LOTS } from './lots';
import { MATERIALS } from './materials';
import { MOLDS } from './molds';
import {
  BARE_FACE,
  BOAT,
  LIGHTHOUSE,
  MOSS_AND_FLINT,
  NETTLE_AND_LIME,
  NIGHT_FERRY,
  paperBoats,
  ROPEWALK,
  TINSMITH,
} from './plans';
import { products } from './products';
import { purchase } from './purchases';

/** How far each weighing lands beside its target, in turn; a hand is never exact. */
const HAND = [0.031, -0.004, 0.006, 0.002, -0.009];
/** How far the run is that is on the bench. */
const TASKS_DONE = 3;

/** Puts the invented Quillmarsh Soap Room into a workshop, with its past told up to `today`. */
export async function seed(workshop: Workshop, today: Date): Promise<void> {
  const clock = { now: subDays(today, 30) };
  const told: Workshop = { ...workshop, now: () => clock.now.toISOString() };
  const plan = (draft: DraftPlan) => createPlan(told, withIds(draft)).id;

  workshop.db.exec('BEGIN IMMEDIATE');
  try {
    for (const material of MATERIALS) workshop.materials.insert(material, told.now());
    for (const mold of MOLDS) workshop.molds.insert(mold, told.now());
    workshop.houseRules.write(CHOICES, 1, told.now());
    for (const jug of JUGS) workshop.jugs.insert(jug, told.now());
    for (const scale of SCALES) workshop.scales.insert(scale, told.now());
    stockUp(told, clock, today);
    clock.now = subDays(today, 30);
    const bareFace = plan(BARE_FACE);
    const ropewalk = plan(ROPEWALK);
    const nettle = plan(NETTLE_AND_LIME);
    const tinsmith = plan(TINSMITH);
    for (const product of products({ bareFace, ropewalk, nettle }))
      workshop.products.insert(product, told.now());
    plan(LIGHTHOUSE);
    const nightFerry = plan(NIGHT_FERRY);
    plan(MOSS_AND_FLINT);
    plan(paperBoats(plan(BOAT)));

    const make = async (
      planId: string,
      daysAgo: number,
      ending: { verdict: Verdict; goodPieces: number; note: string; fill?: 'as-planned' } | null,
      seen: Partial<Seen> = {},
    ) => {
      const began = subMinutes(subDays(today, daysAgo), 90);
      clock.now = began;
      const { id } = startRun(told, crypto.randomUUID(), planId);
      for (let place = 0; ending !== null || place < TASKS_DONE; place++) {
        const { inHand } = progress(findRun(told, id));
        if (!inHand) break;
        clock.now = addSeconds(began, inHand.toS);
        recordEvent(told, id, crypto.randomUUID(), eventFor(inHand, place, seen.hotterK));
      }
      if (!ending) return id;
      const record = (event: RunEvent) => recordEvent(told, id, crypto.randomUUID(), event);
      record({ kind: 'finished', ...ending });
      for (const task of progress(findRun(told, id)).tasks) {
        if (task.kind === 'wrap' && task.doneAt === null) record({ kind: 'done', taskId: task.id });
        if (task.kind === 'unmold') record(inspectionOf(findRun(told, id), task.round, seen));
      }
      if (seen.toJar)
        record({
          ...{
            kind: 'set-aside',
            asideId: crypto.randomUUID(),
            round: null,
            of: 'left-over',
            pourIndexes: [],
          },
          ...{ massG: seen.toJar.massG, pieces: null, to: { is: 'jar', name: seen.toJar.name } },
        });
      return id;
    };

    /** Poured and left to set. */
    const pour = async (planId: string, minutesAgo: number) => {
      const began = subMinutes(today, minutesAgo);
      clock.now = began;
      const { id } = startRun(told, crypto.randomUUID(), planId);
      for (let place = 0; ; place++) {
        const { inHand } = progress(findRun(told, id));
        if (!inHand || inHand.kind === 'unmold') break;
        clock.now = addSeconds(began, inHand.toS);
        recordEvent(told, id, crypto.randomUUID(), eventFor(inHand, place));
      }
    };

    await make(
      tinsmith,
      12,
      {
        verdict: 'fair',
        goodPieces: 11,
        note: 'Poured a little hot: the grit sits low in two bars, one broke at unmolding. Next time stir to the first thickening.',
      },
      {
        faults: [
          { fault: 'grit-sank', pourIndexes: [], pieces: 2 },
          { fault: 'broke', pourIndexes: [], pieces: 1 },
        ],
        scrap: 1,
        hotterK: 6.5,
        toJar: { name: 'Slate leftovers', massG: 30 },
      },
    );
    await make(
      bareFace,
      6,
      { verdict: 'good', goodPieces: 8, note: 'Hard the next evening, edges clean.' },
      { againAfterDays: 14, weightsG: [75.4, 75.9, 74.8, 76.1, 75.2, 75.6, 74.9, 75.7] },
    );
    const pebbles = await make(ropewalk, 3, {
      verdict: 'good',
      goodPieces: 72,
      note: 'Packed for the fair the same day.',
    });
    packForTheFair(told, pebbles, day(clock.now));
    clock.now = subDays(today, 2);
    workshop.purchases.insert(purchase(day(clock.now)), told.now());
    await pour(nightFerry, 100);
    await make(nettle, 0, null);
    workshop.db.exec('COMMIT');
  } catch (error) {
    workshop.db.exec('ROLLBACK');
    throw error;
  }
}

function day(date: Date): string {
  return formatISO(date, { representation: 'date' });
}

/** Puts the lots onto the shelf, each on its day. */
function stockUp(told: Workshop, clock: { now: Date }, today: Date): void {
  for (const lot of LOTS) {
    clock.now = subDays(today, lot.boughtDaysAgo);
    addLot(told, {
      item: { kind: 'material', id: lot.materialId },
      number: lot.number,
      boughtOn: day(clock.now),
      price: lot.price,
      discountFraction: lot.discountFraction ?? 0,
      amount: lot.amount,
      bestBefore: lot.bestBeforeInDays === undefined ? null : day(addDays(today, lot.bestBeforeInDays)),
      openedOn: lot.openedDaysAgo === undefined ? null : day(subDays(today, lot.openedDaysAgo)),
      note: lot.note ?? '',
    });
  }
}

/** All of it in bags, most of them in the box for the fair, where some were sold. */
function packForTheFair(workshop: Workshop, runId: string, packedOn: string): void {
  const lotId = crypto.randomUUID();
  pack(workshop, 'pebble-bag', { lotId, packs: 6, runIds: [runId], packedOn });
  const act = (edit: GoodsEdit) => editGoods(workshop, lotId, crypto.randomUUID(), edit);
  act({ kind: 'moved', packs: 4, from: null, to: 'Fair box', note: '' });
  act({ kind: 'sold', packs: 2, place: 'Fair box', note: 'The first morning', paid: '15' });
}

/** What is seen of each round, beside good pieces. */
interface Seen extends Pick<InspectionSaid, 'faults' | 'againAfterDays' | 'weightsG'> {
  scrap: number;
  /** Poured hotter than planned. */
  hotterK: number;
  /** What was left in the jugs. */
  toJar: { name: string; massG: number };
}

/** All good but what went to scrap, which was in the first round. */
function inspectionOf({ snapshot: { sheet } }: Run, round: number, seen: Partial<Seen>): RunEvent {
  const made = Math.ceil(piecesOfRound(sheet, round) - 1e-9);
  const scrap = round === 0 ? (seen.scrap ?? 0) : 0;
  return {
    kind: 'inspected',
    inspectionId: crypto.randomUUID(),
    round,
    pieces: { good: made - scrap, second: 0, scrap, remelt: 0 },
    faults: round === 0 ? (seen.faults ?? []) : [],
    weightsG: round === 0 ? (seen.weightsG ?? []) : [],
    note: '',
    againAfterDays: seen.againAfterDays ?? null,
  };
}

function eventFor(task: TaskState, place: number, hotterK = 0): RunEvent {
  const { id, targetG } = task;
  if (task.kind === 'pour') return { kind: 'done', taskId: id, tempC: task.tempC + hotterK };
  if (targetG === null) return { kind: 'done', taskId: id };
  const weighed = targetG * (1 + (HAND[place % HAND.length] ?? 0));
  return { kind: 'weighed', taskId: id, massG: Number(weighed.toFixed(weighed < 20 ? 2 : 1)) };
}

const folder = process.argv[2];
if (folder !== undefined) {
  const workshop = openWorkshop(folder);
  seed(workshop, new Date()).then(
    () => workshop.db.close(),
    (error) => {
      console.error(error);
      process.exitCode = 1;
    },
  );
}
