import type { Finding, Severity } from '../../core/checks/finding';

/** The gravest thing that is found about a dose; the findings come gravest first. */
export function doseSeverity(
  findings: readonly Finding[],
  pourIndex: number,
  doseIndex: number,
): Severity | null {
  return (
    findings.find((finding) => finding.pourIndex === pourIndex && finding.doseIndexes.includes(doseIndex))
      ?.severity ?? null
  );
}

export const SEVERITY_BORDER: Record<Severity, string> = {
  stop: 'border-error border-2',
  caution: 'border-warning border-2',
  note: '',
};
