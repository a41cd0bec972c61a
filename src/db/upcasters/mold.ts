import { withDefaults, withField } from './fields';

const LEARNED = {
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
};

/** A mold from before shapes were counted. */
export function completeMold(record: unknown): unknown {
  return withField(withDefaults(record, LEARNED), 'shape', (shape) =>
    isBox(shape) ? withDefaults(shape, { draftDeg: 0, cornerMm: 0 }) : shape,
  );
}

function isBox(shape: unknown): boolean {
  return typeof shape === 'object' && shape !== null && 'kind' in shape && shape.kind === 'box';
}
