import { Problem } from './problem';

/** What `find` finds, or null when it answers that there is none; any other problem goes on. */
export function orNotFound<Found>(find: () => Found): Found | null {
  try {
    return find();
  } catch (error) {
    if (error instanceof Problem && error.status === 404) return null;
    throw error;
  }
}
