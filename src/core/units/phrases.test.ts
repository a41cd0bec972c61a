import assert from 'node:assert/strict';
import test from 'node:test';
import fc from 'fast-check';
import { meaningsOf } from './meanings';
import { parseQuantity } from './parseQuantity';
import { writeQuantity } from './writeQuantity';

const read = (text: string) => {
  const parsed = parseQuantity(text);
  return parsed.success ? parsed.data : parsed.error.code;
};

/** Each line: a plain way to write it, and the ways it is said. */
const SAME: Record<string, string[]> = {
  '2 %': [
    '2 per cent',
    'two percent',
    '2 ％',
    '2 % w/w',
    '2% of the base',
    '2 % of base (by weight)',
    '1:50',
    '2:100',
  ],
  '0.5 %': ['½ %', '5‰', '5 per mille', 'half a percent', '1 part to 200', '5 parts per thousand', '.5 pph'],
  '3 %': ['3 parts in 100', '3 parts per hundred', 'three parts in a hundred', '3 % by weight', '3 pph'],
  '2 g/100 g': [
    '2 g in 100 g',
    '2 g to 100 g',
    '2 g for 100 g',
    '2 g per 100 g of base',
    '20 g a kilo',
    '20 g to the kilo',
  ],
  '1 oz/2 lb': ['1 oz to 2 lb', 'an ounce to two pounds', '1 oz in 2 lbs', '1 oz for every 2 pounds'],
  '½ tsp/lb': [
    'half a teaspoon per pound',
    '½ tsp ppo',
    '½ tsp a pound',
    '½ tsp per pound of base',
    '1/2 tsp per lb of soap',
  ],
  '1 tsp/lb': ['tsp per pound', 'a teaspoon per pound of melted base', '1 t per lb', '1 tsp for each pound'],
  '40 drops/lb': ['40 drops per pound', 'forty drops a pound', '40 drops ppo', '40 gtt/lb'],
  '6 drops/piece': [
    'six drops per bar',
    '6 drops a piece',
    '6 drops per soap',
    '6 drops in each',
    '6 drops for each bar',
  ],
  '1 g/piece': ['1 g per bar', 'one gram a bar', '1 g in every piece'],
  '566.9904625 g': [
    '1 lb 4 oz',
    '1 lb, 4 oz',
    '1 pound 4 ounces',
    'a pound and four ounces',
    '20 oz',
    '1¼ lb',
    '1# 4 oz',
  ],
  '10 g': ['2 × 5 g', '2 x 5g', '5 g × 2', 'ten grams', '5 g + 5 g', '4 g plus 6 g', '10 gms', '0.01 kg'],
  '14.1747615625 g': ['half an ounce', '½ oz', 'a half ounce', '0.5 ozs', '1/2 oz. by weight', 'half ounce'],
  '1000 g': ['1 000 g', '1.000,0 g', '1,000.0 g', '1 kilo', 'a kilogram', 'one thousand grams'],
  '12 drops': [
    'a dozen drops',
    '12 drops of oil',
    '12 drops in total',
    'twelve drops each',
    '12 droplets',
    '6 drops × 2',
  ],
  '1 ½ tsp': [
    '1-1/2 tsp',
    '1½ teaspoons',
    'one and a half teaspoons',
    '1 and 1/2 tsp',
    '1 level tsp + ½ tsp',
    '½ T',
  ],
  '¾ tsp': ['three quarters of a teaspoon', 'three-quarter teaspoon', '3/4 tsp', '½ tsp plus ¼ tsp'],
  '1 tbsp': ['1 T', '1 Tbs', 'a tablespoon', '3 tsp', '1 tblsp', '½ fl oz', '1 level tablespoon', '3 t'],
  '2 cups': ['1 pint', '1 pt', 'half a quart', '2 c', '16 fl. oz.', '16 US fl oz', 'two cups of rice bran'],
  '1 heaped tsp': ['1 tsp heaped', '1 heaping teaspoon', 'a rounded teaspoon', '1½ tsp'],
  '1 pinch': ['a pinch', '1/16 tsp', 'one pinch'],
  '¼ block': ['¼ of the block', 'a quarter of a block', '1/4 colour block', 'quarter block'],
  '1 scoop': ['a scoop', 'one level scoop', '1 scoopful'],
  '2 capsules': ['two capsules', 'a capsule + 1 capsule'],
  '1 scoop/kg': ['a scoop per kilo', '1 scoop to a kilo'],
  'about 5 g': ['approx. 5 g', 'roughly 5 grams', '~5 g', 'ca. 5 g', '5 g or so', 'some 5 g'],
  'about 2 %': ['around 2 %', '≈ 2 %', '2 % approx.'],
  '1x fragrance': [
    '= fragrance',
    'same as the fragrance',
    'as much as the fragrance',
    'equal to the fragrance',
    '1:1 fragrance',
  ],
  '2x fragrance': [
    'twice the fragrance',
    'double the fragrance',
    '2 times the fragrance',
    '2x as much as the fragrance',
  ],
  '0.5x fragrance': [
    'half the fragrance',
    '½ the fragrance',
    '50 % of the fragrance',
    'half as much as the fragrance',
  ],
  '6–9 drops': [
    '6-9 drops',
    '6 to 9 drops',
    'between 6 and 9 drops',
    'from 6 to 9 drops',
    '6 drops – 9 drops',
    'six or nine drops',
  ],
  '0.25–0.5 tsp/lb': ['¼ to ½ tsp per pound', '¼–½ tsp/lb'],
  '2–3 %': ['2-3%', '2 % to 3 %'],
  '5–6 g': ['5 g to 6 g', '5 or 6 grams'],
  'to taste': ['To taste', 'by eye'],
};

