import type { APIContext, APIRoute } from 'astro';
import { leaveRoom } from './bodyRoom';
import { knownProblem } from './knownProblem';
import { logProblem } from './logLine';
import { Problem } from './problem';
import { waitOnceRead } from './readJson';
import { whenFree } from './whenFree';
import { workshop } from './workshop';

/** What an endpoint answers: a value to be sent as JSON, or JSON as it is, with another status than 200 where it says so. */
export type Answer = ({ body: unknown } | { json: string }) & {
  status?: number;
  headers?: Record<string, string>;
};

const READS: ReadonlySet<string> = new Set(['GET', 'HEAD']);

/** Wraps an endpoint's work: its value as JSON, its problem as problem details, anything else as a plain 500. */
export function endpoint(work: (context: APIContext) => Answer | Promise<Answer>): APIRoute {
  return async (context) => {
    try {
      const { request } = context;
      if (!READS.has(request.method)) {
        const free = () => whenFree(workshop().db);
        await free();
        // A thread or another program may have begun to write while the body came in.
        waitOnceRead(request, free);
      }
      const { status = 200, headers, ...what } = await work(context);
      return new Response('json' in what ? what.json : JSON.stringify(what.body), {
        status,
        headers: { 'content-type': 'application/json', 'cache-control': 'no-store', ...headers },
      });
    } catch (error) {
      return problemOf(error, context.request).toResponse();
    } finally {
      leaveRoom(context.request);
    }
  };
}

/** The problem an error stands for. What is not ours to explain stands in the log, and is told by its number there. */
export function problemOf(error: unknown, request?: Request): Problem {
  const known = knownProblem(error);
  if (known) return known;
  const what = request ? `${request.method} ${new URL(request.url).pathname}` : 'request';
  const number = logProblem(error, what);
  return new Problem(
    500,
    'internal',
    `Something went wrong on our side. What was saved before is safe. Try again; if it stays like this, problem ${number} in the server’s log says more.`,
    { number },
  );
}

/** A path parameter that the route always has. */
export function param({ params }: APIContext, name: string): string {
  return params[name] ?? '';
}
