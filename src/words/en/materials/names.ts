import type { ADDITIVE_ROLES } from '../../../core/materials/additive';
import type { BASE_KINDS, BASE_LOOKS, SET_SPEEDS, SWEAT_GRADES } from '../../../core/materials/base';
import type { COLORANT_FORMS } from '../../../core/materials/colorant';
import type { ORIGINS, SKIN_RELEASES } from '../../../core/materials/fields';
import type { FRAGRANCE_KINDS } from '../../../core/materials/fragrance';

type NamesOf<Keys extends readonly string[]> = Record<Keys[number], string>;

/** What the codes of the shelf are called. */
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

export const SWEAT_NAMES: NamesOf<typeof SWEAT_GRADES> = {
  standard: 'Standard',
  low: 'Low',
  none: 'None',
  unknown: 'Not known',
};

export const SPEED_NAMES: NamesOf<typeof SET_SPEEDS> = {
  normal: 'Normal',
  fast: 'Fast',
  unknown: 'Not known',
};

export const FRAGRANCE_KIND_NAMES: NamesOf<typeof FRAGRANCE_KINDS> = {
  'fragrance-oil': 'Fragrance oil',
  'essential-oil': 'Essential oil',
};

export const FORM_NAMES: NamesOf<typeof COLORANT_FORMS> = {
  mica: 'Mica',
  pigment: 'Pigment',
  dye: 'Liquid dye',
  block: 'Colour block',
  food: 'Food colouring',
  'candle-dye': 'Candle dye',
};

export const ROLE_NAMES: NamesOf<typeof ADDITIVE_ROLES> = {
  grit: 'Grit',
  botanical: 'Botanical',
  oil: 'Oil or butter',
  humectant: 'Humectant',
  liquid: 'Liquid',
  active: 'Water-soluble active',
  surfactant: 'Surfactant',
  salt: 'Salt',
  glitter: 'Glitter',
  stabiliser: 'Vanilla stabiliser',
  other: 'Something else',
};

export const SKIN_NAMES: NamesOf<typeof SKIN_RELEASES> = {
  released: 'Released for skin',
  'not-released': 'Not for skin',
  'candle-only': 'Candles only',
  unknown: 'Not known',
};

export const ORIGIN_NAMES: NamesOf<typeof ORIGINS> = {
  nut: 'Nut',
  soy: 'Soy',
  milk: 'Milk',
  cereal: 'Cereal',
  bee: 'Bee',
  animal: 'Animal',
};
