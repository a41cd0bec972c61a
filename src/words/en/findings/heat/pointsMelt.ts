import { showNumber, showTemperature } from '../../../../core/units/showQuantity';
import type { Describe } from '../described';

export const pointsMelt: Describe<'heat-points-melt'> = (
  { about, assumed, thinnestMm, pointsStayBelowC },
  showing,
) => ({
  title: thinnestMm === null ? `${about} melts in this pour` : `Points of ${about} melt`,
  reason: `${thinnestMm === null ? 'There is so much hot soap round it that all of it goes soft' : `What is thinner than ${showNumber(thinnestMm, 0, showing.locale)} mm goes soft in this pour`}. Blunt its points, set it in cold, or pour in two goes; at ${showTemperature(pointsStayBelowC, showing)} and below even points stay.${assumed ? ' Nobody has said what it is made of: usual soap is taken.' : ''}`,
  fixLabel: null,
});
