import { type Pour, pourLetter } from '../../core/plan/plan';
import { writePourSize } from '../../core/plan/pourSize';
import { massUnit, type UnitSystem } from '../../core/units/showQuantity';
import { writeMass } from '../../core/units/writeQuantity';

/** A pour's size in the few letters of a tab. */
export function pourSizeInShort({ size, way }: Pour, index: number, system: UnitSystem): string {
  if (index > 0 && way?.besideShare !== undefined) return `beside ${pourLetter(index - 1)}`;
  const mass = (massG: number) => `${writeMass(massG, system)} ${massUnit(system)}`;
  if (size.by === 'mass') return mass(size.massG);
  return size.by === 'base' ? `${mass(size.baseG)} base` : writePourSize(size, system);
}
