import type { LaidWhere } from '../../../core/plan/laid';
import { pourLetter } from '../../../core/plan/plan';

/** Where a dose lies, in a few words: “on the floor”, “on B, liquid”. */
export function laidWords(where: LaidWhere, pourIndex: number): string {
  const letter = pourLetter(pourIndex);
  switch (where) {
    case 'under':
      return pourIndex === 0 ? 'on the floor' : `under ${letter}, on what is poured`;
    case 'between-goes':
      return `between the goes of ${letter}`;
    case 'on-liquid':
      return `on ${letter} while it is liquid`;
    case 'on-skin':
      return `on the skin of ${letter}`;
  }
}
