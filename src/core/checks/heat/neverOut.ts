import { showTemperature } from '../../units/showQuantity';
import { type HeatCheck, heatFinding } from './heatCheck';

/** A core that does not come down to where a bar leaves its mold, or is cut, in this room. */
export const neverOut: HeatCheck = {
  code: 'heat-never-out',

  run: ({ sheet, pourPlan: { never, unmoldC, cutC } }) =>
    never === null
      ? []
      : [
          heatFinding({
            code: neverOut.code,
            severity: 'caution',
            pourIndex: null,
            figures: {
              wantedC: never === 'cut' ? (cutC ?? unmoldC) : unmoldC,
              roomC: sheet.making.room.tempC,
              cut: never === 'cut' ? 1 : 0,
            },
          }),
        ],

  say({ figures: { wantedC = 0, roomC = 0, cut = 0 } }, showing) {
    return {
      title: `It does not get cold enough to ${cut ? 'be cut' : 'come out'} in this room`,
      reason: `Its core should be at ${showTemperature(wantedC, showing)}, and the room is at ${showTemperature(roomC, showing)}. A cooler room, a fan or cold water under the mold would get it there; the times that follow are not to be relied on.`,
      mendLabel: null,
    };
  },
};
