import { certainMinor, sumOfBounds, timesBounds } from '../core/cost/bounds';
import { type CostLine, partOf } from '../core/cost/cost';
import { pricePerOne } from '../core/cost/lotPrices';
import { isCounted } from '../core/materials/material';
import type { Run } from '../core/run/run';
import { orNull } from './broken';
import type { Workshop } from './openWorkshop';

/** Less is what is left of taking and giving back. */
const NOTHING = 1e-9;

/** What a run took from each of its lots, and did not give back. */
export function usedLines({ lots, materials }: Workshop, run: Run): CostLine[] {
  const taken = new Map<string, number>();
  for (const { lotId, kind, change } of lots.entriesOfRun(run.id))
    if (kind === 'used' || kind === 'returned') taken.set(lotId, (taken.get(lotId) ?? 0) - change);
  const lines = new Map<string, CostLine>();
  for (const [lotId, amount] of taken) {
    const id = amount > NOTHING ? orNull(() => lots.find(lotId))?.item.item.id : undefined;
    if (id === undefined) continue;
    const material = orNull(() => materials.find(id))?.item;
    const cost = timesBounds(pricePerOne(lotId, lots.stockOf(id)), amount);
    const before = lines.get(id);
    lines.set(id, {
      ...{ part: partOf(run.snapshot.sheet, id), id, name: material?.name ?? id },
      isCounted: material !== undefined && isCounted(material.kind),
      amount: amount + (before?.amount ?? 0),
      cost: before ? sumOfBounds([before.cost, cost]) : cost,
    });
  }
  return [...lines.values()];
}

/** What a run paid for one gram or piece of each material that it took, in minor units; null where that is not certain. */
export function costPerOne(workshop: Workshop, run: Run): ReadonlyMap<string, number | null> {
  return new Map(
    usedLines(workshop, run).map(({ id, amount, cost }) => {
      const minor = certainMinor(cost);
      return [id, minor === null ? null : minor / amount];
    }),
  );
}
