import { createServer } from 'node:http';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { setFlagsFromString } from 'node:v8';
import compression from 'compression';
import sirv from 'sirv';
import { renderUnicodeCompact } from 'uqr';
import { readSharing } from '../src/db/devices.mjs';
import { isTrustedHost } from '../src/server/trustedHosts.mjs';
import { awayPage, sendPlain } from './plainPages.mjs';
import { projectFolder, stopWith } from './setup.mjs';
import { makeSharing } from './share.mjs';

/** How long a stop waits for requests that are being answered. */
const STOP_WITHIN_MS = 5000;
const KEPT_ALIVE_MS = 75_000;
/** What the service worker shows where nothing answers. */
const AWAY = '/away.html';
/** Its answers go on for as long as somebody listens. */
const LISTENED_TO = '/api/changes';
const METHODS = ['GET', 'HEAD', 'POST', 'PUT', 'DELETE', 'OPTIONS'];
/** Left alone, V8 lets the memory of a busy server grow for a quarter of an hour, to some four times what lives in it. */
const COLLECTED_EARLY = '--heap-growing-percent=75';
/** Beyond it a page takes longer to compress than it saves, on the same machine. */
const PAGE_LEVEL = 4;
/** What changes gets another name. */
const FOR_EVER = 'public, max-age=31536000, immutable';

/**
 * Serves the built application on 127.0.0.1 until SIGTERM, SIGINT or SIGHUP.
 *
 * @param {{ port: number, data: string, share: boolean, shareAt: string[] | null, tls: { cert: string, key: string } | null }} options
 * @param {string} built the folder it was built into
 */
export async function serve({ port, data, share, shareAt, tls }, built = join(projectFolder, 'dist')) {
  process.env.NODE_ENV = 'production';
  setFlagsFromString(COLLECTED_EARLY);
  const { handler } = await import(pathToFileURL(join(built, 'server', 'entry.mjs')).href);

  // Its types know it as a part of a framework; it asks for nothing but Node's own request and response.
  const compressed = /** @type {(...parts: [unknown, unknown, () => void]) => void} */ (
    compression({ level: PAGE_LEVEL })
  );
  const files = sirv(join(built, 'client'), {
    gzip: true,
    brotli: true,
    etag: true,
    setHeaders: (response, path) =>
      response.setHeader('cache-control', path.startsWith('/_astro/') ? FOR_EVER : 'no-cache'),
  });

  /** @type {Set<import('node:http').ServerResponse>} */
  const listening = new Set();
  // Static files pass by the middleware, so what holds for every answer is set here.
  /**
   * @param {import('node:http').IncomingMessage} request
   * @param {import('node:http').ServerResponse} response
   */
  const serveAll = (request, response) => {
    // What is listened to has no end of its own.
    if (request.url === LISTENED_TO) {
      listening.add(response);
      response.once('close', () => listening.delete(response));
    }
    response.setHeader('x-content-type-options', 'nosniff');
    response.setHeader('referrer-policy', 'no-referrer');
    if (!METHODS.includes(request.method ?? '')) {
      response.setHeader('allow', METHODS.join(', '));
      return refuse(request, response, 405, 'method', `Nothing here answers ${request.method}.`);
    }
    response.once('pipe', (file) => file.once('error', (error) => endWithout(response, error)));
    if (request.url === AWAY) return sendPlain(response, 200, awayPage());
    // An address that can't be read is of nothing; the page and the endpoint that say so are ours.
    if (!canBeRead(request.url ?? '/'))
      request.url = request.url?.startsWith('/api/') ? '/api/no-such-address' : '/404';
    compressed(request, response, () => files(request, response, () => handler(request, response)));
  };
  const server = createServer((request, response) => {
    // Only who was let in says so, and that is not said by the request.
    delete request.headers['x-tallow-device'];
    if (!isTrustedHost(request.headers.host))
      return refuse(
        request,
        response,
        403,
        'foreign-host',
        'Idle Tallow only answers at 127.0.0.1 and localhost.',
      );
    return serveAll(request, response);
  });
  const sharing = makeSharing({
    folder: data,
    port,
    at: shareAt,
    tls,
    serve: serveAll,
  });

  // A connection that is kept and closed at the moment it is used again is a request that fails.
  server.keepAliveTimeout = KEPT_ALIVE_MS;

  await new Promise((resolve, reject) => {
    server.once('error', (error) => reject(new Error(whyNotListening(error, port))));
    server.listen(port, '127.0.0.1', () => resolve(undefined));
  });

  stopOnSignal(server, () => {
    for (const response of listening) response.end();
    sharing.stop();
  });
  const address = `http://127.0.0.1:${port}`;
  const health = await fetch(`${address}/api/health`);
  if (!health.ok) stopWith((await health.json()).detail);
  if (share || readSharing(data).isOn) await startSharing(sharing, share);
  console.log(`Idle Tallow is at ${address}  (Ctrl-C stops it)`);
}

