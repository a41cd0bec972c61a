import { meltsOf } from '../work/loads';
import type { Check, Found } from './finding';

/** What a jug must hold is more than the largest jug of the workshop takes: several melts. */
export const jugTooSmall: Check = (sheet, { rules }) =>
  meltsOf(sheet, rules).flatMap(
    ({ letters, fillings, jugName, melt: { melts, cutG, contentMl } }): Found[] =>
      melts === 1
        ? []
        : [
            {
              code: 'jug-too-small',
              severity: 'caution',
              pourIndex: sheet.pours.findIndex(({ letter }) => letter === letters[0]),
              doseIndexes: [],
              about: jugName ?? '',
              letters,
              melts,
              cutG,
              wholeMl: contentMl * melts,
              fillings,
              assumed: false,
              fix: null,
            },
          ],
  );
