import type { z } from '../core/zod';
import { takeRoom } from './bodyRoom';
import { invalidFields, Problem } from './problem';
import { turn } from './turn';

/** No plan, record or event comes near it. */
const USUAL_LARGEST_BYTES = 1_000_000;
const LONGEST_PATIENCE_BYTES = 50_000_000;
/** So much waits for room, takes a while to judge, and what is done with it a while more. */
const LARGE_BYTES = 50_000;

/**
 * The request's body, checked by a schema.
 *
 * @throws Problem 413, 415, 400, 422 or 503
 */
export async function readJson<Schema extends z.ZodType>(
  request: Request,
  schema: Schema,
  largestBytes = USUAL_LARGEST_BYTES,
): Promise<z.infer<Schema>> {
  checkIsJson(request);
  const bytes = await arrived(request, largestBytes);
  const parsed = parseBytes(bytes, schema);
  if (bytes.byteLength > LARGE_BYTES) await turn();
  await WAITS.get(request)?.();
  return parsed;
}

/**
 * The bytes of a request's body that is said to be JSON.
 *
 * @throws Problem 413, 415 or 503
 */
export async function readJsonBytes(
  request: Request,
  largestBytes = USUAL_LARGEST_BYTES,
): Promise<Uint8Array> {
  checkIsJson(request);
  return await readBytes(request, largestBytes);
}

function checkIsJson(request: Request): void {
  const type = request.headers.get('content-type') ?? '';
  if (!/^application\/(?:[\w.+-]+\+)?json\b/i.test(type)) {
    throw new Problem(415, 'not-json', 'Send the body as application/json.');
  }
}

/**
 * JSON in UTF-8, checked by a schema.
 *
 * @throws Problem 400 or 422
 */
export function parseBytes<Schema extends z.ZodType>(bytes: Uint8Array, schema: Schema): z.infer<Schema> {
  const parsed = schema.safeParse(parseJson(textOf(bytes)), { reportInput: true });
  if (!parsed.success) throw invalidFields(parsed.error);
  return parsed.data;
}

const WAITS = new WeakMap<Request, () => Promise<void>>();

/** What is waited for once the body of a request has arrived and been judged, before anything is done by it. */
export function waitOnceRead(request: Request, wait: () => Promise<void>): void {
  WAITS.set(request, wait);
}

/**
 * The bytes of a request's body.
 *
 * @throws Problem 413 or 503
 */
export async function readBytes(request: Request, largestBytes: number): Promise<Uint8Array> {
  const bytes = await arrived(request, largestBytes);
  await WAITS.get(request)?.();
  return bytes;
}

/**
 * Counts while it reads: a body may have no content-length. What is refused is read and thrown away, so that the client
 * hears why; past all patience the connection is closed.
 *
 * @throws Problem 413, or 503 when too much is being sent
 */
async function arrived(request: Request, largestBytes: number): Promise<Uint8Array> {
  if (request.body === null) return new Uint8Array();
  const saidBytes = Number(request.headers.get('content-length') ?? largestBytes);
  let refused = saidBytes > largestBytes ? tooLarge(largestBytes) : null;
  let chunks: Uint8Array[] = [];
  let bytes = 0;
  let hasRoom = false;
  for await (const chunk of request.body as unknown as AsyncIterable<Uint8Array>) {
    bytes += chunk.byteLength;
    if (bytes > LONGEST_PATIENCE_BYTES) throw tooLarge(largestBytes);
    if (bytes > largestBytes) refused = tooLarge(largestBytes);
    if (!refused && !hasRoom && bytes > LARGE_BYTES) {
      refused = await takeRoom(request, saidBytes).then(() => null, asProblem);
      hasRoom = true;
    }
    if (refused) chunks = [];
    else chunks.push(chunk);
  }
  if (refused) throw refused;
  const whole = Buffer.concat(chunks);
  if (bytes > LARGE_BYTES) await turn();
  return whole;
}

function asProblem(error: unknown): Problem {
  if (error instanceof Problem) return error;
  throw error;
}

function textOf(bytes: Uint8Array): string {
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes);
  } catch {
    throw new Problem(
      400,
      'not-utf-8',
      'The body is not text in UTF-8. Save the file as UTF-8 and send it again.',
    );
  }
}

function tooLarge(largestBytes: number): Problem {
  const largest = `${largestBytes / 1000} kB`;
  return new Problem(413, 'too-large', `The body is over ${largest}. Nothing was saved. Send less at once.`);
}

function parseJson(text: string): unknown {
  if (text.trim() === '') throw new Problem(400, 'empty-body', 'The body is empty. Send one JSON value.');
  try {
    return JSON.parse(text.replace(/^\uFEFF/, ''));
  } catch {
    throw new Problem(
      400,
      'broken-json',
      'The body is not whole JSON: it may have been cut off. Nothing was saved.',
    );
  }
}
