import type {
  ADDITIVE_ROLES,
  BASE_KINDS,
  BASE_LOOKS,
  COLORANT_FORMS,
  MaterialKind,
  SKIN_RELEASES,
} from '../../core/materials/material';
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

export const KIND_NAMES: Record<MaterialKind, string> = {
  base: 'Base',
  fragrance: 'Fragrance',
  colorant: 'Colorant',
  additive: 'Additive',
};

export const BASE_KIND_NAMES: NamesOf<typeof BASE_KINDS> = {
  soap: 'Soap',
  'detergent-free': 'Soap, detergent-free',
  syndet: 'Syndet (not soap)',
};

export const LOOK_NAMES: NamesOf<typeof BASE_LOOKS> = {
  clear: 'Clear',
  translucent: 'Translucent',
  white: 'White',
  ivory: 'Ivory',
  tinted: 'Tinted',
};

export const FORM_NAMES: NamesOf<typeof COLORANT_FORMS> = {
  mica: 'Mica',
  pigment: 'Pigment',
  dye: 'Liquid dye',
};

export const ROLE_NAMES: NamesOf<typeof ADDITIVE_ROLES> = {
  grit: 'Grit',
  botanical: 'Botanical',
  oil: 'Oil or butter',
  liquid: 'Liquid',
  active: 'Water-soluble active',
  stabiliser: 'Stabiliser',
  other: 'Something else',
};

export const SKIN_NAMES: NamesOf<typeof SKIN_RELEASES> = {
  released: 'Released for skin',
  'not-released': 'Not for skin',
  unknown: 'Not known',
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
