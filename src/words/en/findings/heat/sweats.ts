import { showPercent } from '../../../../core/units/showQuantity';
import type { Describe } from '../described';

export const sweats: Describe<'heat-sweats'> = ({ about, assumed, humidity, waterActivity }, { locale }) => ({
  title: 'It will sweat in this room unless it is wrapped',
  reason: `The room’s humidity is ${showPercent(humidity, locale, 0)}; ${about} draws water above ${assumed ? 'about ' : ''}${showPercent(waterActivity, locale, 0)}. Wrap it as soon as it is cold, or dry the room.`,
  fixLabel: null,
});
