import assert from 'node:assert/strict';
import type { PlanFile } from '../../src/core/plan/plan';
import { send } from './server';

export interface Asked {
  /** Answers by their status. */
  counts: Map<number, number>;
  slowestMs: number;
}

const ADDRESSES = ['/api/sheet', '/api/pour-plan', '/api/plans/import'];

/**
 * Sends each plan file to the sheet, the pour plan and the import.
 *
 * @throws AssertionError for an answer that says it is our fault, with the place of its plan
 */
export async function askWithPlans(base: string, files: Iterable<PlanFile>): Promise<Asked> {
  const asked: Asked = { counts: new Map(), slowestMs: 0 };
  let index = 0;
  for (const file of files) {
    for (const address of ADDRESSES) {
      const began = performance.now();
      const { status, body } = await send(base, 'POST', address, file);
      asked.slowestMs = Math.max(asked.slowestMs, performance.now() - began);
      asked.counts.set(status, (asked.counts.get(status) ?? 0) + 1);
      assert.ok(status < 500, `plan ${index} at ${address}: ${status} ${JSON.stringify(body)}`);
    }
    index++;
  }
  return asked;
}

export function told({ counts, slowestMs }: Asked): string {
  return `slowest ${slowestMs.toFixed(0)} ms; ${[...counts].map(([status, times]) => `${status}: ${times}`).join(', ')}`;
}
