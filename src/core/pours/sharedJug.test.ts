import assert from 'node:assert/strict';
import test from 'node:test';
import fc from 'fast-check';
import { BOX, base, colorant, fragrance, isClose, planFile, sheetOf } from '../../../tests/support/planFiles';
import { allFindingWords } from '../../words/en/findings/findingWords';
import { meltsWords } from '../../words/en/work/meltsWords';
import { applyFix } from '../checks/applyFix';
import { hasStop, reviewPlan } from '../checks/review';
import { USUAL_HOUSE_RULES } from '../houseRules/houseRules';
import { type OmbreWish, ombrePlan } from '../plan/ombrePlan';
import { contentOf, type Sheet } from '../plan/sheet';
import { meltsOf } from '../work/loads';

const describeFinding = await allFindingWords();

const METRIC = { system: 'metric', locale: 'en' } as const;
const DYE = colorant({
  id: 'dye',
  name: 'Test dye',
  form: 'dye',
  densityGPerMl: 1.05,
  colour: '#2f6fa8',
  readings: [{ of: 'drops', on: '2026-01-01', count: 20, massG: 1 }],
});
/** Of the readings: 20 drops are 1 g. */
const DROP_G = 0.05;

function ladder(shares: readonly string[], sameJug = true, jugLossFraction = 0.03) {
  return planFile(
    shares.map((share, index) => ({
      doses: [
        [DYE, share],
        [fragrance(), '1.5 %'],
      ] as [typeof DYE | ReturnType<typeof fragrance>, string][],
      ...(sameJug && index > 0 ? { way: { sameJug: true as const } } : {}),
    })),
    { jugLossFraction },
    BOX,
  );
}

/** Pours a jug out as the sheet says: what is in it before each pour, and what it is left with. */
function pourOut({ pours }: Sheet) {
  let base = 0;
  const inJug = new Map<string, number>();
  const strengths = pours.map((pour) => {
    base += pour.meltG;
    for (const { material, addG } of pour.lines) inJug.set(material.id, (inJug.get(material.id) ?? 0) + addG);
    const strength = new Map([...inJug].map(([id, massG]) => [id, massG / base]));
    for (const [id, massG] of inJug) inJug.set(id, massG - (pour.baseG * massG) / base);
    base -= pour.baseG;
    return strength;
  });
  return { strengths, baseLeft: base, inJug };
}

test('an ombré from one jug: 2, 4, 6 drops in three equal pours are 6, 4 and 2 drops more', () => {
  // Three equal pours of 200 mL. At 2 drops a pour the full jug takes 6; then two thirds are left, and so on.
  const [first, second, third] = sheetOf(ladder(['2 drops', '4 drops', '6 drops'], true, 0)).pours;
  const added = [first, second, third].map((pour) => (pour?.lines[0]?.addG ?? 0) / DROP_G);
  for (const [index, drops] of [6, 4, 2].entries())
    assert.ok(Math.abs((added[index] ?? 0) - drops) < 0.01, `${added}`);
  assert.ok(
    isClose(
      first?.meltG ?? 0,
      [first, second, third].reduce((sum, pour) => sum + (pour?.baseG ?? 0), 0),
    ),
  );
  assert.deepEqual([second?.meltG, third?.meltG], [0, 0]);
});

