import { randomUUID } from 'node:crypto';
import { createServer as createPlain } from 'node:http';
import { createServer as createSecure } from 'node:https';
import { isIPv6 } from 'node:net';
import { networkInterfaces } from 'node:os';
import { hashOf, isSecretOf, newSecret, readSharing, writeSharing } from '../src/db/devices.mjs';
import { letInPage, refusalPage, sendPlain } from './plainPages.mjs';

/** How long a code can be used, once. */
const CODE_LASTS_MS = 10 * 60_000;
const COOKIE = 'tallow-device';
const COOKIE_LASTS_S = 400 * 86_400;
/** Wrong secrets from one address within a minute, after which it is not listened to for the rest of it. */
const MOST_ATTEMPTS = 10;
const ATTEMPTS_WITHIN_MS = 60_000;
const LONGEST_NAME = 60;
const LARGEST_FORM = 4000;

/** Under which the application finds this in its own process: see src/server/sharing.ts. */
const KEY = Symbol.for('tallow.sharing');

/**
 * Serves the workshop to devices of the local network that were let in.
 *
 * @param {object} options
 * @param {string} options.folder of the workshop
 * @param {number} options.port
 * @param {string[] | null} options.at addresses to serve at; null for all of this machine's own
 * @param {{ cert: string, key: string } | null} options.tls
 * @param {(request: import('node:http').IncomingMessage, response: import('node:http').ServerResponse) => void} options.serve
 */
export function makeSharing({ folder, port, at, tls, serve }) {
  /** @type {import('node:http').Server[]} */
  let servers = [];
  const codes = oneTimeCodes();
  const attempts = attemptsByAddress();

  const scheme = tls ? 'https' : 'http';
  const hosts = () => addresses(at).map((address) => `${isIPv6(address) ? `[${address}]` : address}:${port}`);

  /**
   * @param {import('node:http').IncomingMessage} request
   * @param {import('node:http').ServerResponse} response
   */
  async function answer(request, response) {
    const from = request.socket.remoteAddress ?? '';
    const { host } = request.headers;
    // With no-referrer a form would be sent from the origin “null”.
    response.setHeader('referrer-policy', 'same-origin');
    response.setHeader('x-frame-options', 'DENY');
    // A page of another site whose name was made to point here has another host.
    if (!host || !hosts().includes(host.toLowerCase()) || attempts.isTired(from)) return refuse(response);
    const device = deviceOf(request);
    if (device) {
      request.headers['x-tallow-device'] = `${device.id} ${device.may}`;
      return serve(request, response);
    }
    const url = new URL(request.url ?? '/', `${scheme}://${host}`);
    if (url.pathname !== '/let-in') {
      if (request.headers.cookie?.includes(COOKIE) || request.headers.authorization) attempts.count(from);
      return refuse(response);
    }
    const isSent = request.method === 'POST';
    if (isSent && request.headers.origin !== undefined && request.headers.origin !== `${scheme}://${host}`)
      return refuse(response);
    const given = isSent ? new URLSearchParams(await bodyOf(request)) : url.searchParams;
    const code = given.get('code') ?? '';
    if (!codes.isGood(code)) {
      attempts.count(from);
      return refuse(response);
    }
    const name = (given.get('name') ?? '').trim().slice(0, LONGEST_NAME);
    if (!isSent || name === '') return sendPlain(response, 200, letInPage(code));
    codes.use(code);
    const secret = newSecret();
    const sharing = readSharing(folder);
    const added = {
      id: randomUUID(),
      name,
      secretHash: hashOf(secret),
      may: /** @type {const} */ ('bench'),
      letInAt: new Date().toISOString(),
    };
    writeSharing(folder, { ...sharing, devices: [...sharing.devices, added] });
    response.writeHead(303, {
      location: '/bench',
      'set-cookie': `${COOKIE}=${added.id}.${secret}; HttpOnly; SameSite=Strict; Path=/; Max-Age=${COOKIE_LASTS_S}${tls ? '; Secure' : ''}`,
    });
    response.end();
  }

  /** @param {import('node:http').IncomingMessage} request */
  function deviceOf({ headers }) {
    // A tablet has a cookie; an instrument says its secret with what it sends.
    const given =
      /(?:^|;\s*)tallow-device=([0-9a-f-]{36})\.([\w-]{32})(?:;|$)/.exec(headers.cookie ?? '') ??
      /^Bearer ([0-9a-f-]{36})\.([\w-]{32})$/.exec(headers.authorization ?? '');
    const [, id, secret = ''] = given ?? [];
    const device = readSharing(folder).devices.find((each) => each.id === id);
    return device && isSecretOf(secret, device.secretHash) ? device : null;
  }

  const sharing = {
    isOn: () => servers.length > 0,
    /** Where it can be reached. */
    addresses: () => hosts().map((host) => `${scheme}://${host}`),
    isSecure: tls !== null,
    /** A link that lets one device in, once. Throws where nothing is served to the network. */
    invite() {
      const [address] = sharing.addresses();
      if (!sharing.isOn() || !address) throw new Error('nothing is served to the network');
      const { code, until } = codes.make();
      return { url: `${address}/let-in?code=${code}`, until: new Date(until).toISOString() };
    },
    /** Begins to serve; throws an Error in words where none of the addresses can be had. */
    async start() {
      if (sharing.isOn()) return;
      const listening = await Promise.all(
        addresses(at).map(async (address) => {
          const handle = (/** @type {any} */ request, /** @type {any} */ response) =>
            void answer(request, response).catch(() => refuse(response));
          const server = tls ? createSecure(tls, handle) : createPlain(handle);
          await new Promise((resolve, reject) => {
            server.once('error', reject);
            server.listen(port, address, () => resolve(undefined));
          });
          return /** @type {import('node:http').Server} */ (server);
        }),
      );
      if (listening.length === 0) throw new Error('this machine is in no network');
      servers = listening;
    },
    /** Ends what is going on with devices; who is still let in comes back by itself. */
    dropAll() {
      for (const server of servers) server.closeAllConnections();
    },
    stop() {
      for (const server of servers) server.close();
      sharing.dropAll();
      servers = [];
      codes.forget();
    },
  };
  Object.assign(globalThis, { [KEY]: sharing });
  return sharing;
}

