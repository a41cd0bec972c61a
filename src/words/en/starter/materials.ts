import type { Additive } from '../../../core/materials/additive';
import type { Base } from '../../../core/materials/base';
import type { Colorant } from '../../../core/materials/colorant';
import type { Fragrance } from '../../../core/materials/fragrance';
import type { Material } from '../../../core/materials/material';
import {
  unknownAdditive,
  unknownBase,
  unknownColorant,
  unknownFragrance,
} from '../../../core/materials/unknownMaterial';

// Generic materials under generic names. What their packs say is not known, so nearly every figure is left empty:
// usual ones stand in until the user's own take their place, and what nobody knows stays not known.

const base = (id: string, name: string, { look, ...facts }: Pick<Base, 'look'> & Partial<Base>): Base => ({
  ...unknownBase(name, look),
  ...facts,
  id: `usual-${id}`,
});
const scent = (id: string, name: string, fragranceKind: Fragrance['fragranceKind']): Fragrance => ({
  ...unknownFragrance(name, fragranceKind),
  id: `usual-${id}`,
});
const colour = (id: string, name: string, form: Colorant['form']): Colorant => ({
  ...unknownColorant(name, form),
  id: `usual-${id}`,
});
const additive = (
  id: string,
  name: string,
  { role, ...facts }: Pick<Additive, 'role'> & Partial<Additive>,
): Additive => ({
  ...unknownAdditive(name, role),
  ...facts,
  id: `usual-${id}`,
});

export const STARTER_MATERIALS: readonly Material[] = [
  base('clear-base', 'Clear base', { look: 'clear' }),
  base('white-base', 'White base', { look: 'white' }),
  base('milk-base', 'Goat milk base', { look: 'white', contains: 'goat milk', origins: ['milk'] }),
  base('shea-base', 'Shea base', { look: 'white', contains: 'shea', origins: ['nut'] }),
  base('suspension-base', 'Suspension base', { look: 'clear', suspension: true }),
  base('syndet-base', 'Syndet base', { look: 'white', baseKind: 'syndet' }),
  scent('lavender', 'Lavender oil', 'essential-oil'),
  scent('sweet-orange', 'Sweet orange oil', 'essential-oil'),
  scent('peppermint', 'Peppermint oil', 'essential-oil'),
  scent('tea-tree', 'Tea tree oil', 'essential-oil'),
  scent('lemongrass', 'Lemongrass oil', 'essential-oil'),
  scent('eucalyptus', 'Eucalyptus oil', 'essential-oil'),
  scent('fragrance-oil', 'Fragrance oil', 'fragrance-oil'),
  colour('mica', 'Mica powder', 'mica'),
  colour('pigment', 'Pigment powder', 'pigment'),
  colour('liquid-dye', 'Liquid soap dye', 'dye'),
  colour('colour-block', 'Colour block', 'block'),
  additive('oatmeal', 'Ground oatmeal', { role: 'grit', origins: ['cereal'] }),
  additive('poppy-seed', 'Poppy seed', { role: 'grit', origins: [] }),
  additive('rice-bran', 'Rice bran', { role: 'grit', origins: ['cereal'] }),
  additive('calendula', 'Calendula petals', { role: 'botanical', origins: [] }),
  additive('honey', 'Honey', { role: 'humectant', origins: ['bee'] }),
  additive('glycerin', 'Glycerin', { role: 'humectant' }),
  additive('sweet-almond', 'Sweet almond oil', { role: 'oil', origins: ['nut'] }),
  additive('sea-salt', 'Fine sea salt', { role: 'salt', origins: [] }),
  additive('glitter', 'Cosmetic glitter', { role: 'glitter', origins: [] }),
];
