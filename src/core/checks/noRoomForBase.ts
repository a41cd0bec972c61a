import type { NoRoomForBase } from '../plan/makeSheet';
import { showVolume } from '../units/showQuantity';
import type { Check, Finding } from './finding';

/** The additions alone fill the molds: there is no sheet, and this is the only finding. */
export const noRoomForBase: Check = {
  code: 'no-room-for-base',

  run: () => [],

  say: ({ figures: { additionsMl = 0, roomMl = 0 } }, { locale }) => ({
    title: 'No room left for base',
    reason:
      roomMl > 0
        ? `The fixed doses take up ${showVolume(additionsMl, locale)}, and this pour has ${showVolume(roomMl, locale)} in all. Lower a dose, or make more pieces.`
        : 'This pour has no room of its own. Give it a size, or make what takes its room smaller.',
    mendLabel: null,
  }),
};

/** The finding that stands in place of a sheet. */
export function noRoomFinding({ pourIndex, additionsMl, roomMl }: NoRoomForBase): Finding {
  return {
    code: noRoomForBase.code,
    severity: 'stop',
    pourIndex,
    doseIndexes: [],
    about: '',
    figures: { additionsMl, roomMl },
    assumed: false,
    mend: null,
  };
}
