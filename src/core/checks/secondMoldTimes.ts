import { moldsFilled, secondShare } from '../molds/filled';
import type { Check } from './finding';
import { PLAIN } from './plain';

/** A cavity that holds so much more sets noticeably later. Our own assumption. */
const LATER = 1.25;

/** The times of a pour plan are those of its mold: pieces in the second set at their own pace. */
export const secondMoldTimes: Check = (sheet) => {
  const [first, second] = moldsFilled(sheet, sheet.fills);
  if (!first || !second) return [];
  return [
    {
      ...PLAIN,
      code: 'second-mold-times',
      severity: secondShare(sheet) > LATER ? 'caution' : 'note',
      pourIndex: null,
      about: second.name,
      first: first.name,
      holdsMl: second.capacityMl,
      firstHoldsMl: first.capacityMl,
    },
  ];
};
