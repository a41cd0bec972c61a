import { Problem } from './problem';

/** What `find` finds, or null when there is none, or none can be asked for so; any other problem goes on. */
export function orNotFound<Found>(find: () => Found): Found | null {
  try {
    return find();
  } catch (error) {
    if (error instanceof Problem && (error.status === 404 || error.status === 422)) return null;
    throw error;
  }
}
