import type { HouseRules } from '../../core/houseRules/houseRules';
import { usualMost } from '../../core/materials/defaults';
import type { DoseableMaterial, Material } from '../../core/materials/material';
import { houseWetting } from '../../core/plan/houseWetting';
import type { Wetting } from '../../core/plan/plan';
import { writeFigure } from '../../core/units/writeQuantity';

/** Common practice, no source: where most begin, said the way the house says it. */
const FIRST_FRAGRANCE: Record<HouseRules['fragranceBy'], string> = {
  weight: '1 %',
  spoons: '½ tsp/lb',
  drops: '6 drops/piece',
};
const FIRST_SHARE: Record<Exclude<DoseableMaterial['kind'], 'fragrance' | 'blend'>, number> = {
  colorant: 0.002,
  additive: 0.01,
  dispersant: 0.01,
};

/** How a material that is added begins. */
export function firstDose(material: DoseableMaterial, rules: HouseRules): string {
  if (material.kind === 'fragrance' || material.kind === 'blend') return FIRST_FRAGRANCE[rules.fragranceBy];
  if (material.kind === 'additive' && material.role === 'stabiliser') return '= fragrance';
  const most = usualMost(material)?.value ?? 1;
  return `${writeFigure(Math.min(most, FIRST_SHARE[material.kind]) * 100, 3, 'down')} %`;
}

/** The same, with what it is wetted in. */
export function firstDoseWetted(
  material: DoseableMaterial,
  materials: readonly Material[],
  rules: HouseRules,
): { text: string; wetIn: Wetting | undefined } {
  return { text: firstDose(material, rules), wetIn: houseWetting(material, materials, rules) };
}
