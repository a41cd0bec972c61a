import { ok, type Result } from '../result';
import { parseQuantity } from './parseQuantity';
import type { QuantityFault } from './quantityFault';
import { massUnit, type UnitSystem } from './showQuantity';

/** Reads a weight, g, in a field whose unit stands beside it: a bare number is in that unit, `0.27 oz` in its own. */
export function parseMass(text: string, system: UnitSystem): Result<number, QuantityFault> {
  const own = parseQuantity(text, ['mass']);
  const parsed =
    !own.success && own.error.code === 'no-unit'
      ? parseQuantity(`${text} ${massUnit(system)}`, ['mass'])
      : own;
  if (!parsed.success) return parsed;
  return ok(parsed.data.kind === 'mass' ? parsed.data.massG : 0);
}
