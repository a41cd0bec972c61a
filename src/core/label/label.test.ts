import assert from 'node:assert/strict';
import test from 'node:test';
import fc from 'fast-check';
import { USUAL_SHEET } from '../houseRules/selling';
import type { AllergenList } from '../materials/allergenNames';
import { checkDigit, isBarcode } from '../product/barcode';
import { type LabelAsked, setLabel } from './label';
import { labelFaults } from './labelFaults';
import { LABEL_LAYOUTS } from './labelLayout';
import {
  LABEL_RULES,
  type LabelRules,
  MM2_PER_IN2,
  netHeightMm,
  standsLow,
  textHeightMm,
} from './labelRules';
import { onSheets, overEdgeMm } from './labelSheet';
import { netQuantity } from './netQuantity';
import { type FontMetrics, typeset } from './typeset';

/** Every letter half as wide as high. */
const FONT: FontMetrics = {
  capital: 0.7,
  lowerCase: 0.5,
  ascent: 0.9,
  descent: 0.3,
  width: (text) => text.length * 0.5,
};

const asked = (given: Partial<LabelAsked> = {}): LabelAsked => ({
  rules: 'eu-cosmetic',
  size: { layout: 'sticker', widthMm: 96, heightMm: 54 },
  faceMm2: null,
  netG: 100,
  texts: {
    front: [{ kind: 'name', text: 'Grey Heather' }],
    net: '100 g',
    jar: null,
    back: [{ kind: 'ingredients', text: 'Ingredients: Aqua, Glycerin, Sodium Stearate' }],
  },
  layers: [],
  codes: { qr: null, bars: null },
  ...given,
});

// Directive 76/211/EEC, annex I, 3.1; 21 CFR 701.13(i) and 16 CFR 500.21: the figures of the rules, from memory.
test('the net weight is as high as the rules say, at each of their limits and beyond it', () => {
  for (const [netG, heightMm] of [
    [50, 2],
    [50.01, 3],
    [200, 3],
    [201, 4],
    [1000, 4],
    [1001, 6],
  ] as const)
    assert.equal(netHeightMm('eu-cosmetic', netG, 1), heightMm, `${netG} g`);
  for (const [in2, sixteenths] of [
    [5, 1],
    [5.1, 2],
    [25, 2],
    [25.1, 3],
    [100, 3],
    [101, 4],
    [400, 4],
    [401, 8],
  ] as const)
    for (const rules of ['us-cosmetic', 'us-soap'] as const)
      assert.equal(netHeightMm(rules, 100, in2 * MM2_PER_IN2), (sixteenths / 16) * 25.4, `${in2} in²`);
  assert.equal(standsLow('us-cosmetic', 5 * MM2_PER_IN2), false);
  assert.equal(standsLow('us-soap', 5.1 * MM2_PER_IN2), true);
  assert.equal(standsLow('eu-cosmetic', 1e6), false);
  // 21 CFR 701.3(b) and (p).
  assert.equal(textHeightMm('us-cosmetic', 11.9 * MM2_PER_IN2), 25.4 / 32);
  assert.equal(textHeightMm('us-cosmetic', 12 * MM2_PER_IN2), 25.4 / 16);
});

test('what is said of a weight is never more than there is', () => {
  fc.assert(
    fc.property(fc.double({ min: 0, max: 5000, noNaN: true }), (massG) => {
      const { g, oz } = netQuantity(massG);
      assert.ok(g <= massG + 1e-8 && massG - g < 1 + 1e-8);
      assert.ok(oz * 28.349523125 <= massG + 1e-6);
      assert.ok(massG / 28.349523125 - oz < 0.01 + 1e-9);
    }),
  );
  // 100 g is 3.5274 oz (NIST Handbook 44, appendix C).
  assert.deepEqual(netQuantity(100), { g: 100, oz: 3.52 });
});

