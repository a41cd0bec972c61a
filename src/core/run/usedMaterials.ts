import { baseParts } from '../plan/baseParts';
import type { Sheet } from '../plan/sheet';
import type { ScheduledTask } from '../schedule/scheduledTask';
import { type Need, needOfEmbed, needOfPacked } from '../stock/need';
import { partOfRound, wholeSheet } from '../work/rounds';
import { weighedLine } from '../work/weighedLine';
import { piecesMade } from './piecesMade';
import { type Progress, progress } from './progress';
import type { RunSoFar } from './run';
import type { TaskState } from './taskStates';

/** What a run has really taken of a material, over all its pours. */
export type Used = Need;

/** What was weighed or set in in a run, each material once, in the order of the work. */
export function usedMaterials(run: RunSoFar): Used[] {
  return summed(run, (task) => (task.doneAt !== null && !task.isLeftOut ? task.actualG : undefined));
}

/** What one task of a run has taken; nothing while it is open or was left out. */
export function usedByTask(run: RunSoFar, task: TaskState): Used[] {
  if (task.doneAt === null || task.isLeftOut) return [];
  return needsOfTask(run, progress(run), task, task.actualG);
}

const stillKnown = new WeakMap<RunSoFar, readonly Need[]>();

/** What the open tasks of a run will still take. Told once for a run. */
export function stillNeeded(run: RunSoFar): readonly Need[] {
  const needs =
    stillKnown.get(run) ?? summed(run, (task) => (task.doneAt === null ? task.targetG : undefined));
  stillKnown.set(run, needs);
  return needs;
}

/** @param massOf of a task, null where it is not weighed; undefined leaves it out */
function summed(run: RunSoFar, massOf: (task: TaskState) => number | null | undefined): Need[] {
  const so = progress(run);
  const sums = new Map<string, Need>();
  for (const task of so.tasks) {
    const massG = massOf(task);
    if (massG === undefined) continue;
    for (const need of needsOfTask(run, so, task, massG)) {
      const known = sums.get(need.materialId);
      if (known) known.amount += need.amount;
      else sums.set(need.materialId, need);
    }
  }
  return [...sums.values()];
}

function needsOfTask(
  { snapshot }: RunSoFar,
  so: Pick<Progress, 'cuts' | 'asides'>,
  task: TaskState,
  massG: number | null,
): Need[] {
  const { sheet } = snapshot;
  const pour = sheet.pours[task.pourIndexes[0] ?? -1];
  if (!pour && task.kind !== 'wrap') return [];
  if (task.kind === 'inclusions' && pour)
    return pour.embeds
      .filter(({ embedIndex }) => task.embedIndexes.includes(embedIndex))
      .flatMap((embed) => {
        const whole = wholeSheet(sheet);
        const { ofAll, cavities } = snapshot.isDerived ? whole : partOfRound(sheet, task.round);
        const share = embed.perPiece === null ? ofAll : cavities / whole.cavities;
        return needOfEmbed({ ...embed, massG: embed.massG * share }, cavities) ?? [];
      });
  if (task.kind === 'wrap') {
    const pieces = piecesMade(sheet, task.round, so, true);
    return sheet.packaging.map((packed) => needOfPacked(packed, pieces));
  }
  if (massG === null) return [];
  return weighedParts(sheet, task).map(({ id, name, share }) => ({
    ...{ materialId: id, name, amount: massG * share, isCounted: false },
  }));
}

/** What a task weighs at once, the larger part first: base may be fresh in part, and in part melted again. */
export function weighedParts(
  sheet: Pick<Sheet, 'pours'>,
  task: ScheduledTask,
): { id: string; name: string; share: number }[] {
  const pour = sheet.pours[task.pourIndexes[0] ?? -1];
  if (!pour || (task.kind !== 'weigh-base' && task.kind !== 'weigh-dose')) return [];
  if (task.kind === 'weigh-base') return baseParts(pour);
  const material = weighedLine(sheet, task)?.material;
  return material ? [{ id: material.id, name: material.name, share: 1 }] : [];
}

/** What a task weighs, or the larger part of it; null where it weighs nothing. */
export function weighedMaterial(
  sheet: Pick<Sheet, 'pours'>,
  task: ScheduledTask,
): { id: string; name: string } | null {
  return weighedParts(sheet, task)[0] ?? null;
}
