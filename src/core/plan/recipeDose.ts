import type { DoseableMaterial } from '../materials/material';
import type { CountedOut } from '../units/counting';
import type { RelationFault } from './relations';

/** Which stand-in figures a weight rests on until the user measures them. */
export const ASSUMPTIONS = [
  'density',
  'spoon-density',
  'drop-size',
  'block-mass',
  'scoop-size',
  'capsule-mass',
] as const;
export type Assumption = (typeof ASSUMPTIONS)[number];

/** A weight as a straight line in the base weight B: shareOfBase · B + fixedG. */
export interface Amount {
  shareOfBase: number;
  fixedG: number;
}

/** How a dose was said: in proportion to the base, as an amount, or in relation to other doses. */
export const SAID_AS = ['share', 'fixed', 'relation'] as const;
export type SaidAs = (typeof SAID_AS)[number];

/** A dose as it was said and what it comes to, before a blend is taken apart. */
export interface RecipeDose {
  doseId: string;
  doseIndex: number;
  material: DoseableMaterial;
  text: string;
  saidAs: SaidAs;
  amount: Amount;
  /** A weight or a share of weight is exact; a spoon, a volume, a block or a drop is not. */
  exact: boolean;
  assumed: Assumption[];
  /** Said for each piece: a jug that holds more than the molds take has more of it. */
  isEach: boolean;
  /** How it is counted out, where it was said so. */
  counted: CountedOut | null;
  /** It begins with the amount and goes by eye, up to `most`; null inside where nobody knows the most. */
  byEye: { most: Amount | null } | null;
  /** It may be left out at the bench. */
  isOptional: boolean;
}

/** A dose that is in nothing that is computed, and why. */
export interface UnreadDose {
  doseIndex: number;
  material: DoseableMaterial;
  text: string;
  why: 'text' | 'no-usual-least' | 'laid-share' | 'no-pieces' | RelationFault;
}