/** Codes that let one device in each, kept as their hashes, and only for as long as they can be used. */
function oneTimeCodes() {
  /** @type {Map<string, number>} with when it ends */
  const known = new Map();
  return {
    make() {
      const code = newSecret();
      const until = Date.now() + CODE_LASTS_MS;
      known.set(hashOf(code), until);
      return { code, until };
    },
    /** @param {string} code */
    isGood: (code) => (known.get(hashOf(code)) ?? 0) > Date.now(),
    /** @param {string} code */
    use: (code) => known.delete(hashOf(code)),
    forget: () => known.clear(),
  };
}

/** Wrong secrets by the address they come from. */
function attemptsByAddress() {
  /** @type {Map<string, { count: number, until: number }>} */
  const known = new Map();
  return {
    /** @param {string} from */
    isTired(from) {
      const attempts = known.get(from);
      return attempts !== undefined && attempts.until > Date.now() && attempts.count >= MOST_ATTEMPTS;
    },
    /** @param {string} from */
    count(from) {
      const now = Date.now();
      for (const [address, { until }] of known) if (until <= now) known.delete(address);
      const { count, until } = known.get(from) ?? { count: 0, until: now + ATTEMPTS_WITHIN_MS };
      known.set(from, { count: count + 1, until });
    },
  };
}

/** @param {string[] | null} given */
function addresses(given) {
  if (given) return given;
  return Object.values(networkInterfaces())
    .flatMap((each) => each ?? [])
    .filter(({ internal, family }) => !internal && family === 'IPv4')
    .map(({ address }) => address);
}

/** @param {import('node:http').IncomingMessage} request */
async function bodyOf(request) {
  let text = '';
  for await (const piece of request) {
    text += piece;
    if (text.length > LARGEST_FORM) throw new Error('too long');
  }
  return text;
}

/** One plain answer for whoever was not let in: it says nothing of what is here. @param {import('node:http').ServerResponse} response */
function refuse(response) {
  if (response.headersSent) return void response.end();
  sendPlain(response, 403, refusalPage());
}
