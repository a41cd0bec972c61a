import {
  G_PER_GRAIN,
  G_PER_LB,
  G_PER_OZ,
  ML_PER_ESSLOEFFEL,
  ML_PER_PINCH,
  ML_PER_TEELOEFFEL,
  ML_PER_US_CUP,
  ML_PER_US_FL_OZ,
  ML_PER_US_GALLON,
  ML_PER_US_PINT,
  ML_PER_US_QUART,
  ML_PER_US_TBSP,
  ML_PER_US_TSP,
} from './factors';

/** A unit a crafter may type, and what one of it is inside the product. */
export type Unit = { symbol: string; names: string[] } & (
  | { kind: 'mass'; massG: number }
  | { kind: 'volume'; volumeMl: number }
  | { kind: 'drops' }
  | { kind: 'blocks' }
  | { kind: 'scoops' }
  | { kind: 'capsules' }
  | { kind: 'ofBase'; share: number }
);

/** Names are compared in lower case, without points and with single spaces; the first ones are offered on screens. */
export const UNITS: readonly Unit[] = [
  { kind: 'ofBase', symbol: '%', names: ['%', 'percent', 'per cent', 'pct', 'pph'], share: 0.01 },
  { kind: 'mass', symbol: 'mg', names: ['mg', 'milligram', 'milligrams'], massG: 0.001 },
  {
    kind: 'mass',
    symbol: 'g',
    names: ['g', 'gr', 'gm', 'gms', 'gram', 'grams', 'gramme', 'grammes'],
    massG: 1,
  },
  {
    kind: 'mass',
    symbol: 'kg',
    names: ['kg', 'kgs', 'kilo', 'kilos', 'kilogram', 'kilograms'],
    massG: 1000,
  },
  { kind: 'mass', symbol: 'oz', names: ['oz', 'ozs', 'ounce', 'ounces'], massG: G_PER_OZ },
  { kind: 'mass', symbol: 'lb', names: ['lb', 'lbs', 'pound', 'pounds', '#'], massG: G_PER_LB },
  {
    kind: 'volume',
    symbol: 'mL',
    names: ['ml', 'mls', 'millilitre', 'millilitres', 'milliliter', 'milliliters', 'cc', 'cm³', 'cm3'],
    volumeMl: 1,
  },
  { kind: 'volume', symbol: 'L', names: ['l', 'ltr', 'litre', 'litres', 'liter', 'liters'], volumeMl: 1000 },
  {
    kind: 'volume',
    symbol: 'fl oz',
    names: [
      ...['fl oz', 'floz', 'fluid oz', 'fluid ounce', 'fluid ounces', 'oz fl', 'us fl oz'],
      'us fluid ounces',
    ],
    volumeMl: ML_PER_US_FL_OZ,
  },
  {
    kind: 'volume',
    symbol: 'tsp',
    names: ['tsp', 'tsps', 'teaspoon', 'teaspoons', 'teaspoonful', 'teaspoonfuls'],
    volumeMl: ML_PER_US_TSP,
  },
  {
    kind: 'volume',
    symbol: 'tbsp',
    names: [
      ...['tbsp', 'tbsps', 'tbs', 'tbl', 'tblsp', 'tblsps', 'tablespoon', 'tablespoons'],
      ...['tablespoonful', 'tablespoonfuls'],
    ],
    volumeMl: ML_PER_US_TBSP,
  },
  {
    kind: 'volume',
    symbol: 'cup',
    names: ['cup', 'cups', 'c', 'us cup', 'us cups'],
    volumeMl: ML_PER_US_CUP,
  },
  { kind: 'drops', symbol: 'drops', names: ['drop', 'drops', 'drps', 'droplet', 'droplets', 'gtt', 'gtts'] },
  {
    kind: 'blocks',
    symbol: 'block',
    names: ['block', 'blocks', 'color block', 'color blocks', 'colour block', 'colour blocks'],
  },
  { kind: 'scoops', symbol: 'scoop', names: ['scoop', 'scoops', 'scoopful', 'scoopfuls'] },
  { kind: 'capsules', symbol: 'capsule', names: ['capsule', 'capsules'] },
  { kind: 'volume', symbol: 'pinch', names: ['pinch', 'pinches'], volumeMl: ML_PER_PINCH },
  { kind: 'volume', symbol: 'pint', names: ['pint', 'pints', 'pt', 'us pint'], volumeMl: ML_PER_US_PINT },
  { kind: 'volume', symbol: 'quart', names: ['quart', 'quarts', 'qt', 'qts'], volumeMl: ML_PER_US_QUART },
  { kind: 'volume', symbol: 'gallon', names: ['gallon', 'gallons', 'gal'], volumeMl: ML_PER_US_GALLON },
  { kind: 'volume', symbol: 'cL', names: ['cl', 'centilitre', 'centilitres'], volumeMl: 10 },
  { kind: 'volume', symbol: 'dL', names: ['dl', 'decilitre', 'decilitres'], volumeMl: 100 },
  { kind: 'volume', symbol: 'EL', names: ['el'], volumeMl: ML_PER_ESSLOEFFEL },
  { kind: 'volume', symbol: 'TL', names: ['tl'], volumeMl: ML_PER_TEELOEFFEL },
  { kind: 'mass', symbol: 'grains', names: ['grain', 'grains'], massG: G_PER_GRAIN },
  {
    kind: 'ofBase',
    symbol: '‰',
    names: ['‰', 'per mille', 'per mill', 'permille', 'per thousand'],
    share: 0.001,
  },
  { kind: 'ofBase', symbol: 'ppm', names: ['ppm'], share: 1e-6 },
];

