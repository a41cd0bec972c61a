import { blendAsFragrance, blendShares } from '../materials/blend';
import { blendDensity } from '../materials/blendDensity';
import {
  blockMass,
  capsuleMass,
  dropMass,
  type Figure,
  scoopMass,
  spoonDensity,
} from '../materials/defaults';
import type { DoseableMaterial, DosedMaterial, Material } from '../materials/material';
import type { Counted, SingleQuantity } from '../units/quantity';
import type { Assumption, RecipeDose } from './recipeDose';

/** What an amount for each piece is for. */
export interface SharedOut {
  /** null where no mold says how many there are. */
  pieces: number | null;
  jugLossFraction: number;
}

/** What a dose comes to by itself. */
export type Measured = Pick<RecipeDose, 'amount' | 'exact' | 'assumed'>;
type Materials = ReadonlyMap<string, Material>;

/** What a dose comes to that is said by itself, as a straight line in the base weight. */
export function measureDose(
  means: Exclude<SingleQuantity, { kind: 'times' }>,
  material: DosedMaterial,
  { pieces, jugLossFraction }: SharedOut,
): Measured {
  switch (means.kind) {
    case 'ofBase':
      return {
        amount: { shareOfBase: means.fractionOfBase, fixedG: 0 },
        exact: !means.approximate,
        assumed: [],
      };
    case 'volumePerBase':
      return asShare(weigh({ kind: 'volume', volumeMl: means.mlPerBaseG }, material));
    case 'dropsPerBase':
      return asShare(weigh({ kind: 'drops', drops: means.dropsPerBaseG }, material));
    case 'blocksPerBase':
      return asShare(weigh({ kind: 'blocks', blocks: means.blocksPerBaseG }, material));
    case 'perBase':
      return asShare(weigh(means.amount, material));
    case 'perPiece': {
      // Each piece gets its amount, so what stays in the jug has it too.
      const { massG, ...rest } = weigh(means.amount, material);
      const fixedG = (massG * (pieces ?? 1)) / (1 - jugLossFraction);
      return { amount: { shareOfBase: 0, fixedG }, ...rest };
    }
    default: {
      const { massG, ...rest } = weigh(means, material);
      return { amount: { shareOfBase: 0, fixedG: massG }, ...rest };
    }
  }
}

interface Weighed {
  massG: number;
  exact: boolean;
  assumed: Assumption[];
}

function asShare({ massG, ...rest }: Weighed): Measured {
  return { amount: { shareOfBase: massG, fixedG: 0 }, ...rest };
}

/** An amount in grams, and what that rests on. */
export function weigh(amount: Counted, material: DosedMaterial): Weighed {
  switch (amount.kind) {
    case 'mass':
      return { massG: amount.massG, exact: !amount.approximate, assumed: [] };
    case 'volume':
      return counted(amount.volumeMl, spoonDensity(material), 'spoon-density');
    case 'drops':
      return counted(amount.drops, dropMass(material), 'drop-size');
    case 'blocks':
      return counted(amount.blocks, blockMass(material), 'block-mass');
    case 'scoops':
      return counted(amount.scoops, scoopMass(material), 'scoop-size');
    case 'capsules':
      return counted(amount.capsules, capsuleMass(material), 'capsule-mass');
  }
}

function counted(count: number, each: Figure, assumption: Assumption): Weighed {
  return { massG: count * each.value, exact: false, assumed: each.assumed ? [assumption] : [] };
}

/** A blend's own bottle is measured out like a fragrance. */
export function weighedAs(material: DoseableMaterial, materials: Materials): DosedMaterial {
  if (material.kind !== 'blend') return material;
  return {
    ...blendAsFragrance(material, materials),
    densityGPerMl: blendDensity(blendShares(material, materials)).value,
  };
}

/** A spoon or a drop of a blend rests on a usual density where that of one of its members is not known. */
export function withBlendDensity(
  measured: Measured,
  material: DoseableMaterial,
  materials: Materials,
): Measured {
  if (material.kind !== 'blend' || measured.exact || measured.assumed.includes('spoon-density'))
    return measured;
  return blendDensity(blendShares(material, materials)).assumed
    ? { ...measured, assumed: [...measured.assumed, 'spoon-density'] }
    : measured;
}
