import { meltsOf } from '../plan/melts';
import { showMass, showVolume } from '../units/showQuantity';
import type { Check } from './finding';

/** What a jug must hold is more than the largest jug of the workshop takes: several melts. */
export const jugTooSmall: Check = {
  code: 'jug-too-small',

  run: (sheet, { rules }) =>
    meltsOf(sheet, rules).flatMap(({ letters, melts, eachG, contentMl, jugName }) =>
      melts === 1
        ? []
        : [
            {
              code: jugTooSmall.code,
              severity: 'caution' as const,
              pourIndex: sheet.pours.findIndex(({ letter }) => letter === letters[0]),
              doseIndexes: [],
              about: jugName ?? '',
              text: letters.join(', '),
              figures: { melts, eachG, contentMl },
              assumed: false,
              mend: null,
            },
          ],
    ),

  say: ({ about, text = '', figures: { melts = 2, eachG = 0, contentMl = 0 } }, showing) => ({
    title: `${text} takes ${melts} melts of ${showMass(eachG, showing)}`,
    reason: `${showVolume(contentMl, showing.locale)} does not go into ${about} with its headspace. Melt and pour one after the other, or use a larger jug; doses are shared out in the same way.`,
    mendLabel: null,
  }),
};
