import {
  type Act,
  becameOf,
  type GoodsEdit,
  type GoodsFault,
  type PacksThere,
  packsByPlace,
  type Takings,
} from '../../../core/goods/goods';
import type { StockEntry } from '../../../core/stock/stock';
import { minorUnitsOf } from '../../../core/units/money';
import { showMoney } from '../../../core/units/showQuantity';
import { counted, listed } from '../plural';

/** What became of packs, as it is chosen. */
export const GOODS_EDITS: Record<GoodsEdit['kind'], string> = {
  sold: 'sold',
  given: 'given away',
  sampled: 'used as samples',
  'kept-back': 'kept back',
  damaged: 'damaged',
  returned: 'returned to us',
  moved: 'moved',
};

/** “in the workshop”, “at Market box”. */
export function placeWords(place: string | null): string {
  return place === null ? 'in the workshop' : `at ${place}`;
}

/** “12 in the workshop and 6 at Market box”. */
export function packsWords(places: readonly PacksThere[]): string {
  return listed(places.map(({ place, packs }) => `${packs} ${placeWords(place)}`));
}

/** “12 packed”, “3 sold, at Market box, for €21.00”, “6 moved from the workshop to Market box”, “3 not sold after all, …”. */
export function actWords({ entries, isBack }: Act, currency: string, locale: string): string {
  const [first, second] = entries;
  if (!first) return '';
  const { kind, change } = first;
  const packs = Math.abs(change);
  const what = isBack ? `not ${entryWord(kind)} after all` : entryWord(kind);
  if (kind === 'made') return `${packs} ${what}`;
  if (!second) {
    const paid =
      first.paid === undefined ? '' : `, for ${showMoney(minorUnitsOf(first.paid), currency, locale)}`;
    return `${packs} ${what}, ${placeWords(first.standsAt ?? null)}${paid}`;
  }
  const names = [first, second].map(({ standsAt = 'the workshop' }) => standsAt);
  return `${packs} ${what}, from ${names[0]} to ${names[1]}`;
}

function entryWord(kind: StockEntry['kind']): string {
  if (kind === 'made') return 'packed';
  return kind in GOODS_EDITS ? GOODS_EDITS[kind as GoodsEdit['kind']] : kind;
}

/** “12 packed, 5 sold; 7 in the workshop”. */
export function goodsInShort(entries: readonly StockEntry[]): string {
  const became = becameOf(entries).map(({ kind, packs }) => `${packs} ${entryWord(kind)}`);
  const places = packsByPlace(entries);
  const none = became.length === 0 ? 'not packed after all' : 'none left';
  return [became.join(', '), places.length === 0 ? none : packsWords(places)]
    .filter((text) => text !== '')
    .join('; ');
}

/** “12 packs sold for €84.00; 2 more sold, price not known.”, of several lots; empty where none was sold. */
export function takingsWords(lots: readonly Takings[], currency: string, locale: string): string {
  const sum = (figure: (each: Takings) => number) => lots.reduce((all, each) => all + figure(each), 0);
  const unpriced = sum((each) => each.unpriced);
  const priced = sum((each) => each.packs) - unpriced;
  const minor = sum((each) => each.minor);
  const money = `${minor < 0 ? '−' : ''}${showMoney(Math.abs(minor), currency, locale)}`;
  const told = [
    priced === 0 ? '' : `${counted(priced, 'pack', 'packs')} sold for ${money}`,
    unpriced === 0
      ? ''
      : `${priced === 0 ? counted(unpriced, 'pack', 'packs') : `${unpriced} more`} sold, price not known`,
  ].filter((text) => text !== '');
  return told.length === 0 ? '' : `${told.join('; ')}.`;
}

export function explainGoodsFault(fault: GoodsFault): string {
  switch (fault.code) {
    case 'fewer-there':
      return fault.packs === 0
        ? `None of them are ${placeWords(fault.place)}.`
        : `Only ${counted(fault.packs, 'pack is', 'packs are')} ${placeWords(fault.place)}.`;
    case 'fewer-gone':
      return fault.packs === 0
        ? 'None of them went out, so none can come back.'
        : `Only ${counted(fault.packs, 'pack', 'packs')} went out, and no more can come back.`;
    case 'came-back':
      return 'Some of them came back since. Take that back first.';
    case 'same-place':
      return 'They stand there already: choose another place to move them to.';
  }
}