test('the jug loses no gram and no drop: every pour has the strength it was said to have, and nothing is left', () => {
  const rising = fc
    .array(fc.double({ min: 0.01, max: 0.4, noNaN: true }), { minLength: 2, maxLength: 5 })
    .map((all) => all.sort((a, b) => a - b).map((share) => `${share.toFixed(4)} %`));
  fc.assert(
    fc.property(rising, fc.constantFrom(0, 0.03, 0.2), (shares, loss) => {
      const sheet = sheetOf(ladder(shares, true, loss));
      const { strengths, baseLeft, inJug } = pourOut(sheet);
      const { baseG } = sheet.totals;
      assert.ok(Math.abs(baseLeft) < 1e-9 * baseG);
      for (const left of inJug.values()) assert.ok(Math.abs(left) < 1e-9 * baseG);
      for (const [index, pour] of sheet.pours.entries()) {
        for (const { material, massG } of pour.lines)
          assert.ok(isClose(strengths[index]?.get(material.id) ?? 0, massG / pour.baseG, 1e-7));
      }
      // And what is added in all is what separate jugs would have taken.
      const apart = sheetOf(ladder(shares, false, loss));
      for (const place of [0, 1]) {
        const sum = (from: Sheet, key: 'addG' | 'massG') =>
          from.pours.reduce((total, pour) => total + (pour.lines[place]?.[key] ?? 0), 0);
        assert.ok(isClose(sum(sheet, 'addG'), sum(apart, 'massG'), 1e-9));
      }
    }),
  );
});

test('what is in a jug can’t be taken out: weaker, gone, another base, or no jug before it are stops', () => {
  const about = (file: Parameters<typeof reviewPlan>[0]) =>
    reviewPlan(file).findings.filter(({ code }) => /jug/.test(code) && code !== 'jug-too-small');
  const title = (file: Parameters<typeof reviewPlan>[0]) =>
    about(file).map((finding) => describeFinding(finding, { system: 'metric', locale: 'en' }).title);
  assert.deepEqual(title(ladder(['0.3 %', '0.1 %'])), ['B would need less Test dye than A']);
  const gone = ladder(['0.1 %', '0.3 %']);
  gone.plan.pours[1]?.doses.shift();
  assert.deepEqual(title(gone), ['Test dye is still in the jug of B']);
  const [carried] = about(gone);
  assert.ok(carried?.fix);
  const mended = { ...gone, plan: applyFix(gone, carried.fix) };
  assert.deepEqual(title(mended), []);
  assert.equal(hasStop(reviewPlan(mended).findings), false);
  const other = ladder(['0.1 %', '0.3 %']);
  const second = base({ id: 'base-2', name: 'Second base' });
  other.materials.push(second);
  if (other.plan.pours[1]) other.plan.pours[1].baseId = 'base-2';
  assert.deepEqual(title(other), ['B can’t go on in the jug of A']);
  const first = ladder(['0.1 %', '0.3 %']);
  if (first.plan.pours[0]) first.plan.pours[0].way = { sameJug: true };
  assert.deepEqual(title(first), ['A has no jug to go on in']);
});

const wish: OmbreWish = {
  colorantId: 'dye',
  fromIndex: 0,
  toIndex: 3,
  first: '2 drops',
  last: '14 drops',
  oneJug: true,
  in: 'drops',
};

test('a ladder from one jug adds whole drops, and ends where it was said to end but for half a drop', () => {
  const file = ladder(['1 drop', '1 drop', '1 drop', '1 drop'], false);
  for (const oneJug of [true, false]) {
    const made = ombrePlan(file, { ...wish, oneJug });
    assert.ok(made.success);
    const sheet = sheetOf({ ...file, plan: made.data.plan });
    for (const [index, { add }] of made.data.rungs.entries()) {
      assert.equal(add, Math.round(add));
      const drops = (sheet.pours[index]?.lines[0]?.addG ?? 0) / DROP_G;
      assert.ok(Math.abs(drops - add) < 0.002, `${index}: ${drops} is not ${add}`);
    }
    // What each pour holds of it, with what came into its jug before.
    const drops = made.data.rungs.map(({ pourIndex }) => {
      const pour = sheet.pours[pourIndex];
      assert.ok(pour);
      const blue = contentOf(pour).filter(({ material }) => material.id === 'dye');
      return blue.reduce((sum, { massG }) => sum + massG, 0) / DROP_G;
    });
    assert.ok(Math.abs((drops[0] ?? 0) - 2) <= 0.5 && Math.abs((drops[3] ?? 0) - 14) <= 1.5, `${drops}`);
    assert.ok(drops.every((count, index) => index === 0 || count > (drops[index - 1] ?? 0)));
    assert.equal(hasStop(reviewPlan({ ...file, plan: made.data.plan }).findings), false);
    assert.equal(made.data.plan.pours.filter(({ way }) => way?.sameJug).length, oneJug ? 3 : 0);
  }
});

