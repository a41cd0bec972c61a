import { showTemperature } from '../../../../core/units/showQuantity';
import type { Describe } from '../described';

export const neverOut: Describe<'heat-never-out'> = ({ wantedC, roomC, isForCutting }, showing) => ({
  title: `It does not get cold enough to ${isForCutting ? 'be cut' : 'come out'} in this room`,
  reason: `Its core should be at ${showTemperature(wantedC, showing)}, and the room is at ${showTemperature(roomC, showing)}. A cooler room, a fan or cold water under the mold would get it there; the times that follow are not to be relied on.`,
  fixLabel: null,
});
