import { type ChildProcess, execFileSync, spawn } from 'node:child_process';
import { once } from 'node:events';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

/** A port that was free a moment ago. */
export async function freePort(): Promise<number> {
  const probe = createServer().listen(0, '127.0.0.1');
  await once(probe, 'listening');
  const address = probe.address();
  probe.close();
  await once(probe, 'close');
  if (address === null || typeof address === 'string') throw new Error('no port');
  return address.port;
}

export function temporaryFolder(): { path: string; remove(): void } {
  const path = mkdtempSync(join(tmpdir(), 'tallow-data-'));
  return {
    path,
    remove: () => rmSync(path, { recursive: true, force: true, maxRetries: 10, retryDelay: 100 }),
  };
}

export interface RunningServer {
  base: string;
  port: number;
  process: ChildProcess;
  /** Everything it has printed. */
  printed(): string;
  /** Ends it and waits; answers its exit code. */
  stop(signal?: NodeJS.Signals): Promise<number | null>;
}

/** The built server on a data folder, as `npm start` runs it, when it is ready. */
export async function startServer(
  data: string,
  words: string[] = [],
  onPort?: number,
  env: NodeJS.ProcessEnv = {},
): Promise<RunningServer> {
  const port = onPort ?? (await freePort());
  return listen(
    spawn(process.execPath, ['scripts/serve.mjs', '--data', data, '--port', String(port), ...words], {
      env: { ...process.env, ...env },
    }),
    port,
  );
}

/** The same with a clock that can be moved. */
export async function startServerWithClock(
  data: string,
): Promise<{ server: RunningServer; moveClock(byMs: number): Promise<void> }> {
  const clock = `${data}.clock`;
  const server = await startServer(data, [], undefined, {
    NODE_OPTIONS: `--import ${new URL('movedClock.mjs', import.meta.url)}`,
    CLOCK_FILE: clock,
  });
  let offMs = 0;
  return {
    server,
    async moveClock(byMs) {
      offMs += byMs;
      writeFileSync(clock, String(offMs));
      const nowMs = async (): Promise<number> => (await send(server.base, 'GET', '/api/rack/due')).body.nowMs;
      while (Math.abs((await nowMs()) - Date.now() - offMs) > 60_000)
        await new Promise((resolve) => setTimeout(resolve, 20));
    },
  };
}

/** Waits until a server process has printed its address. */
export async function listen(server: ChildProcess, port: number): Promise<RunningServer> {
  let printed = '';
  server.stdout?.setEncoding('utf8').on('data', (text) => {
    printed += text;
  });
  server.stderr?.setEncoding('utf8').on('data', (text) => {
    printed += text;
  });
  const base = `http://127.0.0.1:${port}`;
  while (!printed.includes(base)) {
    if (server.exitCode !== null) throw new Error(`the server ended with ${server.exitCode}: ${printed}`);
    await new Promise((resolve) => setTimeout(resolve, 50));
  }
  return {
    base,
    port,
    process: server,
    printed: () => printed,
    async stop(signal = 'SIGTERM') {
      if (server.exitCode !== null || server.signalCode !== null) return server.exitCode;
      const ended = once(server, 'exit');
      server.kill(signal);
      const [code] = await ended;
      return code as number | null;
    },
  };
}

/** A server that should not come up: its exit code and its words. */
export async function runToEnd(words: string[], env: NodeJS.ProcessEnv = process.env) {
  const child = spawn(process.execPath, ['scripts/serve.mjs', ...words], { env });
  let printed = '';
  child.stdout.setEncoding('utf8').on('data', (text) => {
    printed += text;
  });
  child.stderr.setEncoding('utf8').on('data', (text) => {
    printed += text;
  });
  const [code] = await once(child, 'close');
  return { code: code as number, printed: printed.trim() };
}

/** What a process takes of the memory. */
export function memoryMb({ pid }: ChildProcess): number {
  return Number(execFileSync('ps', ['-o', 'rss=', '-p', String(pid)], { encoding: 'utf8' })) / 1024;
}

export interface JsonAnswer {
  status: number;
  type: string;
  // biome-ignore lint/suspicious/noExplicitAny: an answer is what a client sees, before any schema
  body: any;
}

export async function send(base: string, method: string, path: string, body?: unknown): Promise<JsonAnswer> {
  return sendText(base, method, path, body === undefined ? undefined : JSON.stringify(body));
}

export async function sendText(
  base: string,
  method: string,
  path: string,
  text?: string,
): Promise<JsonAnswer> {
  const response = await fetch(base + path, {
    method,
    ...(text === undefined ? {} : { body: text, headers: { 'content-type': 'application/json' } }),
  });
  const answer = await response.text();
  return {
    status: response.status,
    type: response.headers.get('content-type') ?? '',
    body: answer === '' ? null : JSON.parse(answer),
  };
}
