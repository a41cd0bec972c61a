import { showMass, showVolume } from '../units/showQuantity';
import { meltsOf } from '../work/loads';
import type { Check } from './finding';

/** What a jug must hold is more than the largest jug of the workshop takes: several melts. */
export const jugTooSmall: Check = {
  code: 'jug-too-small',

  run: (sheet, { rules }) =>
    meltsOf(sheet, rules).flatMap(({ letters, fillings, jugName, melt: { melts, cutG, contentMl } }) =>
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
              figures: { melts, cutG, wholeMl: contentMl * melts, fillings },
              assumed: false,
              mend: null,
            },
          ],
    ),

  say: ({ about, text = '', figures: { melts = 2, cutG = 0, wholeMl = 0, fillings = 1 } }, showing) => ({
    title: `${text} takes ${melts} melts of ${showMass(cutG, showing)}${fillings > 1 ? ' for each filling' : ''}`,
    reason: `${showVolume(wholeMl, showing.locale)} does not go into ${about} with its headspace. Melt and pour one after the other, or use a larger jug; doses are shared out in the same way.`,
    mendLabel: null,
  }),
};
