import { BrokenRecordError } from '../db/readRecord';
import { databaseProblem } from './databaseProblem';
import { isClientGone } from './logLine';
import { Problem } from './problem';

/** The problem an error stands for; null where it is not ours to explain. */
export function knownProblem(error: unknown): Problem | null {
  if (error instanceof Problem) return error;
  if (isClientGone(error)) return new Problem(400, 'client-gone', 'The request ended before it was whole.');
  if (error instanceof BrokenRecordError)
    return new Problem(422, 'broken-record', error.message, { record: error.broken.id });
  return databaseProblem(error);
}
