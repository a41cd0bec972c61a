import type { APIRoute } from 'astro';
import { changesFromNow } from '../../server/changes';
import { problemOf } from '../../server/endpoint';

/** What happens at the bench, as server-sent events: `event: run`, `data: { run, events }`. */
export const GET: APIRoute = ({ request }) => {
  try {
    return new Response(changesFromNow(request.signal), {
      headers: { 'content-type': 'text/event-stream', 'cache-control': 'no-store, no-transform' },
    });
  } catch (error) {
    return problemOf(error).toResponse();
  }
};
