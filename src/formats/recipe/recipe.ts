import type { Material } from '../../core/materials/material';
import type { Laid } from '../../core/plan/laid';
import type { PourSize } from '../../core/plan/pourSize';

/** A recipe as it stands in a notebook, line by line. */
export interface Recipe {
  lines: RecipeLine[];
  /** What stands in the block at its end. */
  settings: RecipeSettings;
}

/** One line and what was understood of it. */
export type RecipeLine = { at: number; text: string } & (
  | { kind: 'blank' }
  /** Before anything else, a line without an amount names the plan. */
  | { kind: 'title'; name: string }
  /** What follows goes into this pour. */
  | { kind: 'pour'; size: PourSize | null }
  /** A base; so much of it where that was said. */
  | { kind: 'base'; amount: { text: string; massG: number } | null; name: string; found: Found }
  /** A dose, or several of one material that go to several places. */
  | { kind: 'dose'; parts: RecipePart[]; pourIndex: number; name: string; found: Found }
  | { kind: 'unread'; why: RecipeLineFault }
);

/** So much of a line's material, and where it goes. */
export interface RecipePart {
  /** The amount, as a dose says it. */
  text: string;
  laid: Laid | null;
  /** It may be left out. */
  isOptional: boolean;
}

export type RecipeLineFault =
  | 'no-amount'
  /** Its parts are not what it says in all. */
  | 'parts-differ'
  | 'no-place'
  | 'base-not-weighed'
  /** What everything else goes into can't be left out. */
  | 'base-optional'
  | 'pour-size'
  | 'setting';

/** What on the shelf a name means. */
export type Found =
  | { kind: 'called'; material: Material }
  | { kind: 'among'; materials: Material[] }
  | { kind: 'none' };

/** What lines of a recipe can't say, as it was written. */
export interface RecipeSettings {
  name?: string;
  for?: string;
  mold?: string;
  secondMold?: string;
  pieces?: number;
  /** A fraction. */
  fill?: number;
  staysInJug?: number;
  /** The rest of the plan, by pour and dose. */
  more?: unknown;
}
