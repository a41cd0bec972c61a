import type { HouseRules } from '../houseRules/houseRules';
import type { DoseableMaterial, Material } from '../materials/material';
import type { Wetting } from './plan';

/** Our own assumption: a powder takes three times its weight to become a thin paste. */
const WETTING_TIMES = 3;

/** How the house wets a mica, when what it takes is on the shelf. */
export function houseWetting(
  material: DoseableMaterial,
  materials: readonly Material[],
  { micaIn }: Pick<HouseRules, 'micaIn'>,
): Wetting | undefined {
  if (material.kind !== 'colorant' || material.form !== 'mica' || micaIn === 'dry') return undefined;
  return wettingIn(materials, micaIn === 'alcohol');
}

/**
 * What a powder is wetted in, from what is on the shelf; undefined where nothing of the kind is.
 *
 * @param leaves it leaves the hot base again, as alcohol does
 */
export function wettingIn(materials: readonly Material[], leaves: boolean): Wetting | undefined {
  const dispersant = materials.find(
    (each) => each.kind === 'dispersant' && !each.archived && each.leaves === leaves,
  );
  return dispersant && { dispersantId: dispersant.id, times: WETTING_TIMES };
}
