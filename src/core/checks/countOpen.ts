import type { Plan } from '../plan/plan';
import type { Finding } from './finding';
import { isSeen } from './seenFindings';

/** How many findings of a plan are open. */
export interface OpenCounts {
  stops: number;
  cautions: number;
}

/** Counts what was found about a plan and not accepted for it. */
export function countOpen(findings: readonly Finding[], { seen }: Pick<Plan, 'seen'>): OpenCounts {
  const open = findings.filter((finding) => !isSeen(finding, seen));
  const count = (severity: Finding['severity']) => open.filter((each) => each.severity === severity).length;
  return { stops: count('stop'), cautions: count('caution') };
}
