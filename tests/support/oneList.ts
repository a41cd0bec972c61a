import assert from 'node:assert/strict';
import { allFindings } from '../../src/core/checks/allFindings';
import { reviewPlan } from '../../src/core/checks/review';
import { USUAL_HOUSE_RULES } from '../../src/core/houseRules/houseRules';
import type { PlanFile } from '../../src/core/plan/plan';
import { type Sheet, weighedLines } from '../../src/core/plan/sheet';
import { progress } from '../../src/core/run/progress';
import { type Snapshot, snapshotSchema } from '../../src/core/run/snapshot';
import { makePourPlan } from '../../src/core/schedule/makePourPlan';
import type { PourPlan } from '../../src/core/schedule/pourPlan';
import { allFindingWords } from '../../src/words/en/findings/findingWords';
import { taskName } from '../../src/words/en/work/taskName';
import { taskRows } from '../../src/words/en/work/taskRows';
import { taskSentence } from '../../src/words/en/work/taskSentence';

const describeFinding = await allFindingWords();

const METRIC = { system: 'metric', locale: 'en' } as const;
const HOLE = /undefined|NaN|null|Infinity|\[object/;

/**
 * Takes a plan through review, schedule, tasks and words as the pages do, and asserts that strip, list, paper and bench
 * have the same tasks, weights, temperatures and order.
 *
 * @returns false for a plan that has no sheet, with the reason among its findings
 */
export function agreesEverywhere(file: PlanFile): boolean {
  const review = reviewPlan(file);
  assert.ok(review.findings.every(({ code }) => code !== 'not-computed'));
  const { sheet } = review;
  if (!sheet) {
    assert.ok(review.findings.some(({ severity }) => severity === 'stop'));
    return false;
  }
  const pourPlan = makePourPlan(sheet, USUAL_HOUSE_RULES, 0);
  const findings = allFindings(review, pourPlan, USUAL_HOUSE_RULES, null);
  for (const finding of findings)
    assert.doesNotMatch(Object.values(describeFinding(finding, METRIC)).join(' '), HOLE);

  // The bench rests on what is frozen when a run begins, as it is read again.
  const frozen: Snapshot = {
    sheet,
    rules: USUAL_HOUSE_RULES,
    tasks: pourPlan.tasks,
    findings,
    isDerived: false,
  };
  const snapshot = snapshotSchema.parse(JSON.parse(JSON.stringify(frozen)));
  const atBench = progress({ snapshot, events: [] }).tasks;
  const listed = taskRows(sheet, pourPlan, METRIC);
  assert.deepEqual(
    atBench.map(({ id }) => id),
    pourPlan.tasks.map(({ id }) => id),
  );
  assert.deepEqual(
    listed.map(({ task }) => task.id),
    pourPlan.tasks.map(({ id }) => id),
  );
  for (const { words, when } of listed) assert.doesNotMatch(`${words} ${when}`, HOLE);
  for (const task of atBench)
    assert.doesNotMatch(
      `${taskName(task, sheet)} ${taskSentence(task, sheet, USUAL_HOUSE_RULES, METRIC)}`,
      HOLE,
    );

  assertOrder(pourPlan);
  assertWeights(sheet, atBench);
  assertTemperatures(pourPlan);
  return true;
}

/** Times never run back, and nothing begins before what it needs is over. */
function assertOrder({ tasks }: PourPlan) {
  const ends = new Map(tasks.map(({ id, toS }) => [id, toS]));
  for (const [place, task] of tasks.entries()) {
    assert.ok(task.toS >= task.fromS, task.id);
    assert.ok(task.fromS >= (tasks[place - 1]?.fromS ?? Number.NEGATIVE_INFINITY) - 1e-6, task.id);
    for (const need of task.needs) {
      const over = ends.get(need);
      assert.ok(over !== undefined, `${task.id} needs ${need}, which is not there`);
      assert.ok(task.fromS >= over - 1e-6, `${task.id} begins before ${need} is over`);
    }
  }
}

/** What is weighed at the bench, over all rounds and loads, is what the sheet says. */
function assertWeights(sheet: Sheet, tasks: ReturnType<typeof progress>['tasks']) {
  const rounds = new Set(tasks.map(({ round }) => round)).size;
  if (rounds < sheet.totals.rounds) return;
  const sums = new Map<string, number>();
  for (const task of tasks) {
    if (task.targetG === null) continue;
    const key = `${task.kind} ${task.pourIndexes[0]} ${task.kind === 'weigh-dose' ? task.lineIndex : ''}`;
    sums.set(key, (sums.get(key) ?? 0) + task.targetG);
  }
  const isSum = (key: string, massG: number) =>
    assert.ok(Math.abs((sums.get(key) ?? 0) - massG) <= 1e-6 * Math.max(1, massG), `${key}: ${massG} g`);
  for (const [index, pour] of sheet.pours.entries()) {
    isSum(`weigh-base ${index} `, pour.meltG);
    for (const [lineIndex, line] of weighedLines(pour).entries())
      if (line.addG > 0) isSum(`weigh-dose ${index} ${lineIndex}`, line.addG);
  }
}

/** A pour is poured as warm as its layer says. */
function assertTemperatures({ layers, tasks }: PourPlan) {
  for (const task of tasks) {
    if (task.kind !== 'pour') continue;
    const layer = layers.find(({ pourIndexes }) => pourIndexes.includes(task.pourIndexes[0] ?? -1));
    if (layer) assert.equal(task.tempC, layer.atC, task.id);
  }
}
