import type { Finding, Severity } from './finding';

const RANK: Record<Severity, number> = { stop: 0, caution: 1, note: 2 };

/** The gravest first; those of one severity stay in their order. */
export function bySeverity(findings: readonly Finding[]): Finding[] {
  return [...findings].sort((a, b) => RANK[a.severity] - RANK[b.severity]);
}
