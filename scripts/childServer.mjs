import { spawn } from 'node:child_process';
import { once } from 'node:events';
import { mkdtempSync, rmSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { projectFolder } from './setup.mjs';

/**
 * The application on a folder of its own, for a script that looks at it.
 *
 * @param {string[]} words
 */
export async function startChild(words) {
  const probe = createServer().listen(0, '127.0.0.1');
  await once(probe, 'listening');
  const address = probe.address();
  const port = typeof address === 'object' && address ? address.port : 0;
  probe.close();
  await once(probe, 'close');

  const data = mkdtempSync(join(tmpdir(), 'tallow-script-'));
  const base = `http://127.0.0.1:${port}`;
  const began = performance.now();
  const child = spawn(
    process.execPath,
    ['scripts/serve.mjs', '--port', String(port), '--data', data, ...words],
    {
      cwd: projectFolder,
      stdio: ['ignore', 'ignore', 'inherit'],
    },
  );
  while (
    !(await fetch(`${base}/api/health`).then(
      ({ ok }) => ok,
      () => false,
    ))
  ) {
    if (child.exitCode !== null) throw new Error(`the server ended with ${child.exitCode}`);
    await new Promise((resolve) => setTimeout(resolve, 20));
  }
  const startedInMs = performance.now() - began;
  return {
    base,
    startedInMs,
    async stop() {
      const ended = once(child, 'exit');
      child.kill('SIGTERM');
      await ended;
      rmSync(data, { recursive: true, force: true });
    },
  };
}
