import type { Migration } from '../migrate';
import { firstSlice } from './0001_first_slice';

/** In order; only ever added to. */
export const MIGRATIONS: readonly Migration[] = [firstSlice];
