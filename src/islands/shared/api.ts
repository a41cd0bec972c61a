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
      ...(body === undefined
        ? {}
        : { body: JSON.stringify(body), headers: { 'content-type': 'application/json' } }),
      ...options,
    });
    const answer = await response.json();
    return response.ok ? { success: true, data: answer } : { success: false, error: answer };
  } catch {
    return { success: false, error: UNREACHABLE };
  }
}
