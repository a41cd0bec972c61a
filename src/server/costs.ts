import { exactly } from '../core/cost/bounds';
import { type Cost, type CostLine, costOf, houseLines, sheetLines } from '../core/cost/cost';
import { type CostDifference, differenceOf } from '../core/cost/difference';
import { plannedHandsS, realHandsS } from '../core/cost/handsTime';
import { isCounted } from '../core/materials/material';
import type { Sheet } from '../core/plan/sheet';
import { batchLotNumber } from '../core/run/batchCode';
import { logEntry } from '../core/run/logEntry';
import { progress } from '../core/run/progress';
import type { Run } from '../core/run/run';
import type { StockByMaterial } from '../core/stock/fromShelf';
import { needOf } from '../core/stock/need';
import { minorUnitsOf } from '../core/units/money';
import { orNull } from './broken';
import type { Workshop } from './openWorkshop';
import { usedLines } from './usedLines';

/** What a run cost, beside what it was planned to. */
export interface RunCost {
  planned: Cost;
  real: Cost;
  difference: CostDifference | null;
}

/** Less is what is left of taking and giving back. */
const NOTHING = 1e-9;

/**
 * What a finished run cost: the lots that it took, at their prices, its hands and its share of the house, less what went on
 * into jars and kept pieces; its good pieces carry it. Planned is what its sheet would have taken from the lots as they stood
 * when it began.
 */
export function runCost(workshop: Workshop, run: Run): RunCost {
  const { sheet } = run.snapshot;
  const rules = workshop.houseRules.read().item;
  const so = progress(run);
  const real = costOf(
    [
      ...usedLines(workshop, run),
      ...houseLines(rules, realHandsS(so, run.startedAt)),
      ...passedOn(workshop, run),
    ],
    logEntry(run).goodPieces,
  );
  const planned = costOf(
    [
      ...sheetLines(sheet, stockAt(workshop, sheet, run.startedAt)),
      ...houseLines(rules, plannedHandsS(run.snapshot.tasks)),
    ],
    sheet.pieces,
  );
  return { planned, real, difference: differenceOf(planned, real) };
}

/** What went into jars and was kept to be set in: others pay for it. What has no price is left with the run. */
function passedOn({ lots, materials }: Workshop, run: Run): CostLine[] {
  if (run.code === null) return [];
  return lots.idsNumbered(batchLotNumber(run.code)).flatMap((lotId): CostLine[] => {
    const lot = orNull(() => lots.find(lotId))?.item;
    const material = lot && orNull(() => materials.find(lot.item.id))?.item;
    if (!lot || !material || (material.kind !== 'scrap' && material.kind !== 'piece')) return [];
    // What was taken back again went nowhere.
    const isThere = lots
      .entriesOfLot(lotId)
      .every(({ kind, change }) => kind !== 'correction' || change > -lot.amount + NOTHING);
    if (lot.price === null || !isThere) return [];
    return [
      {
        ...{ part: 'passed-on' as const, id: lotId, name: material.name, amount: lot.amount },
        isCounted: isCounted(material.kind),
        cost: exactly(-minorUnitsOf(lot.price)),
      },
    ];
  });
}

/** The lots of what a sheet takes, as they stood at a moment. */
function stockAt({ lots }: Workshop, sheet: Sheet, at: string): StockByMaterial {
  return new Map(
    needOf(sheet).map(({ materialId }) => [
      materialId,
      lots.stockOf(materialId).flatMap((lot) => {
        const before = lots.entriesOfLot(lot.id).filter((entry) => entry.at < at);
        return before.length === 0
          ? []
          : [{ ...lot, left: before.reduce((sum, { change }) => sum + change, 0) }];
      }),
    ]),
  );
}