test('whatever is written, no letter is lower than its rule, and what does not fit is told', () => {
  const words = fc.array(fc.stringMatching(/^[a-z]{1,14}$/), { maxLength: 60 }).map((all) => all.join(' '));
  fc.assert(
    fc.property(
      fc.record({
        rules: fc.constantFrom(...LABEL_RULES),
        layout: fc.constantFrom(...LABEL_LAYOUTS),
        widthMm: fc.integer({ min: 15, max: 200 }),
        heightMm: fc.integer({ min: 10, max: 200 }),
        netG: fc.integer({ min: 5, max: 2000 }),
        name: words,
        list: words,
      }),
      ({ rules, layout, widthMm, heightMm, netG, name, list }) => {
        const { pieces, faults, heights } = setLabel(
          asked({
            rules,
            size: { layout, widthMm, heightMm },
            netG,
            texts: {
              front: [{ kind: 'name', text: name }],
              net: `${netG} g`,
              jar: null,
              back: [{ kind: 'ingredients', text: list }],
            },
          }),
          FONT,
        );
        for (const { lines } of pieces)
          for (const { kind, sizeMm } of lines) {
            const letterMm =
              sizeMm * (kind === 'net' && rules === 'eu-cosmetic' ? FONT.capital : FONT.lowerCase);
            assert.ok(letterMm >= (kind === 'net' ? (heights.netMm ?? Number.NaN) : heights.textMm) - 1e-9);
          }
        const fits = !faults.some(({ code }) => code === 'no-room' || code === 'too-wide');
        for (const { lines, places, outline, widthMm: width } of pieces)
          for (const { xMm, baselineMm, sizeMm, text } of fits ? lines : []) {
            const right = xMm + FONT.width(text, false) * sizeMm;
            const isIn = places.some(
              ({ box }) =>
                xMm >= box.xMm - 1e-9 &&
                right <= box.xMm + box.widthMm + 1e-6 &&
                baselineMm >= box.yMm &&
                baselineMm <= box.yMm + box.heightMm + 1e-6,
            );
            assert.ok(isIn, 'stands in a place');
            if (outline === 'round' && text !== '')
              assert.ok(Math.hypot(right - width / 2, baselineMm - width / 2) <= width / 2 + 1e-6);
          }
        const shown = pieces.flatMap(({ lines }) => lines.map(({ text }) => text)).join(' ');
        for (const word of list.split(' ')) assert.ok(shown.includes(word), word);
      },
    ),
  );
});

test('a label that is too small says how much is missing; a large one sets its letters larger', () => {
  const small = setLabel(asked({ size: { layout: 'sticker', widthMm: 30, heightMm: 12 } }), FONT);
  const [fault] = small.faults;
  assert.ok(fault?.code === 'no-room' && fault.missingMm > 1);
  const sizeOf = (label: typeof small) =>
    label.pieces[0]?.lines.find(({ kind }) => kind === 'name')?.sizeMm ?? 0;
  assert.ok(sizeOf(setLabel(asked(), FONT)) > sizeOf(small));
});

test('what nobody weighed has no height of its net weight', () => {
  const { heights } = setLabel(asked({ netG: 0, texts: { ...asked().texts, net: null } }), FONT);
  assert.deepEqual(heights, { netMm: null, textMm: 0.9 });
});

test('in the US the net weight of a larger panel stands in its lowest third, or it is told', () => {
  const low = asked({
    rules: 'us-cosmetic',
    faceMm2: 6 * MM2_PER_IN2,
    texts: { ...asked().texts, net: 'Net Wt 3.52 oz (100 g)' },
  });
  assert.deepEqual(setLabel({ ...low, size: { layout: 'tag', widthMm: 70, heightMm: 90 } }, FONT).faults, []);
  const flat = setLabel({ ...low, size: { layout: 'tag', widthMm: 70, heightMm: 24 } }, FONT).faults;
  assert.ok(flat.some(({ code }) => code === 'net-too-high'));
});

test('an open jar stands beside the codes, or above them where they leave it no room, and takes its room from the text', () => {
  const rows = [[true]];
  const bars = { widths: Array.from({ length: 59 }, () => 1), text: '40063813' };
  const of = (widthMm: number, codes: LabelAsked['codes']) =>
    setLabel(
      asked({
        size: { layout: 'tag', widthMm, heightMm: 90 },
        texts: { ...asked().texts, jar: '12 M' },
        codes,
      }),
      FONT,
    ).pieces.find(({ jar }) => jar !== null);
  const span = (piece: ReturnType<typeof of>, at: 0 | 1) => {
    const places = (piece?.jar?.strokes ?? []).flat().map((point) => point[at]);
    return [Math.min(...places), Math.max(...places)] as const;
  };
  const alone = of(55, { qr: null, bars: null });
  const [left, right] = span(alone, 0);
  assert.ok(right - left < 9 && right - left > 7);
  const months = alone?.lines.find(({ text }) => text === '12 M');
  assert.ok(months && months.xMm > left && months.xMm + 4 * 0.5 * months.sizeMm < right);
  const wide = of(80, { qr: rows, bars });
  assert.ok(span(wide, 0)[0] > (wide?.qr?.box.xMm ?? 0) + 13);
  assert.ok(span(wide, 0)[1] < (wide?.bars?.box.xMm ?? 0));
  const narrow = of(46, { qr: rows, bars });
  assert.ok(span(narrow, 1)[1] < Math.min(narrow?.qr?.box.yMm ?? 0, narrow?.bars?.box.yMm ?? 0));
  const lowest = Math.max(
    ...(narrow?.lines ?? []).filter(({ kind }) => kind === 'ingredients').map((line) => line.baselineMm),
  );
  assert.ok(lowest < span(narrow, 1)[0]);
});

