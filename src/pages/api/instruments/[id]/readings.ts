import { endpoint, param } from '../../../../server/endpoint';
import { readingsSchema, relayLines, relayReadings } from '../../../../server/readings';
import { readBytes, readJson } from '../../../../server/readJson';
import { workshop } from '../../../../server/workshop';

const LARGEST_BYTES = 100_000;

/**
 * What an instrument shows, relayed to the bench: `{ "massG": 12.4 }`, `{ "tempC": 54.2 }`, several of them in a list, or
 * lines of text such as `12.4 g`.
 */
export const POST = endpoint(async (context) => {
  const { request } = context;
  const [instrument, now] = [param(context, 'id'), workshop().now()];
  if (/^text\/plain\b/i.test(request.headers.get('content-type') ?? '')) {
    const text = new TextDecoder().decode(await readBytes(request, LARGEST_BYTES));
    return { body: relayLines(instrument, text, now) };
  }
  return { body: relayReadings(instrument, await readJson(request, readingsSchema, LARGEST_BYTES), now) };
});
