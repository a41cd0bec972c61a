import { makeSheet, type NoRoomForBase } from '../plan/makeSheet';
import type { PlanFile } from '../plan/plan';
import type { Found } from './finding';

/** The additions alone fill the molds: there is no sheet, and this stands in its place. */
export function noRoomForBase(
  { pourIndex, additionsMl, roomMl }: NoRoomForBase,
  file: PlanFile,
  leastMeltG: number,
): Found {
  const least = helps(file, leastMeltG) ? leastMeltG : null;
  return {
    code: 'no-room-for-base',
    severity: 'stop',
    pourIndex,
    doseIndexes: [],
    about: '',
    additionsMl,
    roomMl,
    leastMeltG: least,
    assumed: false,
    fix: least === null ? null : [{ kind: 'set-least-melt', leastMeltG: least }],
  };
}

/** True where the doses are for a jug that is well filled, and not for the little that is poured of it. */
function helps({ plan, ...rest }: PlanFile, leastMeltG: number): boolean {
  if (leastMeltG <= (plan.leastMeltG ?? 0)) return false;
  return makeSheet({ ...rest, plan: { ...plan, leastMeltG } }).success;
}
