import { showVolume } from '../../../core/units/showQuantity';
import type { Describe } from './described';

export const noRoomForBase: Describe<'no-room-for-base'> = ({ additionsMl, roomMl }, { locale }) => ({
  title: 'No room left for base',
  reason:
    roomMl > 0
      ? `The fixed doses take up ${showVolume(additionsMl, locale)}, and this pour has ${showVolume(roomMl, locale)} in all. Lower a dose, or make more pieces.`
      : 'This pour has no room of its own. Give it a size, or make what takes its room smaller.',
  fixLabel: null,
});
