import type { HouseRules } from '../houseRules/houseRules';
import { baseParts } from '../plan/baseParts';
import type { Sheet } from '../plan/sheet';
import type { StockByMaterial } from '../stock/fromShelf';
import { type Need, needOf } from '../stock/need';
import { takeFromLots } from '../stock/stock';
import { minorUnitsOf } from '../units/money';
import { type Bounds, certainMinor, exactly, sumOfBounds, timesBounds, UNKNOWN } from './bounds';
import { pricePerOne } from './lotPrices';

/** What a cost is for, in the order it is told. */
export const COST_PARTS = ['base', 'dose', 'set-in', 'packaging', 'hands', 'fixed', 'passed-on'] as const;
export type CostPart = (typeof COST_PARTS)[number];

/** What one thing costs. */
export interface CostLine {
  part: CostPart;
  /** Of the material, or of what is passed on; its part for what has none. */
  id: string;
  /** Of the material or of what it is passed on into; empty for hands and for fixed costs. */
  name: string;
  /** g, pieces of what is counted, or s of hands. */
  amount: number;
  isCounted: boolean;
  /** Below zero for what is passed on. */
  cost: Bounds;
}

export interface Cost {
  lines: CostLine[];
  total: Bounds;
  /** Pieces that carry it. */
  pieces: number;
  /** null where there are none. */
  perPiece: Bounds | null;
}

/** What the house reckons beside materials. */
export type CostRules = Pick<HouseRules, 'handsPerHour' | 'fixedPerMonth' | 'batchesPerMonth'>;

/** @param pieces that carry the cost: planned, or good ones */
export function costOf(lines: readonly CostLine[], pieces: number): Cost {
  const total = sumOfBounds(lines.map(({ cost }) => cost));
  return {
    lines: [...lines].sort((a, b) => COST_PARTS.indexOf(a.part) - COST_PARTS.indexOf(b.part)),
    ...{ total, pieces },
    perPiece: pieces > 0 ? timesBounds(total, 1 / pieces) : null,
  };
}

/** Names of what has no price of its own: its part of the cost is not certain. */
export function pricesMissing({ lines }: Pick<Cost, 'lines'>): string[] {
  return [...new Set(lines.flatMap(({ cost, name }) => (certainMinor(cost) === null ? [name] : [])))];
}

const PARTS = new WeakMap<Sheet, ReadonlyMap<string, CostPart>>();

/** What a material is in a sheet; a dose, where the sheet does not name it. */
export function partOf(sheet: Sheet, materialId: string): CostPart {
  const known = PARTS.get(sheet) ?? partsOf(sheet);
  PARTS.set(sheet, known);
  return known.get(materialId) ?? 'dose';
}

/** A base that is set in, too, is a base. */
function partsOf({ pours, packaging }: Sheet): Map<string, CostPart> {
  return new Map<string, CostPart>([
    ...pours.flatMap(({ embeds }) => embeds.map(({ id }): [string, CostPart] => [id, 'set-in'])),
    ...packaging.map(({ materialId }): [string, CostPart] => [materialId, 'packaging']),
    ...pours.flatMap((pour) => baseParts(pour).map(({ id }): [string, CostPart] => [id, 'base'])),
  ]);
}

/**
 * What work is going to take, at the prices of the lots that stock gives it from: the first to expire first. What no lot has
 * costs what the last lot that is taken from costs.
 *
 * @param parts what each material is, by its id
 * @param made what a piece of each plan costs that is set in, by the plan's id: for those that no lot has
 */
export function plannedLines(
  needs: readonly Need[],
  stock: StockByMaterial,
  parts: (materialId: string) => CostPart,
  made: ReadonlyMap<string, Bounds> = new Map(),
): CostLine[] {
  return needs.map(({ materialId: id, name, amount, isCounted }) => {
    const lots = stock.get(id) ?? [];
    const { takings } = takeFromLots(lots, amount);
    const cost =
      takings.length === 0
        ? timesBounds(made.get(id) ?? UNKNOWN, amount)
        : sumOfBounds(takings.map((taken) => timesBounds(pricePerOne(taken.lotId, lots), taken.amount)));
    return { part: parts(id), id, name, amount, isCounted, cost };
  });
}

/** What the materials and the packaging of a sheet are going to cost: see `plannedLines`. */
export function sheetLines(
  sheet: Sheet,
  stock: StockByMaterial,
  made?: ReadonlyMap<string, Bounds>,
  needs = needOf(sheet),
): CostLine[] {
  return plannedLines(needs, stock, (id) => partOf(sheet, id), made);
}

/** What hands and the house cost beside materials; none of what the house has no rate for. */
export function houseLines(
  { handsPerHour, fixedPerMonth, batchesPerMonth }: CostRules,
  handsS: number,
): CostLine[] {
  const line = (part: 'hands' | 'fixed', amount: number, minor: number): CostLine => ({
    ...{ part, id: part, name: '', amount, isCounted: false, cost: exactly(minor) },
  });
  return [
    ...(handsPerHour === null ? [] : [line('hands', handsS, (minorUnitsOf(handsPerHour) * handsS) / 3600)]),
    ...(fixedPerMonth === null ? [] : [line('fixed', 1, minorUnitsOf(fixedPerMonth) / batchesPerMonth)]),
  ];
}
