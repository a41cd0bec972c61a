import assert from 'node:assert/strict';
import test from 'node:test';
import { additive, colorant, fragrance } from '../../../tests/support/planFiles';
import { USUAL_HOUSE_RULES } from '../../core/houseRules/houseRules';
import { firstDose } from './firstDose';

test('a dose begins the way the house says it, and never over what is usual at the most', () => {
  const first = (...[material, rules = {}]: [Parameters<typeof firstDose>[0], object?]) =>
    firstDose(material, { ...USUAL_HOUSE_RULES, ...rules });
  assert.equal(first(fragrance()), '1 %');
  assert.equal(first(fragrance(), { fragranceBy: 'drops' }), '6 drops/piece');
  assert.equal(first(additive({ role: 'stabiliser' })), '= fragrance');
  assert.equal(first(additive({ usualMostOfBase: 0.004 })), '0.4 %');
  // Rounded down: a third of a percent is not begun above.
  assert.equal(first(additive({ usualMostOfBase: 0.01 / 3 })), '0.333 %');
  assert.equal(first(colorant({ usualMostOfBase: null })), '0.2 %');
  const glitter = Number.parseFloat(first(additive({ role: 'glitter', usualMostOfBase: null })));
  assert.ok(glitter > 0 && glitter <= 0.5, String(glitter));
});
