import type { Sheet, SheetPour } from '../plan/sheet';
import { additionsOverCap } from './additionsOverCap';
import type { PassedLimit } from './capCheck';
import { fragranceOverCap } from './fragranceOverCap';
import { liquidsOverCap } from './liquidsOverCap';
import { oilsOverCap } from './oilsOverCap';
import { passedSupplierLimits } from './overSupplierLimit';

/** Every limit that one pour passes, with what is counted to it: the caps of its base, and its suppliers' limits. */
export function capFindings(sheet: Sheet, pour: SheetPour, pourIndex: number): PassedLimit[] {
  return [
    ...[fragranceOverCap, oilsOverCap, liquidsOverCap, additionsOverCap].flatMap(({ passed }) =>
      passed(pour, pourIndex),
    ),
    ...passedSupplierLimits(sheet, pour, pourIndex),
  ];
}
