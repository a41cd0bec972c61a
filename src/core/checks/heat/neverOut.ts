import { PLAIN } from '../plain';
import type { HeatCheck } from './heatCheck';

/** A core that does not come down to where a bar leaves its mold, or is cut, in this room. */
export const neverOut: HeatCheck = ({ sheet, pourPlan: { never, unmoldC, cutC } }) =>
  never === null
    ? []
    : [
        {
          ...PLAIN,
          code: 'heat-never-out',
          severity: 'caution',
          pourIndex: null,
          wantedC: never === 'cut' ? (cutC ?? unmoldC) : unmoldC,
          roomC: sheet.making.room.tempC,
          isForCutting: never === 'cut',
        },
      ];
