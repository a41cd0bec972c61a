import assert from 'node:assert/strict';
import test from 'node:test';
import fc from 'fast-check';
import { anyPlanFile } from '../support/anyPlanFile';
import { send, startServer, temporaryFolder } from '../support/server';

const PLANS = 120;
const MOST_POURS = 9;

test('random plans to the sheet, the pour plan and the import: an answer for each, never our fault, and every page opens with them', async (t) => {
  const { path, remove } = temporaryFolder();
  const server = await startServer(path);
  t.after(async () => {
    await server.stop();
    remove();
  });
  let slowest = 0;
  const counts = new Map<number, number>();
  const seed = 20261128;
  for (const [index, file] of fc.sample(anyPlanFile(MOST_POURS), { numRuns: PLANS, seed }).entries())
    for (const address of ['/api/sheet', '/api/pour-plan', '/api/plans/import']) {
      const began = performance.now();
      const { status, body } = await send(server.base, 'POST', address, file);
      slowest = Math.max(slowest, performance.now() - began);
      counts.set(status, (counts.get(status) ?? 0) + 1);
      assert.ok(
        status < 500,
        `plan ${index} of seed ${seed} at ${address}: ${status} ${JSON.stringify(body)}`,
      );
    }
  t.diagnostic(
    `slowest ${slowest.toFixed(0)} ms; ${[...counts].map(([status, times]) => `${status}: ${times}`)}`,
  );
  for (const page of ['/', '/plans', '/plans?page=3', '/molds', '/shelf', '/plans/buy'])
    assert.equal((await fetch(server.base + page)).status, 200, page);
});
