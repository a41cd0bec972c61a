import { randomInt } from 'node:crypto';

/** Without letters and figures that are taken for one another. */
const SIGNS = '23456789ABCDEFGHJKLMNPQRSTUVWXYZ';
const NUMBER_LENGTH = 5;
/** So many places of the code are named. */
const MOST_FRAMES = 4;

/** What ends when a client goes away, in the codes and names of the system. */
const GONE: ReadonlySet<unknown> = new Set([
  ...['ECONNRESET', 'EPIPE', 'ECONNABORTED', 'ABORT_ERR', 'AbortError'],
  ...['ERR_STREAM_PREMATURE_CLOSE', 'ERR_STREAM_DESTROYED', 'ERR_STREAM_WRITE_AFTER_END', 'UND_ERR_ABORTED'],
]);

/** Whether an error only says that nobody waits for the answer any more. */
export function isClientGone(error: unknown): boolean {
  if (!(error instanceof Error)) return false;
  const { code } = error as { code?: unknown };
  return GONE.has(code) || GONE.has(error.name) || error.message === 'aborted';
}

/**
 * Writes what nobody had thought of to the log, in one line.
 *
 * @returns the number under which it stands there, to be shown
 */
export function logProblem(error: unknown, what: string): string {
  const number = Array.from({ length: NUMBER_LENGTH }, () => SIGNS[randomInt(SIGNS.length)]).join('');
  console.error(`${new Date().toISOString()} problem ${number} ${what}: ${inOneLine(error)}`);
  return number;
}

/** Its message, and the innermost places of the code that it went through. */
function inOneLine(error: unknown): string {
  if (!(error instanceof Error)) return String(error).replace(/\s+/g, ' ');
  const [, ...frames] = (error.stack ?? '').split('\n    at ');
  const places = frames.slice(0, MOST_FRAMES).map((frame) => frame.trim());
  return [`${error.name}: ${error.message}`, ...places].join(' < ').replace(/\s+/g, ' ');
}