test('a ladder in grams keeps to the step of the scale, and one that cannot be says why', () => {
  const file = ladder(['0.1 %', '0.1 %', '0.1 %', '0.1 %'], false);
  const made = ombrePlan(file, {
    ...wish,
    first: '0.02 %',
    last: '0.3 %',
    oneJug: false,
    in: { stepG: 0.01 },
  });
  assert.ok(made.success);
  for (const { add } of made.data.rungs) assert.ok(Math.abs(add * 100 - Math.round(add * 100)) < 1e-9);
  const why = (over: Partial<OmbreWish>) => {
    const answer = ombrePlan(file, { ...wish, ...over });
    return answer.success ? 'made' : answer.error;
  };
  assert.equal(why({ colorantId: 'base-1' }), 'no-colorant');
  assert.equal(why({ toIndex: 0 }), 'too-few-pours');
  assert.equal(why({ toIndex: 9 }), 'too-few-pours');
  assert.equal(why({ first: 'a splash' }), 'first-unread');
  assert.equal(why({ last: '' }), 'last-unread');
  assert.equal(why({ first: '20 drops', last: '2 drops' }), 'not-deeper');
});

test('what is cut is what a knife can cut, in the smallest jug that takes it, split where none does', () => {
  const rules = {
    jugs: [
      { id: 'small', name: 'Small', holdsMl: 400, taught: [] },
      { id: 'large', name: 'Large', holdsMl: 1000, taught: [] },
    ],
    headspaceFraction: 0.25,
    cutStepG: 5,
  };
  const sheet = (pieces: number) =>
    sheetOf(planFile([{ base: base({ densityGPerMl: 1 }) }], { pieces, jugLossFraction: 0 }, BOX));
  // 3 pieces are 300 mL: just what the small jug takes under its quarter of headspace.
  assert.deepEqual(meltsOf(sheet(3), rules)[0], {
    letters: ['A'],
    baseName: 'Test base',
    needG: 300,
    cutG: 300,
    fillings: 1,
    melt: { group: [0], melts: 1, ofAll: 1, cutG: 300, contentMl: 300, contentG: 300 },
    jugName: 'Small',
    isLeast: false,
    leftOverG: 0,
  });
  assert.equal(meltsOf(sheet(4), rules)[0]?.jugName, 'Large');
  // 16 pieces are three fillings of 600, 600 and 400 mL, and the large jug takes 750: a melt for each.
  const [many] = meltsOf(sheet(16), rules);
  assert.ok(many);
  assert.deepEqual([many.jugName, many.fillings, many.melt.melts, many.melt.cutG], ['Large', 3, 1, 600]);
  assert.equal(many.cutG, 1600);
  assert.equal(meltsWords(many, METRIC), '600.0 g a filling');
  // A small jug takes 300 of the 600 mL, and at last 200 of the 400.
  const [small] = meltsOf(sheet(16), { ...rules, jugs: rules.jugs.slice(0, 1) });
  assert.ok(small);
  assert.equal(meltsWords(small, METRIC), '2 melts of 300.0 g a filling');
  assert.equal(small.cutG, 1600);
  // 290 mL are too little for 600 in two melts; in three of 200 each, a knife of 30 g cuts 210.
  const narrow = {
    ...rules,
    jugs: [{ id: 'n', name: 'Narrow', holdsMl: 290 / 0.75, taught: [] }],
    cutStepG: 30,
  };
  const [three] = meltsOf(sheet(6), narrow);
  assert.ok(three);
  assert.deepEqual([three.melt.melts, three.melt.cutG, three.cutG], [3, 210, 630]);
  assert.ok(isClose(three.leftOverG, 30));
  assert.equal(meltsWords(three, METRIC), '3 melts of 210.0 g');
  assert.deepEqual(meltsOf(sheet(6), { ...rules, jugs: [] })[0]?.melt.melts, 1);

  const odd = sheetOf(
    planFile([{ base: base({ densityGPerMl: 1.037 }), doses: [[fragrance(), '2 %']] }], {}, BOX),
  );
  const [cut] = meltsOf(odd, { ...rules, ...USUAL_HOUSE_RULES });
  assert.ok(cut && cut.cutG % 5 === 0 && cut.cutG >= cut.needG && cut.cutG - cut.needG < 5);
  // What is over comes with its doses, and is all that is left.
  assert.ok(isClose(cut.leftOverG, (odd.totals.jugG * (cut.cutG - cut.needG)) / cut.needG, 1e-9));
});

