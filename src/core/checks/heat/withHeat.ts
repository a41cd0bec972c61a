import type { Grain } from '../../schedule/pourPlan';
import { bySeverity } from '../bySeverity';
import type { Finding } from '../finding';

/**
 * The findings of the sheet with those of the pour plan: where heat tells how far a grain moves, the sheet need not guess.
 */
export function withHeat(
  findings: readonly Finding[],
  heat: readonly Finding[],
  grains: readonly Pick<Grain, 'pourIndex' | 'doseIndex' | 'name'>[],
): Finding[] {
  const isTold = ({ code, pourIndex, doseIndexes, about }: Finding) =>
    code === 'solids-move' &&
    grains.some(
      (grain) =>
        grain.pourIndex === pourIndex && grain.doseIndex === (doseIndexes[0] ?? null) && grain.name === about,
    );
  return bySeverity([...findings.filter((finding) => !isTold(finding)), ...heat]);
}
