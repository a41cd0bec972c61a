import type { Found, FoundOf } from '../finding';
import { PLAIN } from '../plain';
import type { HeatCheck } from './heatCheck';

const TOLD_SHARE = 0.5;
const WAITED_S = 60;

/** A pour that comes too late or too cool to join the layer below. */
export const weakBond: HeatCheck = ({ pourPlan, rules }) =>
  pourPlan.layers.flatMap(({ pourIndexes, bond, rewarm, atC, afterS, chosen, window }): Found[] => {
    if (!bond || !window || (bond.likely !== 'weak' && bond.shares.weak < TOLD_SHARE)) return [];
    const pourIndex = pourIndexes[0] ?? 0;
    const isLikely = bond.likely === 'weak';
    const lateS = afterS - window.idealS;
    const fixes = ((): FoundOf<'heat-weak-bond'>['fixes'] => {
      if (!isLikely) return null;
      if (chosen && lateS > WAITED_S) return 'moment';
      return rewarm ? 'heat' : null;
    })();
    return [
      {
        ...PLAIN,
        code: 'heat-weak-bond',
        // Near the ceiling alcohol does what heat may not; what can be mended by the moment or by heat should be.
        severity: (isLikely && fixes !== null) || rules.spritz === 'never' ? 'caution' : 'note',
        pourIndex,
        share: bond.shares.weak,
        atC,
        afterS,
        latestS: window.latest.middle,
        waits: !chosen && lateS > WAITED_S,
        isLikely,
        rewarm: rewarm && { fromC: rewarm.fromC, toC: rewarm.toC },
        fixes,
        fix:
          fixes === 'moment'
            ? [{ kind: 'set-when', pourIndex, afterMin: null }]
            : fixes === 'heat' && rewarm
              ? [{ kind: 'set-when', pourIndex, atC: rewarm.fromC }]
              : null,
      },
    ];
  });
