import type { Found } from '../finding';
import { PLAIN } from '../plain';
import type { HeatCheck } from './heatCheck';

/** More often than this it is told. */
const TOLD_SHARE = 0.25;

/** A pour that melts through the layer below, likely or perhaps. */
export const breaksThrough: HeatCheck = ({ pourPlan }) =>
  pourPlan.layers.flatMap(({ pourIndexes, bond, atC, afterS, chosen, window }): Found[] => {
    if (!bond || (bond.likely !== 'broken' && bond.shares.broken < TOLD_SHARE)) return [];
    const pourIndex = pourIndexes[0] ?? 0;
    const isEarly = chosen && window !== null && afterS < window.earliest.middle;
    return [
      {
        ...PLAIN,
        code: 'heat-breaks-through',
        // Where nobody has set its moment, a touch tells when the layer below carries.
        severity: bond.likely === 'broken' || chosen ? 'caution' : 'note',
        pourIndex,
        share: bond.shares.broken,
        atC,
        isLikely: bond.likely === 'broken',
        isEarly,
        fix: [
          {
            kind: 'set-when',
            pourIndex,
            ...(isEarly ? { afterMin: null } : { atC: null, afterMin: null }),
          },
        ],
      },
    ];
  });
