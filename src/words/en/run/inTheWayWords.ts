import type { Sheet } from '../../../core/plan/sheet';
import type { Hold } from '../../../core/run/holds';
import { pourLetters } from '../work/pourLetters';

/** A jug or a mold that another run has, and until when. */
export function inTheWayWords({ of, name, pourIndexes }: Hold, { planName, pours }: Sheet): string {
  if (of === 'mold') return `${name} holds ${planName} until it is unmolded.`;
  const letters = pours.length > 1 ? `${pourLetters(pourIndexes)} of ` : '';
  return `${name} holds ${letters}${planName} until it is poured.`;
}
