import assert from 'node:assert/strict';
import test from 'node:test';
import psychrolib from 'psychrolib';
import { dewPointC, saturationPa } from '../../src/core/heat/air';
import { dewOn, loosePiece, sweats } from '../../src/core/heat/dew';
import { SOAP } from '../../src/core/heat/substance';

psychrolib.SetUnitSystem(psychrolib.SI);

test('dew point and saturation against a library of psychrometrics (ASHRAE Handbook, Fundamentals, chapter 1)', () => {
  for (const tempC of [5, 12, 16, 21, 28, 35])
    for (const humidity of [0.2, 0.35, 0.5, 0.65, 0.8, 0.95]) {
      const theirs = psychrolib.GetTDewPointFromRelHum(tempC, humidity);
      // Over ice below 0 °C theirs is another curve than over water.
      if (theirs < 0.5) continue;
      const off = Math.abs(dewPointC({ tempC, humidity }) - theirs);
      assert.ok(off < 0.1, `${tempC} °C, ${humidity}: ${off} K`);
    }
  for (const tempC of [1, 10, 20, 30, 40, 55])
    assert.ok(Math.abs(saturationPa(tempC) / psychrolib.GetSatVapPres(tempC) - 1) < 0.006, `${tempC}`);
});

test('out of the freezer: the thicker piece stays wet longer, a dry room leaves none wet', () => {
  const room = { tempC: 21, humidity: 0.5 };
  const dew = (mm: number, humidity = 0.5) =>
    dewOn(loosePiece(SOAP, mm / 1000, -18), { ...room, humidity }, 0.03);
  // Our own model, as it was first worked out: 62 and 156 min for 25 mm, 16 and 42 for 6.5 mm.
  const [thick, thin] = [dew(25), dew(6.5)];
  for (const [told, was] of [
    [thick.aboveDewS, 62],
    [thick.dryS, 156],
    [thin.aboveDewS, 16],
    [thin.dryS, 42],
  ] as const)
    assert.ok(Math.abs(told / 60 / was - 1) < 0.12, `${told / 60} is not ${was} min`);
  assert.ok(dew(25, 0.7).dryS > thick.dryS);
  const warm = dewOn(loosePiece(SOAP, 0.025, 15), room, 0.03);
  assert.deepEqual([warm.aboveDewS, warm.dryS, warm.mostGM2], [0, 0, 0]);
  assert.ok(sweats({ tempC: 21, humidity: 0.6 }, 0.58) && !sweats({ tempC: 21, humidity: 0.55 }, 0.58));
});
