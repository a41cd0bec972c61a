import assert from 'node:assert/strict';
import test from 'node:test';
import { reviewPlan } from '../../src/core/checks/review';
import { USUAL_HOUSE_RULES } from '../../src/core/houseRules/houseRules';
import type { Embed } from '../../src/core/plan/embed';
import type { PlanFile } from '../../src/core/plan/plan';
import { planFileSchema } from '../../src/core/plan/planSchema';
import { later } from '../../src/core/schedule/clock';
import { makePourPlan } from '../../src/core/schedule/makePourPlan';
import { piecesFromShelf } from '../../src/core/stock/fromShelf';
import { checkContext } from '../../src/server/checkContext';
import { importPlan } from '../../src/server/importPlan';
import { importShelf } from '../../src/server/importShelf';
import { madePieces, planFileOf } from '../../src/server/planFile';
import { createPlan, madeByOthers, savePlan } from '../../src/server/plans';
import { runningShort } from '../../src/server/runningShort';
import { startRun } from '../../src/server/startRun';
import { planView, planViews, viewContext } from '../../src/server/views';
import type { Workshop } from '../../src/server/workshop';
import { allFindingWords } from '../../src/words/en/findings/findingWords';
import { showClock } from '../../src/words/en/showClock';
import { taskRows } from '../../src/words/en/work/taskRows';
import { BOX, base, blend, fragrance, mold, pieces, planFile } from '../support/planFiles';
import { emptyWorkshop, workshopWith } from '../support/workshops';

const describeFinding = await allFindingWords();

/** Text that a plain object has already, under any of which a record may be kept. */
const NAMES_OF_OBJECTS = ['constructor', '__proto__', 'toString', 'valueOf', 'hasOwnProperty'];
const METRIC = { system: 'metric', locale: 'en' } as const;

test('a material may have any id, with lots and in a plan', async () => {
  for (const id of NAMES_OF_OBJECTS) {
    const scent = fragrance({ id, name: id });
    const { workshop, stored } = workshopWith(planFile([{ doses: [[scent, '2 %']] }]));
    const lot = {
      id,
      item: { kind: 'material' as const, id },
      number: '1',
      boughtOn: '2026-01-01',
      price: null,
      discountFraction: 0,
      amount: 500,
      bestBefore: null,
      openedOn: null,
      note: '',
    };
    const context = viewContext(workshop);
    assert.equal((await planView(workshop, stored, context)).fault, null, id);
    assert.deepEqual(await runningShort(workshop, [await planView(workshop, stored, context)]), []);
    importShelf(workshop, { materials: [], lots: [{ item: lot, revision: null }] });
    const view = await planView(workshop, stored);
    assert.ok(view.sheet, id);
    assert.equal(piecesFromShelf(view.sheet, workshop.lots.stock()).shortOf, id);
    assert.equal(checkContext(workshop).shelf?.stock.get(id)?.length, 1);
    const run = startRun(workshop, crypto.randomUUID(), stored.id);
    assert.equal(run.snapshot.sheet.pours.length, 1, id);
  }
});

test('a dose in relation to a word that objects know is told like any other word', () => {
  for (const word of NAMES_OF_OBJECTS) {
    const { findings } = reviewPlan(planFile([{ doses: [[fragrance(), `= ${word}`]] }]));
    assert.ok(
      findings.some(({ code }) => code === 'relation-unresolved'),
      word,
    );
  }
});

test('a plan that can’t be shown says why, and the others are there', async () => {
  const { workshop, stored } = workshopWith(planFile([{}]));
  const lost = importPlan(workshop, planFile([{}], { name: 'Lost' }, mold({ id: 'lost', cavities: 3 })));
  workshop.db.prepare("DELETE FROM molds WHERE id = 'lost'").run();
  const context = viewContext(workshop);
  const [good, bad] = await planViews(workshop, [stored, lost], context);
  assert.equal(good?.fault, null);
  assert.ok(good?.sheet);
  assert.match(bad?.fault ?? '', /mold “lost”/);
  assert.equal(bad?.sheet, null);
});

test('a profile with a ledge of almost no height has a sheet', () => {
  const points = [
    { heightMm: 0, halfWidthMm: 0 },
    { heightMm: 1e-300, halfWidthMm: 20 },
    { heightMm: 20, halfWidthMm: 30 },
  ];
  for (const shape of [
    { kind: 'revolved' as const, points },
    { kind: 'drawn-out' as const, points, lengthMm: 80 },
  ]) {
    const file = planFile([{ size: '5 mm' }, { size: 'rest' }], {}, mold({ shape }));
    const { sheet, findings } = reviewPlan(planFileSchema.parse(file));
    assert.ok(sheet, JSON.stringify(findings));
    assert.ok(sheet.totals.baseG > 0);
  }
});

