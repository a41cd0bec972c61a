import { sweats as drawsWater } from '../../heat/dew';
import { showPercent } from '../../units/showQuantity';
import { type HeatCheck, heatFinding } from './heatCheck';

/** A bar that draws water from the room it lies in. */
export const sweats: HeatCheck = {
  code: 'heat-sweats',

  run: ({ sheet: { making, pours }, pourPlan: { waterActivity }, rules }) => {
    const last = pours.at(-1);
    if (!last || !drawsWater(making.room, waterActivity)) return [];
    return [
      heatFinding({
        code: sweats.code,
        severity: rules.wrap === 'may-lie-open' ? 'caution' : 'note',
        pourIndex: null,
        about: last.base.name,
        materialId: last.base.id,
        figures: { humidity: making.room.humidity, waterActivity },
        assumed: last.base.sweatsAbove === null,
      }),
    ];
  },

  say: ({ about, assumed, figures: { humidity = 0, waterActivity = 0 } }, { locale }) => ({
    title: `It will sweat in this room unless it is wrapped`,
    reason: `The room’s humidity is ${showPercent(humidity, locale, 0)}; ${about} draws water above ${assumed ? 'about ' : ''}${showPercent(waterActivity, locale, 0)}. Wrap it as soon as it is cold, or dry the room.`,
    mendLabel: null,
  }),
};
