import { BrokenRecordError } from '../db/readRecord';
import { Problem } from './problem';

/**
 * What `find` finds. A record that can't be read is a problem of what asks for it, told in a sentence.
 *
 * @throws Problem 422
 */
export function orProblem<Found>(find: () => Found): Found {
  try {
    return find();
  } catch (error) {
    if (error instanceof BrokenRecordError) throw new Problem(422, 'broken-record', error.message);
    throw error;
  }
}

/** What `find` finds; null where it can't be read. */
export function orNull<Found>(find: () => Found): Found | null {
  try {
    return find();
  } catch (error) {
    if (error instanceof BrokenRecordError) return null;
    throw error;
  }
}
