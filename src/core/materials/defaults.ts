import { DEFAULT_ML_PER_DROP, ML_PER_US_TSP } from '../units/factors';
import { type Additive, isPowderRole } from './additive';
import type { Base } from './base';
import type { Colorant } from './colorant';
import type { DosedMaterial } from './material';
import { meanOf } from './reading';

/** A figure, and whether it is the material's own or a stand-in until the user measures it. */
export interface Figure {
  value: number;
  assumed: boolean;
}

/** Our own assumption for a soap or syndet base until measured. */
export const DEFAULT_BASE_DENSITY_G_PER_ML = 1.05;

/** From memory: most fragrance oils lie between 0.88 and 1.05 g/mL, dry powders pack to about half of water. */
const DENSITY_G_PER_ML = { fragrance: 0.95, colorant: 1, additive: 1 } as const;
const BULK_DENSITY_G_PER_ML = 0.5;
/** From memory: vegetable oils lie between 0.91 and 0.93 g/mL, honey at 1.42, glycerin at 1.26. */
const ROLE_DENSITY_G_PER_ML: Partial<Record<Additive['role'], number>> = { oil: 0.92, humectant: 1.26 };
const HONEY_DENSITY_G_PER_ML = 1.42;
const GLYCERIN_DENSITY_G_PER_ML = 1.26;
/** From memory: isopropyl alcohol. */
const ALCOHOL_DENSITY_G_PER_ML = 0.79;

/** Our own assumption: a colour block is about an ounce. */
const BLOCK_MASS_G = 28;
/** Our own assumption: a small scoop of colour holds about an eighth of a teaspoon. */
const SCOOP_ML = ML_PER_US_TSP / 8;
/** Our own assumption: a soft capsule of oil holds about a third of a gram. */
const CAPSULE_MASS_G = 0.33;

/** Common practice, no source: what a base of its kind usually holds. */
const FRAGRANCE_CAP_OF_BASE = { soap: 0.03, 'detergent-free': 0.03, syndet: 0.02 } as const;
/** Syndet: common practice, no source. Soap: our own assumption, grit counted apart. */
const ADDITIONS_CAP_OF_BASE = { soap: 0.1, 'detergent-free': 0.1, syndet: 0.03 } as const;

/** Syndet: common practice, no source. Soap: a tablespoon in 8 oz still sets, more may never harden (6 %). */
const OILS_CAP_OF_BASE = { soap: 0.06, 'detergent-free': 0.06, syndet: 0.01 } as const;
/** From memory: water and honey beyond this make bars sticky. */
const LIQUIDS_CAP_OF_BASE = 0.03;

/**
 * The most that is usual, of base. Mica: common practice, no source, 0.5 to 0.75 g per 100 g. Dye: common practice,
 * no source, 14 drops of 0.05 g in 300 g. Pigment, block, glitter, salt: our own assumption.
 */
const USUAL_MOST = { glitter: 0.005, salt: 0.05 } as const;
const USUAL_MOST_COLOUR: Partial<Record<Colorant['form'], number>> = {
  mica: 0.0075,
  pigment: 0.0075,
  dye: (14 * 0.05) / 300,
  block: 0.25,
};
/** Common practice, no source: a quarter teaspoon a pound is the least in use. */
const USUAL_LEAST_FRAGRANCE = 0.0025;

/** Common practice, no source: do not pass 160 °F. */
export const DEFAULT_CEILING_C = 71;

function figure(own: number | null, standIn: number): Figure {
  return own === null ? { value: standIn, assumed: true } : { value: own, assumed: false };
}

export function baseDensity(base: Pick<Base, 'densityGPerMl'>): Figure {
  return figure(base.densityGPerMl, DEFAULT_BASE_DENSITY_G_PER_ML);
}

/** Grams a millilitre the material takes up once it is stirred into the base. */
export function stirredDensity(material: DosedMaterial): Figure {
  const own = material.densityGPerMl;
  return own === null ? { value: usualDensity(material), assumed: true } : { value: own, assumed: false };
}

/** By its name where that says what it is, else by its role. */
function usualDensity(material: DosedMaterial): number {
  if (/\bhoney\b/i.test(material.name)) return HONEY_DENSITY_G_PER_ML;
  if (/\bglycerine?\b/i.test(material.name)) return GLYCERIN_DENSITY_G_PER_ML;
  if (material.kind === 'dispersant')
    return material.leaves ? ALCOHOL_DENSITY_G_PER_ML : GLYCERIN_DENSITY_G_PER_ML;
  const ofRole = material.kind === 'additive' ? ROLE_DENSITY_G_PER_ML[material.role] : undefined;
  return ofRole ?? DENSITY_G_PER_ML[material.kind];
}