test('a text is broken between words, and a word that is wider than the place is named', () => {
  const block = { kind: 'a', text: 'one two three', isBold: false, leastMm: 2, bestMm: 2 };
  const box = { xMm: 0, yMm: 0, widthMm: 7, heightMm: 20 };
  const { lines, tooWide } = typeset(box, { blocks: [block], isCentred: false }, FONT);
  assert.deepEqual(
    lines.map(({ text }) => text),
    ['one two', 'three'],
  );
  assert.deepEqual(tooWide, []);
  // A figure stays with its unit, and stands there with a plain space.
  const kept = { ...block, text: 'one two\u00a0three' };
  assert.deepEqual(
    typeset({ ...box, widthMm: 10 }, { blocks: [kept], isCentred: false }, FONT).lines.map(
      ({ text }) => text,
    ),
    ['one', 'two three'],
  );
  assert.deepEqual(typeset({ ...box, widthMm: 4 }, { blocks: [block], isCentred: false }, FONT).tooWide, [
    'three',
  ]);
});

test('a title stands in fewer lines where a little smaller it does, and in no fewer where it would take more', () => {
  const box = { xMm: 0, yMm: 0, widthMm: 20, heightMm: 60 };
  const set = (text: string, isTitle: boolean) =>
    typeset(
      box,
      { blocks: [{ kind: 'name', text, isBold: true, isTitle, leastMm: 2, bestMm: 5 }], isCentred: true },
      FONT,
    ).lines.map((line) => [line.text, line.sizeMm]);
  // Ten letters of 5 mm are 25 mm wide: at 4 mm they are 20.
  assert.deepEqual(set('Paper Boat', false).length, 2);
  const [[text, sizeMm] = []] = set('Paper Boat', true);
  assert.ok(text === 'Paper Boat' && Number(sizeMm) <= 4 && Number(sizeMm) > 3.9, String(sizeMm));
  // Sixteen would have to be 2.5 mm.
  assert.deepEqual(set('Drifted Boatfuls', true), set('Drifted Boatfuls', false));
});

test('layers stand as a stripe beside what is written on the front, as high as they are of a piece, a column for each plan', () => {
  const layers = [
    { hex: '#aa0000', share: 0.25 },
    { hex: '#ffffff', share: 0.75 },
  ];
  const [plain] = setLabel(asked(), FONT).pieces;
  const [piece] = setLabel(asked({ layers: [layers, []] }), FONT).pieces;
  const front = piece?.places.find(({ side }) => side === 'front')?.box;
  assert.ok(piece?.stripe && front);
  const [foot, top] = piece.stripe.layers;
  assert.equal(foot?.hex, '#aa0000');
  assert.ok(Math.abs((foot?.box.heightMm ?? 0) - front.heightMm / 4) < 1e-9);
  assert.ok(Math.abs((foot?.box.yMm ?? 0) + (foot?.box.heightMm ?? 0) - front.yMm - front.heightMm) < 1e-9);
  assert.ok(Math.abs((top?.box.yMm ?? 0) - front.yMm) < 1e-9);
  const name = piece.lines.find(({ kind }) => kind === 'name');
  assert.ok(name && name.xMm >= piece.stripe.box.xMm + piece.stripe.box.widthMm);
  assert.equal(plain?.stripe, null);
  const [both] = setLabel(asked({ layers: [layers, layers] }), FONT).pieces;
  assert.deepEqual(
    both?.stripe?.layers.map(({ box }) => box.xMm - front.xMm),
    [0, 0, 1.5, 1.5],
  );
});

