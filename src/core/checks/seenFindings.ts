import type { Plan } from '../plan/plan';
import type { Finding } from './finding';

/** A finding that was accepted for this plan, with what it said then. */
export type Seen = NonNullable<Plan['seen']>[number];

/** Figures that differ by less say the same. */
const DIGITS = 3;

/**
 * What a finding says, in few letters: its figures to three digits, without what only tells where it stands. FNV-1a, 32
 * bits: Fowler, Noll, Vo, draft-eastlake-fnv.
 */
export function saidBy({ id: _, fix: __, pourIndex: ___, doseIndexes: ____, ...said }: Finding): string {
  const text = JSON.stringify(said, (_key, value) =>
    typeof value === 'number' ? Number(value.toPrecision(DIGITS)) : value,
  );
  let hash = 0x811c9dc5;
  for (const letter of text) hash = Math.imul(hash ^ (letter.codePointAt(0) ?? 0), 0x01000193);
  return (hash >>> 0).toString(36);
}

/** Whether a finding is accepted as it stands: it comes back when its figures change, and a stop is never accepted. */
export function isSeen(finding: Finding, seen: readonly Seen[] = []): boolean {
  if (finding.severity === 'stop') return false;
  const accepted = seen.find(({ id }) => id === finding.id);
  return accepted !== undefined && accepted.said === saidBy(finding);
}

/** The plan with findings accepted. */
export function withSeen(plan: Plan, findings: readonly Finding[]): Plan {
  const ids = new Set(findings.map(({ id }) => id));
  const kept = (plan.seen ?? []).filter(({ id }) => !ids.has(id));
  const added = findings
    .filter(({ severity }) => severity !== 'stop')
    .map((each) => ({ id: each.id, said: saidBy(each) }));
  return { ...plan, seen: [...kept, ...added].slice(-MOST_SEEN) };
}

/** The plan with nothing accepted. */
export function withoutSeen({ seen: _, ...plan }: Plan): Plan {
  return plan;
}

export const MOST_SEEN = 200;