test('what is added to a jug is shared by everything that is poured from it', () => {
  const scent = fragrance();
  const file = planFile(
    [
      { added: true, doses: [[scent, '10 g']] },
      { added: true, way: { sameJug: true } },
      { added: true, size: '2 parts', way: { sameJug: true } },
    ],
    { jugLossFraction: 0.03 },
  );
  const sheet = sheetOf(file);
  assert.equal(hasStop(reviewPlan(file).findings), false);
  const scentG = sheet.pours.map((pour) => contentOf(pour).reduce((sum, { massG }) => sum + massG, 0));
  // Ten grams in all, as strong in each pour as in the others.
  assert.ok(
    isClose(
      scentG.reduce((sum, each) => sum + each, 0),
      10,
      1e-9,
    ),
  );
  const strengths = sheet.pours.map(({ baseG }, index) => (scentG[index] ?? 0) / baseG);
  for (const each of strengths) assert.ok(isClose(each, 10 / sheet.totals.baseG, 1e-9));
  assert.deepEqual(
    sheet.pours.map(({ lines }) => lines.length),
    [1, 0, 0],
  );
});

test('drops added before each pour: a jug that is poured out step by step tells what every pour holds', () => {
  const added = [2, 4, 6, 9];
  const file = planFile(
    added.map((drops, index) => ({
      added: true,
      doses: [[DYE, `${drops} drops`]],
      ...(index > 0 ? { way: { sameJug: true as const } } : {}),
    })),
  );
  const sheet = sheetOf(file);
  // By itself: a jug with all of the base, dosed, and poured out.
  let inJugG = 0;
  let baseG = sheet.totals.baseG;
  for (const [index, pour] of sheet.pours.entries()) {
    inJugG += (added[index] ?? 0) * DROP_G;
    const pouredG = (inJugG * pour.baseG) / baseG;
    const holdsG = contentOf(pour).reduce((sum, { massG }) => sum + massG, 0);
    assert.ok(isClose(holdsG, pouredG, 1e-9), `${pour.letter}: ${holdsG} is not ${pouredG}`);
    assert.ok(isClose(pour.lines[0]?.addG ?? 0, (added[index] ?? 0) * DROP_G, 1e-9));
    inJugG -= pouredG;
    baseG -= pour.baseG;
  }
  assert.ok(Math.abs(inJugG) < 1e-9);
  // Everything in it fills the molds.
  const volumeMl = sheet.pours.reduce((sum, pour) => sum + pour.jugVolumeMl, 0);
  assert.ok(isClose(volumeMl, 600));
});

test('a pour that holds too much for the cap because of what was added before it is told, and mended there', () => {
  const strong = planFile([
    { added: true, doses: [[fragrance(), '2 %']] },
    { added: true, doses: [[fragrance({ id: 'more', name: 'More' }), '2 %']], way: { sameJug: true } },
  ]);
  const over = reviewPlan(strong).findings.find(
    ({ code, pourIndex }) => code === 'fragrance-over-cap' && pourIndex === 1,
  );
  assert.ok(over?.fix);
  assert.deepEqual(
    over.fix.map((edit) => ('pourIndex' in edit ? edit.pourIndex : null)),
    [1, 0],
  );
  const mended = reviewPlan({ ...strong, plan: applyFix(strong, over.fix) });
  assert.ok(mended.findings.every(({ code }) => code !== 'fragrance-over-cap'));
});
