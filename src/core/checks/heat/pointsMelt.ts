import { showNumber, showTemperature } from '../../units/showQuantity';
import { type HeatCheck, heatFinding } from './heatCheck';

/** Thinner points than this hardly show. Our own assumption. */
const SHOWS_MM = 1;

/** Embeds whose points, or all of which, melt in the pour that goes round them. */
export const pointsMelt: HeatCheck = {
  code: 'heat-points-melt',

  run: ({ pourPlan }) =>
    pourPlan.tips.flatMap(({ pourIndex, name, thinnestMm, pointsStayBelowC, soapAssumed }) =>
      thinnestMm !== null && thinnestMm < SHOWS_MM
        ? []
        : [
            heatFinding({
              code: pointsMelt.code,
              severity: 'note',
              pourIndex,
              about: name,
              assumed: soapAssumed,
              figures: { pointsStayBelowC, ...(thinnestMm === null ? {} : { thinnestMm }) },
            }),
          ],
    ),

  say: ({ about, assumed, figures: { thinnestMm, pointsStayBelowC = 0 } }, showing) => ({
    title: thinnestMm === undefined ? `${about} melts in this pour` : `Points of ${about} melt`,
    reason: `${thinnestMm === undefined ? 'There is so much hot soap round it that all of it goes soft' : `What is thinner than ${showNumber(thinnestMm, 0, showing.locale)} mm goes soft in this pour`}. Blunt its points, set it in cold, or pour in two goes; at ${showTemperature(pointsStayBelowC, showing)} and below even points stay.${assumed ? ' Nobody has said what it is made of: usual soap is taken.' : ''}`,
    mendLabel: null,
  }),
};