test('a plan that names more than five hundred materials is a plan', async () => {
  const oils = Array.from({ length: 600 }, (_, index) =>
    fragrance({ id: `oil-${index}`, name: `Oil ${index}` }),
  );
  const blends = Array.from({ length: 50 }, (_, index) =>
    blend(
      oils.slice(index * 12, index * 12 + 12).map((oil) => [oil, 1] as const as [typeof oil, number]),
      { id: `blend-${index}`, name: `Blend ${index}` },
    ),
  );
  const file = planFile([{ doses: blends.map((each) => [each, '0.01 %']) }], {}, mold(), oils);
  const { workshop, stored } = workshopWith(planFileSchema.parse(file));
  const view = await planView(workshop, stored);
  assert.equal(view.fault, null);
  assert.equal(view.file?.materials.length, 651);
});

/** Plans each of which sets in a piece of every one before it. */
function tower(workshop: Workshop, height: number): string[] {
  const ids: string[] = [];
  for (let level = 0; level < height; level++) {
    const { plan } = planFile([
      {
        embeds: ids.map((planId) => ({ ...pieces('x'), from: { is: 'plan' as const, planId }, size: null })),
      },
    ]);
    ids.push(
      createPlan(workshop, {
        ...plan,
        name: `Level ${level}`,
        pours: plan.pours.map(({ embeds, ...pour }) => (embeds?.length ? { ...pour, embeds } : pour)),
      }).id,
    );
  }
  return ids;
}

/** A workshop that counts how often a plan is read. */
function counting(workshop: Workshop): { workshop: Workshop; reads(): number } {
  let reads = 0;
  const versions: Workshop['plans']['versions'] = (id) => {
    reads++;
    return workshop.plans.versions(id);
  };
  return { workshop: { ...workshop, plans: { ...workshop.plans, versions } }, reads: () => reads };
}

test('plans within plans are each worked out once, and a circle is a stop that says so', async () => {
  const { workshop } = workshopWith(planFile([{}], {}, mold({ capacityMl: 50_000 })));
  const ids = tower(workshop, 14);
  const listed = counting(workshop);
  const context = viewContext(listed.workshop);
  const views = await planViews(listed.workshop, workshop.plans.all(), context);
  assert.ok(views.every(({ fault }) => fault === null));
  assert.ok(listed.reads() <= ids.length, `${listed.reads()} reads of ${ids.length} plans`);

  const [first = '', , , last = ''] = ids;
  const [bottom] = workshop.plans.versions(first);
  assert.ok(bottom);
  const [pour] = bottom.plan.pours;
  assert.ok(pour);
  const round = savePlan(
    workshop,
    first,
    {
      ...bottom.plan,
      pours: [
        { ...pour, embeds: [{ ...pieces('x'), id: 'e1', from: { is: 'plan', planId: last } } as Embed] },
      ],
    },
    bottom.revision,
  );
  const all = counting(workshop);
  const again = viewContext(all.workshop);
  await planViews(all.workshop, workshop.plans.all(), again);
  assert.ok(all.reads() <= 2 * ids.length + 2, `${all.reads()} reads`);
  const { findings } = reviewPlan(planFileOf(workshop, round.plan));
  const circle = findings.find(({ code, severity }) => code === 'embed-in-itself' && severity === 'stop');
  assert.ok(circle);
  assert.match(describeFinding(circle, METRIC).title, /set into itself/);
  assert.equal(madePieces(workshop).of(first)?.pieceG, null);
  assert.ok((await madeByOthers(workshop, first)).length > 0);
});

test('the last minute that can be written is a moment like any other', () => {
  const clock = { at: 'start' as const, time: '9999-12-31T23:59' };
  const file = planFile(
    [{ size: '8 mm' }, { size: 'rest' }],
    { making: { ...USUAL_ROOM, clock } },
    BOX,
  ) as PlanFile;
  const { sheet } = reviewPlan(planFileSchema.parse(file));
  assert.ok(sheet);
  for (const row of taskRows(sheet, makePourPlan(sheet, USUAL_HOUSE_RULES, 0), METRIC)) assert.ok(row.when);
  assert.equal(later(clock.time, 1e9), clock.time);
  assert.equal(later('0000-01-01T00:00', -1e9), '0000-01-01T00:00');
  assert.match(showClock(later(clock.time, 60), 'en'), /11:59/);
});

const USUAL_ROOM = {
  room: { tempC: 21, spreadK: 1, humidity: 0.5, humiditySpread: 0.08 },
  clock: null,
  freezerMin: null,
};

test('an empty workshop has no piece of a plan that is not there', () => {
  assert.equal(madePieces(emptyWorkshop()).of('nothing'), null);
  assert.equal(base().id, 'base-1');
});
