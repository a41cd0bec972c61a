import type { Found } from './finding';

/** A plan that passes its schema and can't be worked out all the same: a fault of ours, told in the plan's own place. */
export function notComputed(error: unknown): Found {
  return {
    code: 'not-computed',
    severity: 'stop',
    pourIndex: null,
    doseIndexes: [],
    about: '',
    cause: error instanceof Error ? error.message : String(error),
    assumed: false,
    fix: null,
  };
}
