import { G_PER_LB, G_PER_OZ, ML_PER_US_CUP, ML_PER_US_FL_OZ, ML_PER_US_TBSP, ML_PER_US_TSP } from './factors';

/** A unit a crafter may type, and what one of it is inside the product. */
export type Unit = { symbol: string; names: string[] } & (
  | { kind: 'mass'; massG: number }
  | { kind: 'volume'; volumeMl: number }
  | { kind: 'drops' }
  | { kind: 'blocks' }
  | { kind: 'ofBase' }
);

/** Names are compared in lower case, without points and with single spaces. */
export const UNITS: readonly Unit[] = [
  { kind: 'ofBase', symbol: '%', names: ['%', 'percent', 'pct', '% of base'] },
  { kind: 'mass', symbol: 'mg', names: ['mg', 'milligram', 'milligrams'], massG: 0.001 },
  { kind: 'mass', symbol: 'g', names: ['g', 'gr', 'gram', 'grams', 'gramme', 'grammes'], massG: 1 },
  { kind: 'mass', symbol: 'kg', names: ['kg', 'kilo', 'kilos', 'kilogram', 'kilograms'], massG: 1000 },
  { kind: 'mass', symbol: 'oz', names: ['oz', 'ounce', 'ounces'], massG: G_PER_OZ },
  { kind: 'mass', symbol: 'lb', names: ['lb', 'lbs', 'pound', 'pounds'], massG: G_PER_LB },
  {
    kind: 'volume',
    symbol: 'mL',
    names: ['ml', 'millilitre', 'millilitres', 'milliliter', 'milliliters', 'cc'],
    volumeMl: 1,
  },
  { kind: 'volume', symbol: 'L', names: ['l', 'litre', 'litres', 'liter', 'liters'], volumeMl: 1000 },
  {
    kind: 'volume',
    symbol: 'fl oz',
    names: ['fl oz', 'floz', 'fluid oz', 'fluid ounce', 'fluid ounces'],
    volumeMl: ML_PER_US_FL_OZ,
  },
  { kind: 'volume', symbol: 'tsp', names: ['tsp', 'teaspoon', 'teaspoons'], volumeMl: ML_PER_US_TSP },
  {
    kind: 'volume',
    symbol: 'tbsp',
    names: ['tbsp', 'tablespoon', 'tablespoons'],
    volumeMl: ML_PER_US_TBSP,
  },
  { kind: 'volume', symbol: 'cup', names: ['cup', 'cups'], volumeMl: ML_PER_US_CUP },
  { kind: 'drops', symbol: 'drops', names: ['drop', 'drops'] },
  { kind: 'blocks', symbol: 'block', names: ['block', 'blocks'] },
];

/** What stands for one piece behind “per”. */
export const PIECE_NAMES: readonly string[] = ['piece', 'pieces', 'pc', 'bar', 'cavity', 'each'];

const BY_NAME = new Map(UNITS.flatMap((unit) => unit.names.map((name) => [name, unit] as const)));

/** The unit a crafter means by `name`, or undefined. */
export function unitNamed(name: string): Unit | undefined {
  return BY_NAME.get(plainName(name));
}

export function isPiece(name: string): boolean {
  return PIECE_NAMES.includes(plainName(name));
}

function plainName(name: string): string {
  return name.toLowerCase().replaceAll('.', '').replace(/\s+/g, ' ').trim();
}
