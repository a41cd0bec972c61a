import { type Held, shares } from '../materials/scrap';
import {
  contentOf,
  isInherited,
  type Sheet,
  type SheetEmbed,
  type SheetLine,
  type SheetPour,
} from '../plan/sheet';
import { jugGroups } from '../pours/sharedJug';
import { basesOfTasks } from './jugBase';
import type { Progress } from './progress';

/** A material with its mass in what was made, g. */
type Part = Omit<Held, 'ofScrap'> & { massG: number };

/**
 * What some pours of a run hold, by what was really weighed: each material as a fraction of all that is known. What is
 * melted again is told by what it held. Null where something of it is not known.
 *
 * @param pourIndexes none for all pours, with what was set into them and laid on them
 */
export function contentOfRun(
  { snapshot: { sheet } }: { snapshot: { sheet: Sheet } },
  so: Pick<Progress, 'tasks'>,
  pourIndexes: readonly number[],
): Held[] | null {
  const isWhole = pourIndexes.length === 0;
  const own = sheet.pours.map((_, index) => index).filter((index) => isWhole || pourIndexes.includes(index));
  const weighed = weighedOverPlan(so);
  const parts = own.map((index) => partsOfPour(sheet.pours, index, weighed, isWhole));
  return parts.some((each) => each === null) ? null : shares(parts.flatMap((each) => each ?? []));
}

/** What was weighed of a base or a dose over what was planned of it, over all rounds; 1 where nothing was weighed. */
type Weighed = (pourIndex: number, lineIndex: number | null) => number;

function weighedOverPlan({ tasks }: Pick<Progress, 'tasks'>): Weighed {
  const sums = new Map<string, { plannedG: number; actualG: number }>();
  const add = (key: string, plannedG: number, actualG: number) => {
    const before = sums.get(key) ?? { plannedG: 0, actualG: 0 };
    sums.set(key, { plannedG: before.plannedG + plannedG, actualG: before.actualG + actualG });
  };
  const bases = basesOfTasks(tasks);
  for (const task of tasks) {
    if (task.actualG === null) continue;
    const [head = 0] = task.pourIndexes;
    const base = bases.get(task.id);
    if (task.kind === 'weigh-base') {
      if (base?.actualG) add(`${head}`, base.plannedG, base.actualG);
    } else if (task.kind === 'weigh-dose') add(`${head} ${task.lineIndex}`, task.massG, task.actualG);
  }
  return (pourIndex, lineIndex) => {
    const sum = sums.get(lineIndex === null ? `${pourIndex}` : `${pourIndex} ${lineIndex}`);
    return sum && sum.plannedG > 0 ? sum.actualG / sum.plannedG : 1;
  };
}

function partsOfPour(
  pours: readonly SheetPour[],
  index: number,
  weighed: Weighed,
  isWhole: boolean,
): Part[] | null {
  const pour = pours[index];
  if (!pour) return [];
  const head = jugGroups(pours).find((group) => group.includes(index))?.[0] ?? index;
  const baseG = pour.baseG * weighed(head, null);
  const base = partsOfBase(pour, baseG);
  const set = isWhole ? pour.embeds.map(partsOfEmbed) : [];
  if (base === null || set.some((each) => each === null)) return null;
  const lines = isWhole ? [...contentOf(pour), ...pour.laid] : contentOf(pour);
  return [
    ...base,
    ...lines
      .filter((line) => !line.leaves && !isInherited(line))
      .map((line) => dosePart(line, line.massG * weighed(...placeOf(line, pours, index)))),
    ...set.flatMap((each) => each ?? []),
  ];
}

function partsOfBase({ base, remelt }: SheetPour, baseG: number): Part[] | null {
  const again = remelt?.ofBase ?? 0;
  if (remelt && !remelt.isKnown) return null;
  const fresh: Part = { materialId: base.id, name: base.name, kind: 'base', massG: baseG * (1 - again) };
  return [fresh, ...massed(remelt?.holds ?? [], baseG * again)];
}

function partsOfEmbed({ id, name, kind, massG, holds }: SheetEmbed): Part[] | null {
  if (kind !== 'scrap') return [{ materialId: id, name, kind: 'piece', massG }];
  return holds && massed(holds, massG);
}

function massed(holds: readonly Held[], massG: number): Part[] {
  return holds.map(({ ofScrap, ...held }) => ({ ...held, massG: ofScrap * massG }));
}

function dosePart({ material: { id, name } }: SheetLine, massG: number): Part {
  return { materialId: id, name, kind: 'dose', massG };
}

/** The pour a line was weighed for, and its place there; what is laid comes after what is stirred in. */
function placeOf(line: SheetLine, pours: readonly SheetPour[], index: number): [number, number] {
  const from = 'fromPourIndex' in line ? (line.fromPourIndex as number) : index;
  const { lines = [], laid = [] } = pours[from] ?? {};
  const isSame = (each: SheetLine) =>
    each.doseId === line.doseId && each.material.id === line.material.id && each.wets === line.wets;
  return [from, [...lines, ...laid].findIndex(isSame)];
}
