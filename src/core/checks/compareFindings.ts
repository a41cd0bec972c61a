import type { Finding } from './finding';

/** How the findings of a plan change with the plan. */
export interface FindingChanges {
  gone: Finding[];
  came: Finding[];
  /** The same fault with other figures or another severity. */
  changed: { before: Finding; after: Finding }[];
}

/** Findings are the same fault when they are of one check, in one pour, about the same doses. */
function keyOf(finding: Finding, place: number): string {
  const { code, pourIndex, doseIndexes, materialId } = finding;
  const fault = 'fault' in finding ? finding.fault : '';
  // Of the whole plan, what it is about tells one from another.
  return [code, fault, pourIndex, doseIndexes, pourIndex === null ? materialId : '', place].join('|');
}

function keyed(findings: readonly Finding[]): Map<string, Finding> {
  const byKey = new Map<string, Finding>();
  for (const finding of findings) {
    let place = 0;
    while (byKey.has(keyOf(finding, place))) place++;
    byKey.set(keyOf(finding, place), finding);
  }
  return byKey;
}

export function compareFindings(before: readonly Finding[], after: readonly Finding[]): FindingChanges {
  const [was, is] = [keyed(before), keyed(after)];
  const both = [...was].flatMap(([key, one]) => {
    const other = is.get(key);
    return other ? [{ before: one, after: other }] : [];
  });
  return {
    gone: [...was].filter(([key]) => !is.has(key)).map(([, finding]) => finding),
    came: [...is].filter(([key]) => !was.has(key)).map(([, finding]) => finding),
    changed: both.filter(({ before: one, after: other }) => told(one) !== told(other)),
  };
}

/** What it says, without what only tells where it stands. */
function told({ id: _, materialId: __, fix: ___, ...said }: Finding): string {
  return JSON.stringify(said);
}
