import type { Check, Finding } from './finding';

/** A plan that passes its schema and can't be worked out all the same: a fault of ours, told in the plan's own place. */
export const notComputed: Check = {
  code: 'not-computed',

  run: () => [],

  say: ({ text = '' }) => ({
    title: 'This plan can’t be worked out',
    reason: `Its record is safe, and can be exported. Change what was changed last; the cause is: ${text}.`,
    mendLabel: null,
  }),
};

export function notComputedFinding(error: unknown): Finding {
  return {
    code: notComputed.code,
    severity: 'stop',
    pourIndex: null,
    doseIndexes: [],
    about: '',
    text: error instanceof Error ? error.message : String(error),
    figures: {},
    assumed: false,
    mend: null,
  };
}
