import { defineMiddleware } from 'astro:middleware';
import { problemOf } from './server/endpoint';
import { pageOnce } from './server/keptPages';
import { Problem } from './server/problem';
import { runsReady } from './server/runsReady';
import { checkDevice, deviceOf } from './server/sharing';
import { isTrustedHost, isTrustedOrigin } from './server/trustedHosts.mjs';
import { workshop } from './server/workshop';

const OF_RUN = /^\/(?:api\/runs|bench|log|rack)\/([\w-]+)/;

/** Closed by default: only this machine's own pages are answered, and no other page may frame or sniff them. */
export const onRequest = defineMiddleware(async ({ request, url, locals, rewrite }, next) => {
  const host = request.headers.get('host');
  const device = deviceOf(request);
  // Where a device was let in its Host was looked at already.
  if (!device && !isTrustedHost(host))
    return refusal('foreign-host', 'Idle Tallow only answers at 127.0.0.1 and localhost.');
  if (
    !isTrustedOrigin(request.headers.get('origin'), host, device !== null) ||
    request.headers.get('sec-fetch-site') === 'cross-site'
  ) {
    return refusal('foreign-origin', 'This request comes from another site, and was refused.');
  }

  const isApi = url.pathname === '/api' || url.pathname.startsWith('/api/');
  let response: Response;
  try {
    if (device) checkDevice(device, request.method, url.pathname);
    const [, runId] = request.method === 'GET' ? (OF_RUN.exec(url.pathname) ?? []) : [];
    if (runId) await runsReady(workshop(), [runId]);
    response = isApi ? await next() : await pageOnce(request, next);
  } catch (error) {
    const problem = problemOf(error, request);
    locals.problem = problem;
    // An instrument reads no pages, nor that of its trouble.
    response = isApi || device?.may === 'send' ? problem.toResponse() : await rewrite('/trouble');
  }
  if (isApi && response.status >= 400 && !isProblem(response)) {
    response = new Problem(
      404,
      'no-such-endpoint',
      `Nothing answers ${request.method} ${url.pathname.slice(0, 100)}.`,
    ).toResponse();
  }
  return hardened(response);
});

function isProblem(response: Response): boolean {
  return response.headers.get('content-type') === 'application/problem+json';
}

function refusal(code: string, detail: string): Response {
  return hardened(new Problem(403, code, detail).toResponse());
}

function hardened(response: Response): Response {
  const { headers } = response;
  // A page holds the records of its moment: the way back to it must not show what was.
  if (headers.get('content-type')?.startsWith('text/html') && !headers.has('cache-control'))
    headers.set('cache-control', 'no-store');
  headers.set('x-content-type-options', 'nosniff');
  headers.set('x-frame-options', 'DENY');
  headers.set('referrer-policy', 'no-referrer');
  headers.set('cross-origin-opener-policy', 'same-origin');
  headers.set('cross-origin-resource-policy', 'same-origin');
  headers.set('permissions-policy', 'camera=(), microphone=(), geolocation=()');
  if (!headers.has('content-security-policy')) {
    headers.set('content-security-policy', "default-src 'none'; frame-ancestors 'none'");
  }
  return response;
}
