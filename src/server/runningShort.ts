import { isCounted } from '../core/materials/material';
import { stillNeeded } from '../core/run/usedMaterials';
import { buyList } from '../core/stock/fromShelf';
import { type Need, needOf } from '../core/stock/need';
import { freeOf } from '../core/stock/stock';
import type { Workshop } from './openWorkshop';
import { turnWhenLong } from './turn';
import type { PlanView } from './views';

/** A material that is low, or short for something ahead. Grams, or pieces of what is counted. */
export interface RunningShort {
  materialId: string;
  name: string;
  isPackaging: boolean;
  left: number;
  /** null when no line was drawn. */
  lowStock: number | null;
  shortFor: { name: string; href: string; short: number }[];
}

/** What runs short for the runs on the bench, for one making of each plan, or by its own low line. */
export async function runningShort(
  { materials, lots, runs }: Workshop,
  views: readonly PlanView[],
): Promise<RunningShort[]> {
  const stock = lots.stock();
  const short = new Map<string, RunningShort['shortFor']>();
  const look = (needs: readonly Need[], name: string, href: string) => {
    for (const { materialId, buy } of buyList(needs, stock)) {
      // What was never bought is not counted by the book.
      if (!(buy > 1e-6) || !stock.has(materialId)) continue;
      short.set(materialId, [...(short.get(materialId) ?? []), { name, href, short: buy }]);
    }
  };
  for (const run of runs.open().items) {
    await turnWhenLong();
    look(stillNeeded(run), `${run.snapshot.sheet.planName}, on the bench`, `/bench/${run.id}`);
  }
  await turnWhenLong();
  for (const { stored, sheet } of views)
    if (sheet) look(needOf(sheet), stored.plan.name, `/plans/${stored.id}`);

  return materials
    .all()
    .filter(({ item }) => !item.archived)
    .map(({ item }): RunningShort => {
      const { id, name, kind, lowStock } = item;
      return {
        materialId: id,
        name,
        isPackaging: isCounted(kind),
        left: freeOf(stock.get(id) ?? []),
        lowStock: stock.has(id) ? lowStock : null,
        shortFor: short.get(id) ?? [],
      };
    })
    .filter(({ left, lowStock, shortFor }) => shortFor.length > 0 || (lowStock !== null && left < lowStock));
}
