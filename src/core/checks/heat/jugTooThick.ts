import type { Found } from '../finding';
import { PLAIN } from '../plain';
import type { HeatCheck } from './heatCheck';

/** A jug that is too thick to pour before its last cavity is filled. */
export const jugTooThick: HeatCheck = ({ pourPlan }) =>
  pourPlan.layers.flatMap(({ jugs, tooThickC }) =>
    jugs.flatMap(({ pourIndex, lastC, pourS, name }): Found[] => {
      if (lastC.low >= tooThickC) return [];
      const isLikely = lastC.middle < tooThickC;
      return [
        {
          ...PLAIN,
          code: 'heat-jug-too-thick',
          severity: isLikely ? 'caution' : 'note',
          pourIndex,
          about: name,
          lowC: lastC.low,
          middleC: lastC.middle,
          tooThickC,
          pourS,
          isLikely,
        },
      ];
    }),
  );