test('what is said in many ways means one thing', () => {
  for (const [plain, ways] of Object.entries(SAME)) {
    const meant = read(plain);
    assert.equal(typeof meant, 'object', plain);
    const text = writeQuantity(meant as never);
    for (const way of ways) {
      const found = read(way);
      assert.equal(typeof found === 'object' ? writeQuantity(found) : found, text, `“${way}” for “${plain}”`);
    }
  }
});

test('what is no amount is refused, and the reason is its own', () => {
  const faults: [string, string][] = [
    ['a few drops', 'vague'],
    ['a splash', 'vague'],
    ['1 handful', 'vague'],
    ['as needed', 'vague'],
    ['half the bottle', 'vague'],
    ['max 5 g', 'bound'],
    ['at least 2 %', 'bound'],
    ['a bit more than 5 g', 'bound'],
    ['5 g ±1', 'bound'],
    ['2 % of total', 'of-product'],
    ['2 % of the finished bar', 'of-product'],
    ['2 % v/v', 'by-volume'],
    ['3 parts', 'parts-of-what'],
    ['2 g/cup', 'per-volume'],
    ['2 drops + 1 g', 'mixed-sum'],
    ['5 g salt', 'rest-unread'],
    ['10 °C', 'unknown-unit'],
    ['1 stone', 'unknown-unit'],
    ['½½ g', 'unknown-unit'],
    ['1 2 3 g', 'unknown-unit'],
    ['9–6 drops', 'range'],
    ['6–9', 'no-unit'],
    ['6 g to 9 drops', 'unknown-per'],
    ['8 oz fragrance in 16 oz', 'rest-unread'],
  ];
  for (const [text, code] of faults) assert.equal(read(text), code, text);
});

test('where two meanings remain, both are given, and each reads as itself', () => {
  for (const text of ['50:1', '2 g to 8 g', '1,250 g', '1,250 g per 10 kg']) {
    const parsed = parseQuantity(text);
    assert.ok(!parsed.success, text);
    const [one, other] = meaningsOf(text, parsed.error).map(read);
    assert.ok(typeof one === 'object' && typeof other === 'object', text);
    assert.notDeepEqual(one, other);
  }
});

test('a word that is one letter off is told the unit that is meant', () => {
  for (const [text, closest] of [
    ['5 gram s', null],
    ['5 grms', 'g'],
    ['2 tps', 'tsp'],
    ['2 tabelspoons', 'tbsp'],
    ['6 dorps', 'drops'],
  ] as const) {
    const parsed = parseQuantity(text);
    const found = !parsed.success && parsed.error.code === 'unknown-unit' ? parsed.error.closest : null;
    assert.equal(found, closest, text);
    if (!parsed.success)
      for (const meant of meaningsOf(text, parsed.error)) assert.equal(typeof read(meant), 'object', meant);
  }
});

test('a figure in words is the figure in digits, in every unit', () => {
  const words = [
    'one',
    'two',
    'three',
    'four',
    'five',
    'six',
    'seven',
    'eight',
    'nine',
    'ten',
    'eleven',
    'twelve',
  ];
  const units = ['g', 'oz', 'drops', 'tsp', 'cups', '%', 'g/lb', 'drops per bar', 'scoops', 'capsules'];
  fc.assert(
    fc.property(fc.nat(words.length - 1), fc.constantFrom(...units), fc.boolean(), (index, unit, half) => {
      const said = `${words[index]}${half ? ' and a half' : ''} ${unit}`;
      assert.deepEqual(read(said), read(`${index + 1}${half ? '.5' : ''} ${unit}`), said);
    }),
  );
});
