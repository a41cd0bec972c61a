import type { WeighedPart } from '../core/run/done';
import { plannedTaskId } from '../core/run/jugBase';
import { progress } from '../core/run/progress';
import type { Run, RunEvent } from '../core/run/run';
import { usedByTask, usedMaterials, weighedParts } from '../core/run/usedMaterials';
import type { ScheduledTask } from '../core/schedule/scheduledTask';
import type { Workshop } from './openWorkshop';
import { invalidField } from './problem';
import { putIntoScrapJar, scrapName, setAside, takeAsideBack } from './setAside';
import { takeFromShelf } from './takeFromShelf';

/** What a run takes goes off the shelf as it is weighed, and comes back with what undoes it. */

/** Less is what is left of adding and taking off. */
const NOTHING = 1e-9;

/**
 * Brings the stock up to an event that was just added to a run. Call inside the transaction that keeps the event.
 *
 * @param run with the event
 * @throws Problem 422 when a lot is named that is not of its material
 */
export function stockFollows(workshop: Workshop, run: Run, event: RunEvent): void {
  switch (event.kind) {
    case 'weighed':
    case 'added':
      takeWeighed(workshop, run, event);
      return;
    case 'corrected':
      giveBack(workshop, run.id, event.taskId);
      takeWeighed(workshop, run, event);
      return;
    case 'undone':
      giveBack(workshop, run.id, event.taskId);
      takeAnew(workshop, run, event.taskId);
      return;
    case 'done':
      // Of all that is ticked without a weight, only pieces and what they are wrapped in come off the shelf.
      if (TAKES_PIECES.has(taskOf(run, event.taskId)?.kind ?? '')) takeAnew(workshop, run, event.taskId);
      return;
    case 'finished':
      takeRest(workshop, run, event.lots ?? []);
      putIntoScrapJar(workshop, run, { name: scrapName(run), massG: event.toScrapG ?? 0, pourIndexes: [] });
      return;
    case 'set-aside':
      setAside(workshop, run, event);
      return;
    case 'taken-back':
      takeAsideBack(workshop, run, event.entryId);
      return;
    case 'abandoned':
      if (event.isPutBack) giveBack(workshop, run.id, null);
  }
}

const TAKES_PIECES: ReadonlySet<string> = new Set(['inclusions', 'wrap']);

/** The task of a run's snapshot; more base that was asked for at the bench is told by the weighing it is more of. */
function taskOf({ snapshot }: Run, taskId: string): ScheduledTask | undefined {
  const planned = plannedTaskId(taskId);
  return snapshot.tasks.find(({ id }) => id === planned);
}

type Weighing = Extract<RunEvent, { kind: 'weighed' | 'added' | 'corrected' }>;

function takeWeighed(workshop: Workshop, run: Run, { taskId, massG, lotId }: Weighing): void {
  const task = taskOf(run, taskId);
  if (!task) return;
  // The lot that was said is of the larger part.
  weighedParts(run.snapshot.sheet, task).forEach(({ id, share }, place) => {
    const from = { massG: massG * share, lotId: place === 0 ? (lotId ?? null) : null };
    take(workshop, run.id, id, from, taskId);
  });
}

/** Takes all that a task has used by now: each part of a weighing from its lot, pieces from the first to expire. */
function takeAnew(workshop: Workshop, run: Run, taskId: string): void {
  const task = progress(run).tasks.find(({ id }) => id === taskId);
  if (!task) return;
  usedByTask(run, task).forEach(({ materialId, amount }, place) => {
    const share = task.actualG ? amount / task.actualG : 1;
    for (const { massG, lotId } of task.parts.length > 0 ? task.parts : [{ massG: amount, lotId: null }])
      take(
        workshop,
        run.id,
        materialId,
        { massG: massG * (task.parts.length > 0 ? share : 1), lotId: place === 0 ? lotId : null },
        taskId,
      );
  });
}

/**
 * What was used and not taken when it was weighed: of runs that were open before stock was taken then.
 *
 * @throws Problem 422 when a chosen lot is not of its material
 */
function takeRest(
  workshop: Workshop,
  run: Run,
  chosen: readonly { materialId: string; lotId: string }[],
): void {
  chosen.forEach(({ materialId, lotId }, index) => {
    checkLot(workshop, materialId, lotId, `event.lots.${index}.lotId`);
  });
  const taken = workshop.lots.takenByRun(run.id);
  for (const { materialId, amount } of usedMaterials(run)) {
    const massG = amount - (taken.get(materialId) ?? 0);
    const lotId = chosen.find((choice) => choice.materialId === materialId)?.lotId ?? null;
    if (massG > NOTHING) take(workshop, run.id, materialId, { massG, lotId });
  }
}

function checkLot({ lots }: Workshop, materialId: string, lotId: string, field: string): void {
  if (!lots.stockOf(materialId).some(({ id }) => id === lotId))
    throw invalidField(field, 'is not a lot of that material');
}

function take(
  workshop: Workshop,
  runId: string,
  materialId: string,
  { massG, lotId }: WeighedPart,
  taskId?: string,
): void {
  if (lotId !== null) checkLot(workshop, materialId, lotId, 'event.lotId');
  const owner = { kind: 'run' as const, id: runId, ...(taskId ? { taskId } : {}) };
  takeFromShelf(workshop, { materialId, amount: massG, lotId }, owner);
}

/** Gives back what a task has taken, or all of a run, and takes back what was put right for it. */
function giveBack({ lots, now, newId }: Workshop, runId: string, taskId: string | null): void {
  const sums = new Map<string, { used: number; corrected: number }>();
  for (const { lotId, kind, change, owner } of lots.entriesOfRun(runId)) {
    if (taskId !== null && owner?.taskId !== taskId) continue;
    const sum = sums.get(lotId) ?? { used: 0, corrected: 0 };
    if (kind === 'correction') sum.corrected += change;
    else sum.used -= change;
    sums.set(lotId, sum);
  }
  const common = { at: now(), owner: { kind: 'run' as const, id: runId, ...(taskId ? { taskId } : {}) } };
  for (const [lotId, { used, corrected }] of sums) {
    if (used > NOTHING)
      lots.addEntry({ ...common, id: newId(), lotId, kind: 'returned', change: used, note: '' });
    if (corrected > NOTHING)
      lots.addEntry({
        ...common,
        id: newId(),
        lotId,
        kind: 'correction',
        change: -corrected,
        note: 'It was not taken after all',
      });
  }
}
