import type { Workshop } from './openWorkshop';

/** What a run paid for one gram or piece of each material that it took, in minor units; null where a lot has no price. */
export function costPerOne({ lots }: Workshop, runId: string): ReadonlyMap<string, number | null> {
  const sums = new Map<string, { amount: number; minor: number | null }>();
  const known = new Map<string, ReturnType<typeof lots.stockOf>>();
  for (const { lotId, kind, change } of lots.entriesOfRun(runId)) {
    if (kind !== 'used' && kind !== 'returned') continue;
    const materialId = lots.find(lotId)?.item.item.id;
    if (materialId === undefined) continue;
    const stock = known.get(materialId) ?? lots.stockOf(materialId);
    known.set(materialId, stock);
    const each = stock.find(({ id }) => id === lotId)?.minorPerOne ?? null;
    const before = sums.get(materialId) ?? { amount: 0, minor: 0 };
    sums.set(materialId, {
      amount: before.amount - change,
      minor: each === null || before.minor === null ? null : before.minor - change * each,
    });
  }
  return new Map(
    [...sums].map(([id, { amount, minor }]) => [id, minor === null || !(amount > 0) ? null : minor / amount]),
  );
}
