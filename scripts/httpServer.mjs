import { createServer } from 'node:http';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { isTrustedHost } from '../src/server/trustedHosts.mjs';
import { projectFolder, stopWith } from './setup.mjs';

/** How long a stop waits for requests that are being answered. */
const STOP_WITHIN_MS = 5000;
const KEPT_ALIVE_MS = 75_000;

/**
 * Serves the built application on 127.0.0.1 until SIGTERM or SIGINT.
 *
 * @param {{ port: number }} options
 */
export async function serve({ port }) {
  process.env.ASTRO_NODE_AUTOSTART = 'disabled';
  process.env.NODE_ENV = 'production';
  const { handler } = await import(pathToFileURL(join(projectFolder, 'dist', 'server', 'entry.mjs')).href);

  // Static files pass by the middleware, so what holds for every answer is set here.
  const server = createServer((request, response) => {
    response.setHeader('x-content-type-options', 'nosniff');
    response.setHeader('referrer-policy', 'no-referrer');
    if (!isTrustedHost(request.headers.host)) {
      response
        .writeHead(403, { 'content-type': 'text/plain' })
        .end('Idle Tallow only answers at 127.0.0.1 and localhost.');
      return;
    }
    handler(request, response);
  });

  // A connection that is kept and closed at the moment it is used again is a request that fails.
  server.keepAliveTimeout = KEPT_ALIVE_MS;

  await new Promise((resolve, reject) => {
    server.once('error', (error) => reject(new Error(whyNotListening(error, port))));
    server.listen(port, '127.0.0.1', () => resolve(undefined));
  });

  stopOnSignal(server);
  const address = `http://127.0.0.1:${port}`;
  const health = await fetch(`${address}/api/health`);
  if (!health.ok) stopWith((await health.json()).detail);
  console.log(`Idle Tallow is at ${address}  (Ctrl-C stops it)`);
}

/**
 * @param {NodeJS.ErrnoException} error
 * @param {number} port
 */
function whyNotListening(error, port) {
  if (error.code === 'EADDRINUSE') {
    return `Port ${port} is taken, perhaps by Idle Tallow in another window. Choose another with --port ${port + 1}.`;
  }
  if (error.code === 'EACCES')
    return `Port ${port} needs rights that this account lacks. Choose one above 1023 with --port.`;
  return `Port ${port} can't be opened: ${error.message}`;
}

/**
 * A clean stop: no new requests, those that run are finished, the database closes as the process ends.
 *
 * @param {import('node:http').Server} server
 */
function stopOnSignal(server) {
  let stopping = false;
  const stop = () => {
    if (stopping) return;
    stopping = true;
    server.close(() => process.exit(0));
    // A connection that was busy a moment ago is kept alive for its next request: there will be none.
    setInterval(() => server.closeIdleConnections(), 50);
    setTimeout(() => process.exit(0), STOP_WITHIN_MS).unref();
  };
  process.on('SIGTERM', stop);
  process.on('SIGINT', stop);
  if (process.env.npm_lifecycle_event) stopWithParent(stop);
}

const LOOK_AT_PARENT_MS = 250;

/**
 * npm runs a script through a shell, and a SIGTERM to npm ends that shell without reaching its child: the server
 * then finds itself with another parent.
 *
 * @param {() => void} stop
 */
function stopWithParent(stop) {
  const parent = process.ppid;
  setInterval(() => {
    if (process.ppid !== parent) stop();
  }, LOOK_AT_PARENT_MS).unref();
}
