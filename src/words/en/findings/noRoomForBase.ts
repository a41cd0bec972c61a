import { showMass, showVolume } from '../../../core/units/showQuantity';
import type { Describe } from './described';

export const noRoomForBase: Describe<'no-room-for-base'> = ({ additionsMl, roomMl, leastMeltG }, showing) => {
  const { locale } = showing;
  return {
    title: 'No room left for base',
    reason: `${reasonWords(showVolume(additionsMl, locale), roomMl > 0 ? showVolume(roomMl, locale) : null)}${
      leastMeltG === null
        ? ''
        : ` If they are for a jug that is well filled, melt ${showMass(leastMeltG, showing)} and pour what is needed of it.`
    }`,
    fixLabel: leastMeltG === null ? null : `Melt ${showMass(leastMeltG, showing)}`,
  };
};

function reasonWords(additions: string, room: string | null): string {
  return room
    ? `The fixed doses take up ${additions}, and this pour has ${room} in all. Lower a dose, or make more pieces.`
    : 'This pour has no room of its own. Give it a size, or make what takes its room smaller.';
}
