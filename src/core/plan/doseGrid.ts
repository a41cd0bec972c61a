import { jugGroups } from '../pours/sharedJug';
import { freshId } from './freshId';
import { type Dose, dose, type Plan, type Pour, retyped, type Wetting } from './plan';

/** A material of a plan read across its pours. */
export interface GridRow {
  key: string;
  materialId: string;
  /** Place of its dose in each pour; null where the pour has none. */
  cells: (number | null)[];
}

/** A row for each material, in the order in which they first go in; one more where a pour has it a second time. */
export function gridRows(pours: readonly Pour[]): GridRow[] {
  const rows = new Map<string, GridRow>();
  pours.forEach(({ doses }, pourIndex) => {
    const seen = new Map<string, number>();
    doses.forEach(({ materialId }, doseIndex) => {
      const before = seen.get(materialId) ?? 0;
      seen.set(materialId, before + 1);
      const key = gridKey(materialId, before);
      const row = rows.get(key) ?? { key, materialId, cells: pours.map(() => null) };
      row.cells[pourIndex] = doseIndex;
      rows.set(key, row);
    });
  });
  return [...rows.values()];
}

/** @param before doses of the same material in the same pour */
export function gridKey(materialId: string, before: number): string {
  return `${before} ${materialId}`;
}

/** What a dose that is begun in a cell is wetted in; undefined for what goes in as it is. */
export type WettingOf = (materialId: string) => Wetting | undefined;

/** The plan with texts typed into cells of a row, by the places of their pours; an empty one takes its dose out. */
export function withCells(
  plan: Plan,
  { materialId, cells }: GridRow,
  texts: ReadonlyMap<number, string>,
  wettingOf: WettingOf,
): Plan {
  const known = plan.pours.flatMap(({ doses }, index) => doses[cells[index] ?? -1] ?? [])[0];
  let changed = plan;
  for (const [pourIndex, text] of texts) {
    const place = cells[pourIndex] ?? null;
    const wetIn = known ? known.wetIn : wettingOf(materialId);
    const id = freshId(changed.pours, 'dose');
    changed = withDoses(changed, pourIndex, (doses) => {
      if (text === '') return doses.filter((_, index) => index !== place);
      if (place !== null) return doses.map((each, index) => (index === place ? retyped(each, text) : each));
      return [...doses, { ...dose(materialId, text, wetIn), id }];
    });
  }
  return changed;
}

/** The plan with a key typed into a cell: an empty text stays there until the cell is left. */
export function withTypedCell(
  plan: Plan,
  row: GridRow,
  pourIndex: number,
  text: string,
  wettingOf: WettingOf,
): Plan {
  const place = row.cells[pourIndex] ?? null;
  if (place === null) return withCells(plan, row, new Map([[pourIndex, text]]), wettingOf);
  return withDoses(plan, pourIndex, (doses) =>
    doses.map((each, index) => (index === place ? retyped(each, text) : each)),
  );
}

/** Places of the pours that share a jug, in the order they are poured. */
export function jugsOfPlan(pours: readonly Pour[]): number[][] {
  return jugGroups(pours.map(({ baseId, way }) => ({ base: { id: baseId }, way: way ?? {} })));
}

/**
 * The texts that filling a row to the right puts into it: the dose of a pour in all that come after it. A pour that goes on
 * in the same jug has it already, and so has every one that goes on in a jug that gets it.
 */
export function filledRight({ pours }: Plan, { cells }: GridRow, fromPourIndex: number): Map<number, string> {
  const from = pours[fromPourIndex]?.doses[cells[fromPourIndex] ?? -1];
  const texts = new Map<number, string>();
  if (!from) return texts;
  for (const group of jugsOfPlan(pours)) {
    if (group.includes(fromPourIndex)) continue;
    const [first = 0] = group;
    if (first > fromPourIndex) texts.set(first, from.text);
  }
  return texts;
}

/** Texts that were copied as a block, laid over the rows from a cell on; what is beyond the grid is left out. */
export function withBlock(
  plan: Plan,
  rows: readonly GridRow[],
  at: { row: number; pourIndex: number },
  block: readonly (readonly string[])[],
  wettingOf: WettingOf,
): Plan {
  let changed = plan;
  for (const [down, texts] of block.entries()) {
    const key = rows[at.row + down]?.key;
    // Places move when a dose before them is taken out.
    const row = gridRows(changed.pours).find((each) => each.key === key) ?? rows[at.row + down];
    if (!row) break;
    const own = texts.flatMap((text, right): [number, string][] =>
      at.pourIndex + right < plan.pours.length ? [[at.pourIndex + right, text]] : [],
    );
    changed = withCells(changed, row, new Map(own), wettingOf);
  }
  return changed;
}

/** Everything that a row says, taken out. */
export function withoutRow(plan: Plan, { cells }: GridRow): Plan {
  return cells.reduce<Plan>(
    (rest, place, pourIndex) =>
      place === null
        ? rest
        : withDoses(rest, pourIndex, (doses) => doses.filter((_, index) => index !== place)),
    plan,
  );
}

function withDoses(plan: Plan, pourIndex: number, change: (doses: Dose[]) => Dose[]): Plan {
  return {
    ...plan,
    pours: plan.pours.map((pour, index) =>
      index === pourIndex ? { ...pour, doses: change(pour.doses) } : pour,
    ),
  };
}
