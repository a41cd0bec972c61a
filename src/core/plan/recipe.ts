import { baseDensity, dropVolume, spoonDensity, stirredDensity } from '../materials/defaults';
import type { Base, DosedMaterial } from '../materials/material';
import type { Dose, PlanFile, Pour } from './plan';

/** Which stand-in figures a weight rests on until the user measures them. */
export type Assumption = 'density' | 'spoon-density' | 'drop-volume';

/** A dose joined with its material and brought to one of two forms: it grows with the base, or it is fixed. */
export interface RecipeDose {
  doseIndex: number;
  material: DosedMaterial;
  text: string;
  amount: { by: 'share'; fractionOfBase: number } | { by: 'mass'; massG: number };
  /** g/mL in the jug. */
  densityGPerMl: number;
  /** A weight or a share of weight is exact; a spoon, a volume or a drop is not. */
  exact: boolean;
  assumed: Assumption[];
}

export interface RecipePour {
  base: Base;
  baseDensityGPerMl: number;
  baseDensityAssumed: boolean;
  /** This pour's share of the fill. */
  shareOfFill: number;
  doses: RecipeDose[];
  /** Places of the doses whose text cannot be read; they are in nothing that is computed. */
  unreadable: { doseIndex: number; material: DosedMaterial; text: string }[];
}

/** Joins a plan's pours with the materials they name. The file must have passed its schema. */
export function recipeOf(file: PlanFile): RecipePour[] {
  const materials = new Map(file.materials.map((material) => [material.id, material]));
  const allParts = file.plan.pours.reduce((sum, pour) => sum + pour.size.parts, 0);
  return file.plan.pours.map((pour) => {
    const base = materials.get(pour.baseId);
    if (base?.kind !== 'base') throw new RangeError(`no base “${pour.baseId}” in the plan file`);
    const density = baseDensity(base);
    return {
      base,
      baseDensityGPerMl: density.value,
      baseDensityAssumed: density.assumed,
      shareOfFill: pour.size.parts / allParts,
      ...joinDoses(pour, (materialId) => {
        const material = materials.get(materialId);
        if (material === undefined || material.kind === 'base') {
          throw new RangeError(`no material “${materialId}” that can be dosed in the plan file`);
        }
        return material;
      }),
    };
  });
}

function joinDoses(pour: Pour, materialNamed: (id: string) => DosedMaterial) {
  const doses: RecipeDose[] = [];
  const unreadable: RecipePour['unreadable'] = [];
  pour.doses.forEach((dose, doseIndex) => {
    const material = materialNamed(dose.materialId);
    if (dose.means === null) unreadable.push({ doseIndex, material, text: dose.text });
    else doses.push({ doseIndex, material, text: dose.text, ...amountOf(dose.means, material) });
  });
  return { doses, unreadable };
}

function amountOf(
  means: NonNullable<Dose['means']>,
  material: DosedMaterial,
): Pick<RecipeDose, 'amount' | 'densityGPerMl' | 'exact' | 'assumed'> {
  const stirred = stirredDensity(material);
  const spoon = spoonDensity(material);
  const inJug: Assumption[] = stirred.assumed ? ['density'] : [];
  const inSpoon: Assumption[] = spoon.assumed ? ['spoon-density'] : [];
  const byWeight = { densityGPerMl: stirred.value, exact: true, assumed: inJug };
  const bySpoon = { densityGPerMl: stirred.value, exact: false, assumed: [...inJug, ...inSpoon] };
  switch (means.kind) {
    case 'ofBase':
      return { amount: { by: 'share', fractionOfBase: means.fractionOfBase }, ...byWeight };
    case 'mass':
      return { amount: { by: 'mass', massG: means.massG }, ...byWeight };
    case 'volume':
      return { amount: { by: 'mass', massG: means.volumeMl * spoon.value }, ...bySpoon };
    case 'drops': {
      const drop = dropVolume();
      return {
        amount: { by: 'mass', massG: means.drops * drop.value * stirred.value },
        densityGPerMl: stirred.value,
        exact: false,
        assumed: drop.assumed ? [...inJug, 'drop-volume'] : inJug,
      };
    }
  }
}
