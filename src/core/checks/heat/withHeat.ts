import { bySeverity } from '../bySeverity';
import type { Finding } from '../finding';

/**
 * The findings of the sheet with those of the pour plan: where heat tells how far a grain moves, the sheet need not guess.
 */
export function withHeat(
  findings: readonly Finding[],
  heat: readonly Finding[],
  grains: readonly { pourIndex: number; doseIndex: number }[],
): Finding[] {
  const isTold = ({ code, pourIndex, doseIndexes }: Finding) =>
    code === 'solids-move' &&
    grains.some((grain) => grain.pourIndex === pourIndex && doseIndexes.includes(grain.doseIndex));
  return bySeverity([...findings.filter((finding) => !isTold(finding)), ...heat]);
}
