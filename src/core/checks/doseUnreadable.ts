import { explainQuantityFault, parseQuantity } from '../units/parseQuantity';
import type { Check } from './finding';

/** A dose whose text can't be read, so it is in no figure of the sheet. */
export const doseUnreadable: Check = {
  code: 'dose-unreadable',

  run: (sheet) =>
    sheet.pours.flatMap((pour, pourIndex) =>
      pour.unreadable
        .filter(({ why }) => why === 'text')
        .map(({ doseIndex, material, text }) => ({
          code: doseUnreadable.code,
          severity: 'stop',
          pourIndex,
          doseIndexes: [doseIndex],
          about: material.name,
          text,
          figures: {},
          assumed: false,
          mend: null,
        })),
    ),

  say({ about, text = '' }) {
    const parsed = parseQuantity(text);
    return {
      title: `${about}: dose can’t be read`,
      reason: parsed.success
        ? 'It is not in any weight yet.'
        : `${explainQuantityFault(parsed.error)} Until then it is in no weight.`,
      mendLabel: null,
    };
  },
};
