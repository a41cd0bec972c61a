import type { Difference } from '../../core/plan/differences';

/** What the server says went wrong; the shape of its problem details. */
export interface ApiProblem {
  status: number;
  code: string;
  detail: string;
  errors?: { path: string; reason: string }[];
  current?: unknown;
  revision?: number;
  differences?: Difference[];
  run?: unknown;
}

export type ApiAnswer<Body> = { success: true; data: Body } | { success: false; error: ApiProblem };

const UNREACHABLE: ApiProblem = {
  status: 0,
  code: 'unreachable',
  detail: 'Idle Tallow does not answer. Is it still running? What you typed is kept here.',
};

/** Bytes as they are, anything else as JSON. */
function sendable(body: unknown): RequestInit {
  if (body === undefined) return {};
  if (body instanceof Uint8Array)
    return { body: body as Uint8Array<ArrayBuffer>, headers: { 'content-type': 'application/octet-stream' } };
  return { body: JSON.stringify(body), headers: { 'content-type': 'application/json' } };
}

/** Asks the server, and answers its value or its problem. Never throws. */
export async function callApi<Body>(
  method: 'GET' | 'POST' | 'PUT' | 'DELETE',
  path: string,
  body?: unknown,
  options: { keepalive?: boolean; signal?: AbortSignal } = {},
): Promise<ApiAnswer<Body>> {
  try {
    const response = await fetch(path, {
      method,
      ...sendable(body),
      ...options,
    });
    const answer = await response.json();
    return response.ok ? { success: true, data: answer } : { success: false, error: answer };
  } catch {
    return { success: false, error: UNREACHABLE };
  }
}
