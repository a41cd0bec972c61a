import assert from 'node:assert/strict';
import test from 'node:test';
import { USUAL_HOUSE_CHOICES } from '../../src/core/houseRules/houseRules';
import { saveHouseRules } from '../../src/server/houseRules';
import { brokenShown, setStanding, standingOf } from '../../src/server/putAway';
import { RECORD_KINDS } from '../../src/server/recordKinds';
import { saveRecord } from '../../src/server/records';
import { HOUSE_RULES_ID, takeBack, versionsOf } from '../../src/server/recordVersions';
import { startRun } from '../../src/server/startRun';
import { addLot, findLot, saveLot } from '../../src/server/stock';
import { planFile } from '../support/planFiles';
import { problemFrom, workshopWith } from '../support/workshops';

test('a record keeps what it was; one is taken back as a save of its own, and that, too', () => {
  const { workshop, stored } = workshopWith(planFile([{}]));
  const { moldId: id } = stored.plan;
  const first = workshop.molds.find(id);
  assert.ok(first, 'the mold');
  const second = { ...first.item, name: 'Longer box', cavities: 7 };
  saveRecord(workshop.molds, 'mold', second, 1, workshop.now());
  saveRecord(workshop.molds, 'mold', { ...second, cavities: 9 }, 2, workshop.now());
  const view = versionsOf(workshop, 'mold', id);
  assert.deepEqual(
    [view.name, view.isGone, view.versions.map(({ revision, isNow }) => [revision, isNow])],
    [
      'Longer box',
      false,
      [
        [3, true],
        [2, false],
        [1, false],
      ],
    ],
  );
  assert.deepEqual(takeBack(workshop, 'mold', id, 1, 3), { item: first.item, revision: 4 });
  assert.deepEqual(workshop.molds.find(id)?.item, first.item);
  takeBack(workshop, 'mold', id, 3, 4);
  assert.equal(workshop.molds.find(id)?.item.cavities, 9);
  // It was seen before somebody else saved.
  assert.equal(problemFrom(() => takeBack(workshop, 'mold', id, 1, 4)).code, 'changed-elsewhere');
  assert.equal(problemFrom(() => takeBack(workshop, 'mold', id, 17, 5)).status, 404);
  assert.equal(problemFrom(() => versionsOf(workshop, 'mold', 'nobody')).status, 404);
});

test('what was taken away comes back under its own id, and counts its saves on', () => {
  const { workshop } = workshopWith(planFile([{}]));
  const { jugs } = workshop;
  jugs.insert({ id: 'j', name: 'Small jug', holdsMl: 300, taught: [] }, workshop.now());
  RECORD_KINDS.jug.remove?.(workshop, 'j');
  assert.deepEqual([jugs.find('j'), versionsOf(workshop, 'jug', 'j').isGone], [undefined, true]);
  takeBack(workshop, 'jug', 'j', 1, null);
  assert.deepEqual([jugs.find('j')?.item.holdsMl, jugs.find('j')?.revision], [300, 2]);
  assert.equal(problemFrom(() => takeBack(workshop, 'jug', 'j', 1, null)).code, 'changed-elsewhere');
});

test('a lot’s amount is taken back with an entry; the rules come back as they were, and as usual', () => {
  const { workshop } = workshopWith(planFile([{}]));
  const [material] = workshop.materials.all();
  assert.ok(material, 'a material');
  const lot = addLot(workshop, {
    item: { kind: 'material', id: material.item.id },
    number: 'L1',
    boughtOn: '2026-01-01',
    price: null,
    discountFraction: 0,
    amount: 100,
    bestBefore: null,
    openedOn: null,
    note: '',
  });
  saveLot(workshop, { ...lot.item, amount: 140 }, 1);
  takeBack(workshop, 'lot', lot.item.id, 1, 2);
  const { left, entries } = findLot(workshop, lot.item.id);
  assert.deepEqual([left, entries.map(({ change }) => change)], [100, [100, 40, -40]]);

  saveHouseRules(workshop, { ...USUAL_HOUSE_CHOICES, freezer: 'never' }, 0);
  saveHouseRules(workshop, { ...USUAL_HOUSE_CHOICES, freezer: 'freely' }, 1);
  takeBack(workshop, 'house-rules', HOUSE_RULES_ID, 1, 2);
  assert.equal(workshop.houseRules.read().item.freezer, 'never');
  takeBack(workshop, 'house-rules', HOUSE_RULES_ID, 0, 3);
  assert.deepEqual(workshop.houseRules.read().item, USUAL_HOUSE_CHOICES);
});

test('a record that can’t be read any more is what it was before again, or is set aside', () => {
  const { workshop } = workshopWith(planFile([{}]));
  const [material] = workshop.materials.all();
  assert.ok(material, 'a material');
  const { id } = material.item;
  const spoil = () =>
    workshop.db.exec(`UPDATE materials SET record = '[17]', revision = revision + 1 WHERE id = '${id}'`);
  spoil();
  assert.equal(workshop.materials.broken().length, 1);
  takeBack(workshop, 'material', id, 1, 2);
  assert.deepEqual(workshop.materials.find(id)?.item, material.item);
  assert.equal(problemFrom(() => setStanding(workshop, 'material', id, 'archived')).status, 404);
  spoil();
  setStanding(workshop, 'material', id, 'archived');
  assert.equal(standingOf(workshop, 'material', id), 'archived');
  assert.equal(problemFrom(() => takeBack(workshop, 'material', id, 2, 4)).code, 'broken-record');
});

test('only so many saves of a record are kept', () => {
  const { workshop } = workshopWith(planFile([{}]));
  workshop.scales.insert(
    { id: 's', name: 'Scale', stepG: 1, gramsStepG: null, capacityG: 1000 },
    workshop.now(),
  );
  for (let revision = 1; revision <= 230; revision++)
    workshop.scales.update(
      { id: 's', name: 'Scale', stepG: 1, gramsStepG: null, capacityG: 1000 + revision },
      revision,
      workshop.now(),
    );
  const revisions = workshop.versions.of('scale', 's').map(({ revision }) => revision);
  assert.deepEqual([revisions.length, revisions.at(-1)], [200, 31]);
});

test('a run that is still open is given up, not set aside; one that can’t be read is set aside', async () => {
  const { workshop, stored } = workshopWith(planFile([{}]));
  const { id } = startRun(workshop, crypto.randomUUID(), stored.id);
  assert.equal(problemFrom(() => setStanding(workshop, 'run', id, 'archived')).code, 'run-is-open');
  workshop.db.exec(`DROP TRIGGER run_snapshots_stay; UPDATE runs SET snapshot = '[17]' WHERE id = '${id}'`);
  setStanding(workshop, 'run', id, 'archived');
  const { broken } = workshop.runs.open();
  const { shown, aside } = brokenShown(workshop, 'run', broken);
  assert.deepEqual([shown.length, aside.map((each) => each.id)], [0, [id]]);
});
