import { availableParallelism } from 'node:os';
import Piscina from 'piscina';
import { logProblem } from '../logLine';
import { Problem } from '../problem';
import workOut, { type Answered, type Asked, type Input, type Name, type Output } from './work';

/** Built, it is a file of its own beside the server's: see astro.config.mjs. */
const FILE = new URL('./work.ts', import.meta.url);
/** From its source, as in a test or while a demo is written, a program has one thread. */
const isBuilt = !FILE.pathname.endsWith('.ts');

export type Urgency = 'asked' | 'ahead';

/** So long one waits for an answer, in the queue and in the works together. */
const LIMIT_MS: Record<Urgency, number> = { asked: 20_000, ahead: 300_000 };
const MOST_WAITING = 100;
const LARGEST_HEAP_MB = 384;
/** For those who wait, however many cores there are: each thread takes some hundred MB. */
const MOST_THREADS = 2;
/** Left alone, each thread comes to take three times as much for what lives shortly. */
const YOUNG_HEAP_MB = 16;

/**
 * Threads that work by a file. One that ends while it has nothing to do takes nobody with it.
 *
 * @param least so many are there before anything is asked, and stay
 */
export function threadsOf<Task, Result>(file: URL, most: number, least = 0): Piscina<Task, Result> {
  const pool = new Piscina<Task, Result>({
    filename: file.href,
    minThreads: least,
    maxThreads: most,
    idleTimeout: 60_000,
    maxQueue: MOST_WAITING,
    resourceLimits: { maxOldGenerationSizeMb: LARGEST_HEAP_MB, maxYoungGenerationSizeMb: YOUNG_HEAP_MB },
  });
  pool.on('error', (error) => logProblem(error, 'in a thread between two tasks'));
  return pool;
}

const threads = (most: number, least: number) => threadsOf<Asked<Name>, Answered<Name>>(FILE, most, least);

/**
 * What somebody waits for has threads of its own, one of them ready: half a second less for who asks first. What is worked
 * out ahead never stands before it.
 */
const pools = isBuilt
  ? {
      asked: threads(Math.max(1, Math.min(MOST_THREADS, availableParallelism() - 1)), 1),
      ahead: threads(1, 0),
    }
  : null;

/**
 * Works something out beside the thread that answers requests.
 *
 * @throws Problem 503 when it takes too long, too much memory, or too many wait already
 */
export async function compute<Of extends Name>(
  name: Of,
  input: Input<Of>,
  urgency: Urgency = 'asked',
): Promise<Output<Of>> {
  const asked = { name, input };
  const answered = pools ? await inThread(asked, pools[urgency], LIMIT_MS[urgency]) : await workOut(asked);
  if ('problem' in answered) throw new Problem(...answered.problem);
  return answered.value;
}

async function inThread<Of extends Name>(
  asked: Asked<Of>,
  pool: ReturnType<typeof threads>,
  limitMs: number,
): Promise<Answered<Of>> {
  const signal = AbortSignal.timeout(limitMs);
  try {
    return (await pool.run(asked, { signal })) as Answered<Of>;
  } catch (error) {
    throw signal.aborted ? tooLong(asked.name, limitMs) : explained(asked.name, error);
  }
}

const SMALLER_PLAN = 'Make the plan smaller, with fewer pours, doses or pieces.';
const LATER = 'Try again when the machine has less to do.';
/** What brings it under its limits. */
const MENDS: Record<Name, string> = {
  reviews: SMALLER_PLAN,
  pourPlan: SMALLER_PLAN,
  sheetAnswer: SMALLER_PLAN,
  pourPlanAnswer: SMALLER_PLAN,
  takePlan: SMALLER_PLAN,
  meetPlan: SMALLER_PLAN,
  startRun: SMALLER_PLAN,
  snapshotParts: LATER,
  rehearsal: SMALLER_PLAN,
  practice: LATER,
  lessons: LATER,
  takeShelf: 'Send fewer records at once.',
  shelfTable: 'Save a copy of the whole workshop in open formats instead.',
  takeCsv: 'Split the file, and bring the parts in one after the other.',
  setLabel: 'Say less on the label.',
  labelPdf: 'Print fewer labels at once.',
  writeOpen: 'Save a copy of the whole workshop instead: it is not read for that.',
  readOpen: 'Bring it back with npm run restore.',
  fault: LATER,
};

function tooLong(name: Name, limitMs: number): Problem {
  return new Problem(
    503,
    'takes-too-long',
    `This takes longer than ${limitMs / 1000} seconds, and was stopped. ${MENDS[name]}`,
  );
}

function explained(name: Name, error: unknown): unknown {
  const code = error instanceof Error && 'code' in error ? error.code : null;
  if (code === 'ERR_WORKER_OUT_OF_MEMORY')
    return new Problem(
      503,
      'takes-too-much',
      `This takes more memory than it is given, and was stopped. ${MENDS[name]}`,
    );
  if (error instanceof Error && /queue is at limit/i.test(error.message))
    return new Problem(503, 'busy', 'Too much is being worked out already. Try again in a moment.');
  return error;
}
