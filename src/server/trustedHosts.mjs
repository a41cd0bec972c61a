// Plain JavaScript: the process that serves the static files reads it too, before anything is built.

const TRUSTED_NAMES = new Set(['127.0.0.1', 'localhost', '[::1]']);

/**
 * Whether a Host header names this machine. A page on another site that rebinds its name to 127.0.0.1 fails here.
 *
 * @param {string | null | undefined} host
 */
export function isTrustedHost(host) {
  if (!host) return false;
  return TRUSTED_NAMES.has(host.replace(/:\d+$/, '').toLowerCase());
}

/**
 * Whether a request's Origin is the page it is sent to: same host and port. A client without a browser sends none.
 *
 * @param {string | null | undefined} origin
 * @param {string | null | undefined} host
 * @param {boolean} [mayBeSecure] where it may have come by a certificate
 */
export function isTrustedOrigin(origin, host, mayBeSecure = false) {
  if (origin === null || origin === undefined) return true;
  return origin === `http://${host}` || (mayBeSecure && origin === `https://${host}`);
}