/** Where the case of a single letter tells spoons apart. */
const BY_CASE = new Map([
  ['T', 'tbsp'],
  ['t', 'tsp'],
]);

/** What stands for one piece behind “per”. */
const PIECE = /^(?:finished )?(?:pieces?|pcs?|bars?|soap|cake|slice|cavity|each)(?: of soap)?$/;

/** Dosed by eye. */
export const TO_TASTE = { symbol: 'to taste', names: ['to taste', 'by eye'] };

const BY_NAME = new Map(UNITS.flatMap((unit) => unit.names.map((name) => [name, unit] as const)));

/** The unit a crafter means by `name`, or undefined. */
export function unitNamed(name: string): Unit | undefined {
  const cased = BY_CASE.get(name.replaceAll('.', '').trim());
  return BY_NAME.get(cased ?? plainName(name));
}

export function isPiece(name: string): boolean {
  return PIECE.test(plainName(name));
}

const LONGEST_NAME = Math.max(...[...BY_NAME.keys()].map((name) => name.split(' ').length));
const WORD = /^[^\s\d,+&×*()/=:±<>|[\]{}½⅓⅔¼¾⅛⅜⅝⅞–—-]+3?/;

/** The unit at the head of a text, the longest name that fits, and what follows it. */
export function unitAtHead(text: string): { unit: Unit; rest: string } | undefined {
  const ends: number[] = [];
  let end = 0;
  while (ends.length < LONGEST_NAME) {
    const gap = ends.length === 0 ? 0 : (/^ +/.exec(text.slice(end))?.[0].length ?? -1);
    if (gap < 0) break;
    const word = WORD.exec(text.slice(end + gap))?.[0];
    if (word === undefined) break;
    end += gap + word.length;
    ends.push(end);
  }
  for (const at of ends.reverse()) {
    const unit = unitNamed(text.slice(0, at));
    if (unit) return { unit, rest: text.slice(at).trim() };
  }
  return undefined;
}

function plainName(name: string): string {
  return name.toLowerCase().replaceAll('.', '').replace(/\s+/g, ' ').trim();
}

/** The symbol of the unit that a misspelt word is one letter away from, or null. */
export function closestUnit(word: string): string | null {
  const plain = plainName(word);
  if (plain.length < 3) return null;
  for (const [name, { symbol }] of BY_NAME) if (name.length > 2 && isOneLetterOff(plain, name)) return symbol;
  return null;
}

/** One letter more, less or other, or two neighbours changed over. */
function isOneLetterOff(one: string, other: string): boolean {
  if (Math.abs(one.length - other.length) > 1) return false;
  let head = 0;
  while (head < one.length && one[head] === other[head]) head++;
  let tail = 0;
  while (tail < Math.min(one.length, other.length) - head && one.at(-1 - tail) === other.at(-1 - tail))
    tail++;
  const [left, right] = [one.slice(head, one.length - tail), other.slice(head, other.length - tail)];
  return (
    Math.max(left.length, right.length) <= 1 ||
    (left.length === 2 && right.length === 2 && left[0] === right[1] && left[1] === right[0])
  );
}
