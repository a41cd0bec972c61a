import type { MEASURED_BY, Shape } from '../../core/molds/mold';
import type { Use } from '../../core/plan/plan';
import type { Verdict } from '../../core/run/run';

type NamesOf<Keys extends readonly string[]> = Record<Keys[number], string>;

/** What the codes of the core are called on the screen. */
export const USE_NAMES: Record<Use, string> = {
  body: 'Body',
  hands: 'Hands, garden',
  face: 'Face',
  hair: 'Hair',
  'head-to-toe': 'Head to toe',
  gift: 'Gift',
  embeds: 'Embeds',
};

export const SHAPE_NAMES: Record<Shape['kind'], string> = {
  box: 'Box',
  cylinder: 'Cylinder',
  hemisphere: 'Half ball',
  'capacity-only': 'Not measured, capacity only',
};

export const MEASURED_NAMES: NamesOf<typeof MEASURED_BY> = {
  water: 'Water, by weight or jug',
  base: 'Melted base, weighed',
  'one-piece': 'One piece, weighed',
  dimensions: 'Its dimensions',
};

export const VERDICT_NAMES: Record<Verdict, string> = {
  good: 'Good',
  fair: 'Fair',
  poor: 'Poor',
};
