import {
  convectionWM2K,
  dewPointC,
  type Evaporating,
  type Room,
  surfaceLossWM2,
  vapourDensityKgM3,
  vapourTransferMS,
} from './air';
import { conduct } from './conduct';
import { type Ends, type Stack, stackOf } from './stack';
import type { Substance } from './substance';

/** What the freezer leaves on a surface that comes back into the room. */
export interface Dew {
  dewPointC: number;
  /** From the freezer until the surface is above the room's dew point, s; nothing where it never was below. */
  aboveDewS: number;
  /** Until what had gathered has dried off again, s. */
  dryS: number;
  /** Most water on the surface, g/m². */
  mostGM2: number;
}

const LONGEST_S = 12 * 3600;
const WET: Evaporating = { multiplier: 1, waterActivity: 1 };

/**
 * A surface from the freezer gathers water below the room's dew point, and dries above it. Convection, radiation and
 * water by the Lewis analogy, as in `surfaceLossWM2`; a wet surface has a water activity of one.
 *
 * @param stack is changed in place; its top is the surface
 * @param bottom what the underside loses
 */
export function dewOn(stack: Stack, room: Room, lengthM: number, bottom: Ends['bottom'] = null): Dew {
  const dewC = dewPointC(room);
  const top = stack.tempC.length - 1;
  let [waterKgM2, mostKgM2, aboveDewS, dryS] = [0, 0, 0, 0];
  let surface = stack.tempC[top] ?? 0;
  const loss = (surfaceC: number) =>
    surfaceLossWM2(
      surfaceC,
      room,
      lengthM,
      1,
      waterKgM2 > 0 || surfaceC < dewC ? WET : { ...WET, multiplier: 0 },
    );
  conduct(
    stack,
    { bottom, top: loss, roomC: room.tempC },
    LONGEST_S,
    (timeS, now, before) => {
      surface = now.tempC[top] ?? 0;
      const gains =
        vapourTransferMS(convectionWM2K(surface - room.tempC, lengthM)) *
        (vapourDensityKgM3(room.tempC, room.humidity) - vapourDensityKgM3(surface, 1));
      waterKgM2 = Math.max(0, waterKgM2 + gains * (timeS - before.timeS));
      mostKgM2 = Math.max(mostKgM2, waterKgM2);
      if (surface < dewC) aboveDewS = timeS;
      if (waterKgM2 > 0) dryS = timeS;
      return surface > dewC && waterKgM2 === 0;
    },
    { mostK: 0.5, longestS: 60 },
  );
  return { dewPointC: dewC, aboveDewS, dryS, mostGM2: mostKgM2 * 1000 };
}

/** A loose piece as a plate that stands free on both faces: half of it, from its middle. */
export function loosePiece(substance: Substance, thicknessM: number, tempC: number): Stack {
  return stackOf([{ substance, thicknessM: thicknessM / 2, cells: 12, tempC, sideWM3K: 0 }]);
}

/** Whether a bar draws water from a room: when the air holds more than the bar's own water activity. */
export function sweats({ humidity }: Room, waterActivity: number): boolean {
  return humidity > waterActivity;
}
