import { meanPerOne } from '../../core/cost/lotPrices';
import type { Material } from '../../core/materials/material';
import { differences } from '../../core/plan/differences';
import type { StockByMaterial } from '../../core/stock/fromShelf';
import { firstExpiredFirst, freeOf, leftOf } from '../../core/stock/stock';
import { KIND_NAMES } from '../../words/en/materials/kindNames';
import { FORM_NAMES, FRAGRANCE_KIND_NAMES, LOOK_NAMES, ROLE_NAMES } from '../../words/en/materials/names';
import { STARTER_MATERIALS } from '../../words/en/starter/materials';
import type { StoredItem } from '../shared/saveQueue';

/** A material as a row of the shelf's table. */
export interface ShelfRow {
  stored: StoredItem<Material>;
  name: string;
  kind: string;
  what: string;
  /** The limit that is looked up most: a base's fragrance cap, of base; of others the supplier's, of product. */
  limit: number | undefined;
  /** Grams or pieces on the shelf; undefined when no lot was ever bought. */
  left: number | undefined;
  /** Of it, what is put aside until it is released. */
  held: number;
  isLow: boolean;
  /** The date of the lot that comes next, ISO 8601. */
  bestBefore: string | undefined;
  /** Price of a gram or piece: the mean of its lots by what is left. */
  minorPerOne: number | undefined;
}

export function shelfRow(stored: StoredItem<Material>, stock: StockByMaterial): ShelfRow {
  const { item } = stored;
  const lots = stock.get(item.id);
  const left = lots && leftOf(lots);
  const free = lots && freeOf(lots);
  const open = firstExpiredFirst((lots ?? []).filter((lot) => lot.left > 0));
  return {
    stored,
    name: item.name,
    kind: KIND_NAMES[item.kind],
    what: isUsual(item) ? `${whatItIs(item)} · usual, not yours` : whatItIs(item),
    limit: limitOf(item) ?? undefined,
    left,
    held: (left ?? 0) - (free ?? 0),
    isLow: item.lowStock !== null && free !== undefined && free < item.lowStock,
    bestBefore: open[0]?.bestBefore ?? undefined,
    minorPerOne: (lots && meanPerOne(lots)) ?? undefined,
  };
}

const USUAL = new Map(STARTER_MATERIALS.map((material) => [material.id, material]));

/** True while nobody has put figures of their own in the place of those it came with. */
function isUsual(item: Material): boolean {
  const usual = USUAL.get(item.id);
  return usual !== undefined && differences(usual, item).length === 0;
}

function whatItIs(item: Material): string {
  switch (item.kind) {
    case 'base':
      return `${LOOK_NAMES[item.look]}${item.baseKind === 'syndet' ? ', syndet' : ''}`;
    case 'fragrance':
      return FRAGRANCE_KIND_NAMES[item.fragranceKind];
    case 'blend':
      return `${item.members.length} parts`;
    case 'colorant':
      return FORM_NAMES[item.form];
    case 'additive':
      return ROLE_NAMES[item.role];
    case 'dispersant':
      return item.leaves ? 'Leaves again' : 'Stays';
    case 'scrap':
      return 'Offcuts and leftover melt';
    case 'piece':
      return item.pieceG === null ? 'Set into bars' : `Set into bars, ${item.pieceG} g each`;
    case 'packaging':
      return '';
  }
}

function limitOf(item: Material): number | null {
  if (item.kind === 'base') return item.fragranceCapOfBase;
  return 'maxOfProduct' in item ? item.maxOfProduct : null;
}

/** Rows that have every word of a search in their name, note or ingredients. */
export function searched(rows: readonly ShelfRow[], search: string): ShelfRow[] {
  const words = search.toLowerCase().split(/\s+/).filter(Boolean);
  return rows.filter(({ stored: { item }, what, kind }) => {
    const inci = item.kind === 'packaging' ? [] : (item.inci ?? []);
    const text = [item.name, item.note, kind, what, ...inci].join(' ').toLowerCase();
    return words.every((word) => text.includes(word));
  });
}