/** Grams a millilitre of the material as it lies in a spoon: as weighed, else loose for a powder, itself for a liquid. */
export function spoonDensity(material: DosedMaterial): Figure {
  const weighed = meanOf(material.readings, 'spoon');
  if (weighed) return { value: weighed.gPerOne, assumed: false };
  if (!isPowder(material)) return stirredDensity(material);
  return figure(material.bulkDensityGPerMl, BULK_DENSITY_G_PER_ML);
}

/** True for what a spoon holds with air between the grains; a powder is not counted in drops. */
export function isPowder(
  material: DosedMaterial,
): material is Extract<DosedMaterial, { bulkDensityGPerMl: number | null }> {
  if (material.kind === 'colorant') return material.form === 'mica' || material.form === 'pigment';
  return material.kind === 'additive' && isPowderRole(material.role);
}

/** Grams a drop: as counted onto the scale, else a usual drop of the material's density. */
export function dropMass(material: DosedMaterial): Figure {
  const weighed = meanOf(material.readings, 'drops');
  if (weighed) return { value: weighed.gPerOne, assumed: false };
  return { value: DEFAULT_ML_PER_DROP * stirredDensity(material).value, assumed: true };
}

/** Grams a colour block: as weighed, else a usual one. */
export function blockMass(material: DosedMaterial): Figure {
  const weighed = meanOf(material.readings, 'blocks');
  return weighed ? { value: weighed.gPerOne, assumed: false } : { value: BLOCK_MASS_G, assumed: true };
}

/** Grams a scoop of one's own: as weighed, else a small one of what lies in a spoon. */
export function scoopMass(material: DosedMaterial): Figure {
  const weighed = meanOf(material.readings, 'scoops');
  if (weighed) return { value: weighed.gPerOne, assumed: false };
  return { value: SCOOP_ML * spoonDensity(material).value, assumed: true };
}

/** Grams in a capsule: as weighed, else a usual one. */
export function capsuleMass(material: DosedMaterial): Figure {
  const weighed = meanOf(material.readings, 'capsules');
  return weighed ? { value: weighed.gPerOne, assumed: false } : { value: CAPSULE_MASS_G, assumed: true };
}

export function fragranceCap(base: Base): Figure {
  return figure(base.fragranceCapOfBase, FRAGRANCE_CAP_OF_BASE[base.baseKind]);
}

export function oilsCap(base: Base): Figure {
  return figure(base.oilsCapOfBase, OILS_CAP_OF_BASE[base.baseKind]);
}

export function liquidsCap(base: Base): Figure {
  return figure(base.liquidsCapOfBase, LIQUIDS_CAP_OF_BASE);
}

export function additionsCap(base: Base): Figure {
  return figure(base.additionsCapOfBase, ADDITIONS_CAP_OF_BASE[base.baseKind]);
}

/** Whether grit counts to a base's cap of additions. Common practice, no source: in a syndet it does, in soap it is apart. */
export function gritCounts(base: Base): boolean {
  return base.gritCounts ?? base.baseKind === 'syndet';
}

export function ceiling(base: Base): Figure {
  return figure(base.ceilingC, DEFAULT_CEILING_C);
}

/** The most of a material that is usual, of base; undefined where nobody has a figure. */
export function usualMost(material: DosedMaterial): Figure | undefined {
  if (material.usualMostOfBase !== null) return { value: material.usualMostOfBase, assumed: false };
  if (material.kind === 'colorant') {
    const most = USUAL_MOST_COLOUR[material.form];
    return most === undefined ? undefined : { value: most, assumed: true };
  }
  if (material.kind === 'additive' && (material.role === 'glitter' || material.role === 'salt'))
    return { value: USUAL_MOST[material.role], assumed: true };
  return undefined;
}

/** The least of a material that does its work, of base; undefined where nobody has a figure. */
export function usualLeast(material: DosedMaterial): Figure | undefined {
  if (material.usualLeastOfBase !== null) return { value: material.usualLeastOfBase, assumed: false };
  return material.kind === 'fragrance' ? { value: USUAL_LEAST_FRAGRANCE, assumed: true } : undefined;
}

/** Whether a colour moves into its neighbour. Common practice, no source: liquid dyes bleed, micas and pigments stay. */
export function bleeds(material: Extract<DosedMaterial, { kind: 'colorant' }>): boolean | null {
  if (material.bleeds !== null) return material.bleeds;
  if (material.form === 'block') return null;
  return material.form !== 'mica' && material.form !== 'pigment';
}
