import { MINOR_DIGITS, moneyOf } from '../../core/units/money';
import { isObject } from './fields';

/** A lot of a material, its price a number, becomes one of a stock item, its price a decimal text. */
export function lotOfItem(record: unknown): unknown {
  if (!isObject(record)) return record;
  const { materialId, price, ...rest } = record;
  return {
    ...rest,
    item: { kind: 'material', id: materialId },
    price: typeof price === 'number' ? moneyOf(Math.round(price * 10 ** MINOR_DIGITS)) : price,
  };
}
