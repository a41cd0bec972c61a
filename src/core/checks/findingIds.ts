import type { Plan } from '../plan/plan';
import type { Finding } from './finding';

/**
 * An id for each finding that edits elsewhere in the plan keep: what was found, and the ids of the pour and the doses
 * that it was found about.
 */
export function findingIds(findings: readonly Finding[], { pours }: Pick<Plan, 'pours'>): string[] {
  const seen = new Map<string, number>();
  return findings.map(({ code, pourIndex, doseIndexes, about }) => {
    const pour = pourIndex === null ? undefined : pours[pourIndex];
    const doseIds = doseIndexes.map((index) => pour?.doses[index]?.id ?? '');
    const id = [code, pour?.id ?? '', doseIds.join('+'), about].join('/');
    const before = seen.get(id) ?? 0;
    seen.set(id, before + 1);
    return before === 0 ? id : `${id}/${before}`;
  });
}
