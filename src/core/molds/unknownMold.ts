import type { Mold } from './mold';

/** What a mold is taken for until somebody says otherwise: one of its kind, not sliced, that has taught nothing. */
export const UNKNOWN_MOLD = {
  copies: 1,
  measures: [],
  madeOf: 'unknown',
  highestC: null,
  shrinkageFraction: null,
  sliceMm: null,
  stripMm: null,
  endTrimMm: 0,
  taught: [],
  boughtFrom: '',
  note: '',
} as const satisfies Partial<Mold>;