test('stickers go on from the first label that is free, over as many sheets as it takes', () => {
  const piece = { widthMm: 90, heightMm: 50 };
  const pages = onSheets(
    Array.from({ length: 8 }, () => piece),
    USUAL_SHEET,
    5,
  );
  assert.deepEqual(
    pages.map((page) => page.length),
    [6, 2],
  );
  // The fifth of two columns is the first of the third row; a smaller piece lies in the middle of its label.
  assert.deepEqual(pages[0]?.[0], { piece, xMm: 7 + 3, yMm: 9.5 + 2 * 56 + 2 });
  assert.equal(overEdgeMm(USUAL_SHEET), 0);
  assert.equal(overEdgeMm({ ...USUAL_SHEET, paper: 'letter' }), 9.5 + 5 * 54 + 4 * 2 - 279.4);
});

test('a syndet bar is not called soap in any language, and what a label lacks is told', () => {
  const part = {
    planId: 'p',
    planName: 'Head Bar',
    pieces: 1,
    run: null,
    netG: null,
    ingredients: null,
    isSoap: false,
    layers: [],
  };
  const maker = { name: 'Maker', address: 'Street 1', contact: '' };
  const said = { name: 'Head Bar', rules: 'eu-cosmetic', allergenList: '2023-1545' } as const;
  const codes = (name: string, identity: string, rules: 'us-soap' | 'eu-cosmetic' = 'eu-cosmetic') =>
    labelFaults(
      { ...said, name, rules, words: [{ language: 'en', identity }] },
      [part],
      maker,
      '2027-01-01',
    ).map(({ code }) => code);
  for (const identity of ['Soap', 'hair soap', 'Haarseife', 'savon', 'tvål'])
    assert.ok(codes('Head Bar', identity).includes('called-soap'), identity);
  assert.ok(!codes('Soapwort Bar', 'Seifenkraut-Stück').includes('called-soap'));
  assert.deepEqual(codes('Head Bar', 'cleansing bar'), ['draft', 'no-net', 'ingredients-unknown']);
  assert.deepEqual(codes('Head Bar', '', 'us-soap'), [
    'draft',
    'no-net',
    'ingredients-unknown',
    'no-identity',
    'no-true-soap',
    'no-contact',
  ]);
});

test('on labels of the EU scents without allergens are told, and the shorter list once it is over', () => {
  const ingredients = { list: [], unlisted: [], contradicted: [], allergensUnknown: ['Rose'] };
  const own = { planId: 'p', planName: 'Bar', pieces: 1, layers: [] };
  const part = { ...own, run: null, netG: 80, ingredients, isSoap: true };
  const maker = { name: 'Maker', address: 'Street 1', contact: 'maker.example' };
  const faults = (rules: LabelRules, allergenList: AllergenList, today: string) =>
    labelFaults(
      { name: 'Bar', rules, allergenList, words: [{ language: 'en', identity: 'soap' }] },
      [part],
      maker,
      today,
    )
      .map(({ code }) => code)
      .slice(1);
  assert.deepEqual(faults('eu-cosmetic', 'before', '2028-07-30'), ['allergens-unknown']);
  assert.deepEqual(faults('eu-cosmetic', 'before', '2028-07-31'), ['allergens-unknown', 'list-of-before']);
  assert.deepEqual(faults('eu-cosmetic', '2023-1545', '2030-01-01'), ['allergens-unknown']);
  assert.deepEqual(faults('us-cosmetic', 'before', '2030-01-01'), []);
});

// GS1 General Specifications, 7.9: the figures of its own example, 629104150021 with check digit 3.
test('numbers of goods have a check digit that finds every wrong digit', () => {
  assert.equal(checkDigit('629104150021'), 3);
  assert.ok(isBarcode('6291041500213'));
  fc.assert(
    fc.property(
      fc.stringMatching(/^\d{12}$/),
      fc.nat(11),
      fc.integer({ min: 1, max: 9 }),
      (digits, place, by) => {
        const code = `${digits}${checkDigit(digits)}`;
        assert.ok(isBarcode(code));
        const wrong = `${code.slice(0, place)}${(Number(code[place]) + by) % 10}${code.slice(place + 1)}`;
        assert.ok(!isBarcode(wrong));
      },
    ),
  );
  for (const text of ['', '12', '629104150021X', '６２９１０４１５']) assert.ok(!isBarcode(text));
});
