import type { z } from '../zod';
import type { photoSchema, spotSchema } from './photoSchema';

export type Spot = z.infer<typeof spotSchema>;
export type PhotoSaid = z.infer<typeof photoSchema>;
/** A photograph with the moment it was added, ISO 8601. */
export type Photo = PhotoSaid & { at: string };

/** A photograph is made no larger than this, in either direction and in bytes. */
export const MOST_PX = 1600;
export const MOST_PHOTO_BYTES = 400_000;
/** What is chosen may be no larger than this. */
export const MOST_CHOSEN_BYTES = 60_000_000;
export const MOST_AT_ONCE = 20;
