import assert from 'node:assert/strict';
import fc from 'fast-check';
import { reviewPlan } from '../../src/core/checks/review';
import { USUAL_HOUSE_RULES } from '../../src/core/houseRules/houseRules';
import { hasMold } from '../../src/core/molds/noMold';
import type { PlanFile } from '../../src/core/plan/plan';
import { planFileSchema } from '../../src/core/plan/planSchema';
import type { Sheet } from '../../src/core/plan/sheet';
import { checkEvent } from '../../src/core/run/checkEvent';
import { heatOnward } from '../../src/core/run/heatOnward';
import { type Onward, onward } from '../../src/core/run/onward';
import { progress, withEvent } from '../../src/core/run/progress';
import type { Run, RunEvent } from '../../src/core/run/run';
import { isWait } from '../../src/core/work/task';
import { AT, snapshotOf } from './runs';

export const START = Date.parse(AT);
export const MIN = 60_000;

/** A run and its bench's clock: events happen when the clock says. */
export function atBench(sheet: Sheet, rules = USUAL_HOUSE_RULES) {
  let run: Run = {
    id: 'run-1',
    planId: 'plan-1',
    planVersion: 1,
    startedAt: AT,
    code: null,
    snapshot: snapshotOf(sheet, rules),
    events: [],
  };
  let nowMs = START;
  return {
    wait: (ms: number) => {
      nowMs += ms;
    },
    until: (atMs: number) => {
      nowMs = Math.max(nowMs, atMs);
    },
    now: () => nowMs,
    event(event: RunEvent) {
      const checked = checkEvent(run, event);
      assert.ok(checked.success, `${JSON.stringify(event)}: ${checked.success ? '' : checked.error.code}`);
      const at = new Date(nowMs).toISOString();
      run = withEvent(run, { occurredAt: at, recordedAt: at, source: {}, event });
    },
    run: () => run,
    so: () => progress(run),
    see: (): Onward => onward(progress(run), heatOnward(run, nowMs), START, nowMs),
  };
}

export type AtBench = ReturnType<typeof atBench>;

/** Does the task in hand when it is due, and takes as long as it was planned to. */
export function doNext(bench: AtBench): boolean {
  const { inHand } = bench.so();
  if (!inHand) return false;
  const planned = bench.see().tasks.find(({ id }) => id === inHand.id);
  bench.until(planned?.toMs ?? 0);
  bench.event(
    inHand.targetG === null
      ? { kind: 'done', taskId: inHand.id }
      : { kind: 'weighed', taskId: inHand.id, massG: inHand.targetG },
  );
  return true;
}

/** Minutes that a maker is away before each task, again and again. */
export const MAKERS_DELAYS = fc.array(fc.integer({ min: 0, max: 15 }), { minLength: 5, maxLength: 5 });

/**
 * Makes a plan to its end as the bench asks for it.
 *
 * @throws AssertionError for a dead end, a task that comes twice, hands at two tasks, or a task before what it needs
 */
export function makeToTheEnd(file: PlanFile, delays: readonly number[]): void {
  const { sheet } = reviewPlan(planFileSchema.parse(file));
  if (!sheet || !hasMold(sheet)) return;
  const bench = atBench(sheet);
  const seen = new Set<string>();
  for (let turn = 0; bench.so().inHand; turn++) {
    const { inHand } = bench.so();
    assert.ok(inHand && !seen.has(inHand.id), inHand?.id);
    seen.add(inHand.id);
    // Heat is asked now and then: it does not change what follows what.
    const heat = turn % 7 === 0;
    const { tasks } = heat ? bench.see() : onward(bench.so(), null, START, bench.now());
    const byId = new Map(tasks.map((task) => [task.id, task]));
    const open = tasks.filter(({ doneAt }) => doneAt === null);
    for (const task of open)
      for (const need of task.needs) {
        const before = byId.get(need);
        if (before && !isWait(task)) assert.ok(task.fromMs >= before.toMs - 1, `${task.id} before ${need}`);
      }
    const hands = open.filter((task) => task.hands && !isWait(task)).sort((a, b) => a.fromMs - b.fromMs);
    for (const [place, task] of hands.entries())
      assert.ok(place === 0 || task.fromMs >= (hands[place - 1]?.toMs ?? 0) - 1, task.id);
    bench.wait((delays[turn % delays.length] ?? 0) * MIN);
    doNext(bench);
  }
  const weighed = bench.so().tasks.filter(({ plannedG }) => plannedG !== null);
  assert.ok(weighed.every(({ actualG, targetG }) => actualG !== null && actualG === targetG));
}
