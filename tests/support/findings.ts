import type { Finding, FindingCode, Found, FoundOf } from '../../src/core/checks/finding';

/** Those of one code, with its own fields. */
export function ofCode<Code extends FindingCode>(findings: readonly Finding[], code: Code) {
  return findings.filter((finding): finding is Extract<Finding, { code: Code }> => finding.code === code);
}

/** Those whose code begins so. */
export function ofCodes(findings: readonly Finding[], begins: string): Finding[] {
  return findings.filter(({ code }) => code.startsWith(begins));
}

/** Whether it is of one code; then it has that code's fields. */
export function isOf<Code extends FindingCode>(found: Found | undefined, code: Code): found is FoundOf<Code> {
  return found?.code === code;
}
