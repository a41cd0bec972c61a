import type { NoRoomForBase } from '../plan/makeSheet';
import type { Found } from './finding';

/** The additions alone fill the molds: there is no sheet, and this stands in its place. */
export function noRoomForBase({ pourIndex, additionsMl, roomMl }: NoRoomForBase): Found {
  return {
    code: 'no-room-for-base',
    severity: 'stop',
    pourIndex,
    doseIndexes: [],
    about: '',
    additionsMl,
    roomMl,
    assumed: false,
    fix: null,
  };
}
