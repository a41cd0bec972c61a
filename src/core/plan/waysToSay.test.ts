import assert from 'node:assert/strict';
import test from 'node:test';
import fc from 'fast-check';
import { additive, fragrance, isClose, planFile, sheetOf } from '../../../tests/support/planFiles';
import type { DosedMaterial } from '../materials/material';
import { waysToSay } from './waysToSay';

function only(doses: [DosedMaterial, string][], plan = {}) {
  const sheet = sheetOf(planFile([{ doses }], plan));
  const [pour] = sheet.pours;
  const [line] = pour?.lines ?? [];
  assert.ok(pour && line);
  return { sheet, pour, line };
}

test('every way to say a dose, typed in its place, is the same dose within its three digits', () => {
  const said = fc.constantFrom(
    '2 %',
    '7 g',
    '0.3 oz',
    '1½ tsp',
    '40 drops',
    '0.5 mL/piece',
    '12 mL/kg',
    '0.04 %',
  );
  const pieces = fc.integer({ min: 1, max: 90 });
  const material = fc.constantFrom(
    fragrance(),
    additive(),
    additive({ role: 'grit', bulkDensityGPerMl: 0.6 }),
  );
  fc.assert(
    fc.property(said, pieces, material, (text, count, dosed) => {
      const plan = { pieces: count, jugLossFraction: 0.03 };
      const { sheet, pour, line } = only([[dosed, text]], plan);
      const ways = waysToSay(line, line.material, pour, sheet);
      assert.ok(ways.length >= 8);
      for (const way of ways) {
        const again = only([[dosed, way.text]], plan).line;
        assert.ok(isClose(again.massG, line.massG, 0.0052), `${text} as ${way.text}`);
        assert.equal(again.exact, way.exact, way.text);
      }
    }),
  );
});

test('a powder is not said in drops', () => {
  const { sheet, pour, line } = only([[additive({ role: 'grit' }), '8 %']]);
  assert.ok(waysToSay(line, line.material, pour, sheet).every(({ text }) => !text.includes('drops')));
});

test('no dose, nothing to say', () => {
  const { sheet, pour, line } = only([[fragrance(), '0 g']]);
  assert.deepEqual(waysToSay(line, line.material, pour, sheet), []);
});
