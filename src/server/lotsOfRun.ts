import type { Run } from '../core/run/run';
import { needOf } from '../core/stock/need';
import type { RunStock } from '../core/stock/runStock';
import type { Workshop } from './openWorkshop';

/** The lots of what the sheet of a run weighs and sets in, as they stand now, and what it took from them. */
export function lotsOfRun({ lots }: Workshop, run: Run): RunStock {
  const stock = lots.stock();
  const ids = needOf(run.snapshot.sheet).map(({ materialId }) => materialId);
  return {
    lots: new Map(
      ids.flatMap((id) => {
        const ofMaterial = stock.get(id);
        return ofMaterial ? [[id, ofMaterial] as const] : [];
      }),
    ),
    taken: lots.takenByRun(run.id),
  };
}
