import type { DosedMaterial } from '../materials/material';
import type { Laid } from './laid';
import type { RecipeDose } from './recipeDose';

/**
 * One thing to weigh. A dose of a blend is a line for each of its fragrances; a dose that is wetted has a line for
 * its dispersant too.
 */
export interface RecipeLine extends Omit<RecipeDose, 'material'> {
  material: DosedMaterial;
  /** g/mL in the jug. */
  densityGPerMl: number;
  /** Name of the blend it is a part of. */
  blend: string | null;
  /** It is what the dose is wetted in. */
  wets: boolean;
  /** It leaves the hot base again, and is in no weight. */
  leaves: boolean;
  /** What its pour holds, or what is added to a jug that later pours go on in. */
  counts: 'content' | 'added';
}

/** What is laid and not stirred in: in no jug, and all of it in the molds. */
export interface LaidLine extends RecipeLine {
  laid: Laid;
}

/** A dose that came into the jug with an earlier pour and is still in it. */
export interface CarriedLine extends RecipeLine {
  fromPourIndex: number;
}

/** What was melted before and is in the base of a pour. */
export interface InheritedLine extends RecipeLine {
  fromScrapId: string;
}
