import { addDays, formatISO, subDays, subMinutes } from 'date-fns';
import type { RunEvent, Verdict } from '../src/core/run/run';
import { runState } from '../src/core/run/runState';
import { saveHouseRules } from '../src/server/houseRules';
import { createPlan } from '../src/server/plans';
import { findRun, recordEvent, startRun } from '../src/server/runs';
import { addLot } from '../src/server/stock';
import { openWorkshop, type Workshop } from '../src/server/workshop';
import { HOUSE_RULES } from './houseRules';
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

/** How far each weighing lands beside its target, in turn; a hand is never exact. */
const HAND = [0.031, -0.004, 0.006, 0.002, -0.009];
const MINUTES_A_STEP = 4;

/** Puts the invented Quillmarsh Soap Room into a workshop, with its past told up to `today`. */
export function seed(workshop: Workshop, today: Date): void {
  const clock = { now: subDays(today, 30) };
  const told: Workshop = { ...workshop, now: () => clock.now.toISOString() };
  const plan = (record: Parameters<typeof createPlan>[1]) => createPlan(told, record).id;

  workshop.db.transaction(() => {
    for (const material of MATERIALS) workshop.materials.insert(material, told.now());
    for (const mold of MOLDS) workshop.molds.insert(mold, told.now());
    saveHouseRules(told, HOUSE_RULES, 0);
    const day = (date: Date) => formatISO(date, { representation: 'date' });
    for (const lot of LOTS) {
      clock.now = subDays(today, lot.boughtDaysAgo);
      addLot(told, {
        materialId: lot.materialId,
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
    clock.now = subDays(today, 30);
    const bareFace = plan(BARE_FACE);
    const ropewalk = plan(ROPEWALK);
    const nettle = plan(NETTLE_AND_LIME);
    const tinsmith = plan(TINSMITH);
    plan(LIGHTHOUSE);
    plan(NIGHT_FERRY);
    plan(MOSS_AND_FLINT);
    plan(paperBoats(plan(BOAT)));

    const make = (
      planId: string,
      daysAgo: number,
      ending: { verdict: Verdict; goodPieces: number; note: string } | null,
    ) => {
      clock.now = subMinutes(subDays(today, daysAgo), 90);
      const { id } = startRun(told, crypto.randomUUID(), planId);
      const steps = runState(findRun(told, id)).steps;
      const upTo = ending ? steps.length : 3;
      for (let place = 0; place < upTo; place++) {
        clock.now = subMinutes(clock.now, -MINUTES_A_STEP);
        const step = runState(findRun(told, id)).steps[place];
        if (step) recordEvent(told, id, crypto.randomUUID(), eventFor(step, place));
      }
      if (ending) recordEvent(told, id, crypto.randomUUID(), { type: 'finished', ...ending });
    };

    make(tinsmith, 12, {
      verdict: 'fair',
      goodPieces: 11,
      note: 'Poured a little hot: the grit sits low in two bars, one broke at unmolding. Next time stir to the first thickening.',
    });
    make(bareFace, 6, { verdict: 'good', goodPieces: 8, note: 'Hard the next evening, edges clean.' });
    make(ropewalk, 3, { verdict: 'good', goodPieces: 72, note: 'Packed for the fair the same day.' });
    make(nettle, 0, null);
  })();
}

function eventFor(step: ReturnType<typeof runState>['steps'][number], place: number): RunEvent {
  if (step.targetG === null) return { type: 'done', stepId: step.id };
  const weighed = step.targetG * (1 + (HAND[place % HAND.length] ?? 0));
  return { type: 'weighed', stepId: step.id, massG: Number(weighed.toFixed(weighed < 20 ? 2 : 1)) };
}

const folder = process.argv[2];
if (folder !== undefined) {
  const workshop = openWorkshop(folder);
  seed(workshop, new Date());
  workshop.db.close();
}
