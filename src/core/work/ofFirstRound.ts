import type { Sheet } from '../plan/sheet';
import { type JugRules, meltsOfFilling } from './loads';
import { fillsOfRound } from './rounds';

/** The jugs of a round whose weights are so much of those in the first round. */
export interface OfFirstRound {
  /** Letters of the pours. */
  letters: string[];
  share: number;
}

const SAME = 1e-6;

/** What a round weighs of what the first one does: a single share, but where a jug melts the least in one of them. */
export function ofFirstRound(sheet: Sheet, round: number, rules: JugRules): OfFirstRound[] {
  const first = meltsOfFilling(sheet, fillsOfRound(sheet, 0), rules);
  const found: OfFirstRound[] = [];
  meltsOfFilling(sheet, fillsOfRound(sheet, round), rules).forEach(({ group, melts, ofAll }, index) => {
    const firstMelt = first[index];
    const ofFirst = firstMelt ? firstMelt.ofAll * firstMelt.melts : 0;
    const share = ofFirst > 0 ? (ofAll * melts) / ofFirst : 1;
    const letters = group.flatMap((each) => sheet.pours[each]?.letter ?? []);
    const same = found.find((each) => Math.abs(each.share - share) <= SAME);
    if (same) same.letters.push(...letters);
    else found.push({ letters, share });
  });
  return found;
}
