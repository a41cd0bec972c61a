import assert from 'node:assert/strict';
import test from 'node:test';
import { base } from '../../../tests/support/planFiles';
import { USUAL_EVAPORATION } from '../heat/air';
import { coolJug, coolsToS } from '../heat/jug';
import { substanceOf } from '../heat/substanceOf';
import { USUAL_MAKING } from '../plan/making';
import { inColderRoom } from './inColderRoom';

test('a jug in a colder room is as cold at the moment at which the model says', () => {
  const cooledIn = (roomC: number) =>
    coolJug(
      { holdsMl: 500, contentG: 300 },
      substanceOf(base()),
      70,
      {
        room: { tempC: roomC, humidity: USUAL_MAKING.room.humidity },
        ...{ evaporating: USUAL_EVAPORATION, filmWM2K: 8, lossScale: 1 },
      },
      5400,
    );
  const [believed, real] = [cooledIn(21), cooledIn(16)];
  const told = inColderRoom(believed, 21, 5);
  for (const tempC of [65, 60, 55, 50]) {
    const wasS = coolsToS(real, tempC) ?? 0;
    const saidS = coolsToS(told, tempC) ?? 0;
    assert.ok(Math.abs(saidS / wasS - 1) < 0.03, `${tempC} °C: ${saidS} s and not ${wasS} s`);
    assert.ok(wasS < (coolsToS(believed, tempC) ?? 0) * 0.95);
  }
  assert.deepEqual(inColderRoom(believed, 21, 0), believed);
});
