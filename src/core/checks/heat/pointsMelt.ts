import type { Found } from '../finding';
import { PLAIN } from '../plain';
import type { HeatCheck } from './heatCheck';

/** Thinner points than this hardly show. Our own assumption. */
const SHOWS_MM = 1;

/** Embeds whose points, or all of which, melt in the pour that goes round them. */
export const pointsMelt: HeatCheck = ({ pourPlan }) =>
  pourPlan.tips.flatMap(({ pourIndex, name, thinnestMm, pointsStayBelowC, soapAssumed }): Found[] =>
    thinnestMm !== null && thinnestMm < SHOWS_MM
      ? []
      : [
          {
            ...PLAIN,
            code: 'heat-points-melt',
            severity: 'note',
            pourIndex,
            about: name,
            assumed: soapAssumed,
            pointsStayBelowC,
            thinnestMm,
          },
        ],
  );
