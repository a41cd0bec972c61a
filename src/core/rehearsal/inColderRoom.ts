interface Moment {
  timeS: number;
  tempC: number;
}

/**
 * A jug's cooling as it is in a room that is so much colder than the one it was thought of in: every stretch of it takes as
 * much shorter as what the jug loses is more, its losses being as how much warmer it is than the room.
 *
 * @param curve cooling, in order of time
 * @param byK colder; warmer below nothing
 */
export function inColderRoom(curve: readonly Moment[], roomC: number, byK: number): Moment[] {
  let timeS = curve[0]?.timeS ?? 0;
  return curve.map(({ timeS: atS, tempC }, place) => {
    const before = curve[place - 1];
    if (before) {
      const aboveK = Math.max(0.1, (before.tempC + tempC) / 2 - roomC);
      timeS += ((atS - before.timeS) * aboveK) / Math.max(0.1, aboveK + byK);
    }
    return { timeS, tempC };
  });
}
