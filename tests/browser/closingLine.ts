import type { Reporter, TestCase, TestResult } from '@playwright/test/reporter';

/** Says at the end, on a line of its own, how many tests ran. */
export default class ClosingLine implements Reporter {
  private readonly last = new Map<string, TestResult['status']>();

  onTestEnd(test: TestCase, result: TestResult) {
    this.last.set(test.id, result.status);
  }

  onEnd() {
    const all = [...this.last.values()];
    const count = (...statuses: TestResult['status'][]) =>
      all.filter((status) => statuses.includes(status)).length;
    console.log(
      `browser: ${count('passed')} passed, ${count('failed', 'timedOut', 'interrupted')} failed, ${count('skipped')} skipped`,
    );
  }
}