/**
 * Serves the local network, too, and prints a link that lets one device in. What was only switched on in the page does not
 * keep the workshop from being opened where there is no network.
 *
 * @param {ReturnType<typeof makeSharing>} sharing
 * @param {boolean} isAsked by the command
 */
async function startSharing(sharing, isAsked) {
  try {
    await sharing.start();
  } catch (error) {
    const why = `The local network can't be served: ${error instanceof Error ? error.message : error}.`;
    if (isAsked) stopWith(why);
    console.error(why);
    return;
  }
  console.log(
    `Devices of this network reach it at ${sharing.addresses().join(' and ')}, once they are let in.`,
  );
  if (!isAsked) return;
  const { url } = sharing.invite();
  console.log(`This lets one in, once, for ten minutes: ${url}\n${renderUnicodeCompact(url)}`);
}

/**
 * @param {import('node:http').IncomingMessage} request
 * @param {import('node:http').ServerResponse} response
 * @param {number} status
 * @param {string} code for machines
 * @param {string} detail one sentence
 */
function refuse({ url }, response, status, code, detail) {
  if (!url?.startsWith('/api/'))
    return response.writeHead(status, { 'content-type': 'text/plain; charset=utf-8' }).end(detail);
  // RFC 9457, as every other error of an endpoint.
  const problem = { type: `urn:idle-tallow:problem:${code}`, title: 'Refused', status, code, detail };
  return response
    .writeHead(status, { 'content-type': 'application/problem+json' })
    .end(JSON.stringify(problem));
}

/**
 * Ends an answer whose file went away once its head was sent. What streams files hears no error of theirs, and one that
 * nobody hears ends the process.
 *
 * @param {import('node:http').ServerResponse} response
 * @param {Error} error
 */
function endWithout(response, error) {
  console.error(`A file of the application can't be read: ${error.message}. Start Idle Tallow again.`);
  response.destroy();
}

/** @param {string} address */
function canBeRead(address) {
  try {
    decodeURI(address);
    // No path of ours has a percent sign, and the framework takes none.
    return !/^[^?]*%25/.test(address);
  } catch {
    return false;
  }
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
 * @param {() => void} endStreams
 */
function stopOnSignal(server, endStreams) {
  let stopping = false;
  const stop = () => {
    if (stopping) return;
    stopping = true;
    endStreams();
    server.close(() => process.exit(0));
    // A connection that was busy a moment ago is kept alive for its next request: there will be none.
    setInterval(() => server.closeIdleConnections(), 50);
    setTimeout(() => process.exit(0), STOP_WITHIN_MS).unref();
  };
  for (const signal of ['SIGTERM', 'SIGINT', 'SIGHUP']) process.on(signal, stop);
  // Whoever may send it could look into the running process: there is no debugger here.
  process.on('SIGUSR1', () => {});
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
