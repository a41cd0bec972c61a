import { pourLetter } from '../../../core/plan/plan';

/** Pours by their letters: “A”, “A and B”, “A to D”. */
export function pourLetters(pourIndexes: readonly number[]): string {
  const letters = pourIndexes.map(pourLetter);
  return letters.length > 2 ? `${letters[0]} to ${letters.at(-1)}` : letters.join(' and ');
}
