import type { Plan } from '../plan/plan';
import type { Finding } from './finding';
import { foldFindings, type Told } from './foldFindings';
import { isSeen } from './seenFindings';

/** How many findings of a plan are open, as they are told: several of a kind on one line are one. */
export interface OpenCounts {
  stops: number;
  cautions: number;
}

/** Counts what is told about a plan and was not accepted for it. */
export function countOpen(findings: readonly Finding[], { seen }: Pick<Plan, 'seen'>): OpenCounts {
  const told = foldFindings(findings.filter((finding) => !isSeen(finding, seen)));
  const isOne = (each: Told, severity: Finding['severity']) =>
    each.kind === 'one' && each.finding.severity === severity;
  return {
    stops: told.filter((each) => isOne(each, 'stop')).length,
    cautions: told.filter((each) => isOne(each, 'caution') || each.kind === 'unknown').length,
  };
}
