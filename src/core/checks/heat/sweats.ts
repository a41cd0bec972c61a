import { sweats as drawsWater } from '../../heat/dew';
import { PLAIN } from '../plain';
import type { HeatCheck } from './heatCheck';

/** A bar that draws water from the room it lies in. */
export const sweats: HeatCheck = ({ sheet: { making, pours }, pourPlan: { waterActivity }, rules }) => {
  const last = pours.at(-1);
  if (!last || !drawsWater(making.room, waterActivity)) return [];
  return [
    {
      ...PLAIN,
      code: 'heat-sweats',
      severity: rules.wrap === 'may-lie-open' ? 'caution' : 'note',
      pourIndex: null,
      about: last.base.name,
      materialId: last.base.id,
      humidity: making.room.humidity,
      waterActivity,
      assumed: last.base.sweatsAbove === null,
    },
  ];
};
