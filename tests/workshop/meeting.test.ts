import assert from 'node:assert/strict';
import { createWriteStream } from 'node:fs';
import { join } from 'node:path';
import { pipeline } from 'node:stream/promises';
import test from 'node:test';
import { importPlan } from '../../src/server/importPlan';
import { meetingsOf, recordsHere } from '../../src/server/meeting';
import { openWorkshop } from '../../src/server/openWorkshop';
import { savePlan } from '../../src/server/plans';
import {
  lookInto,
  meetingsInCopy,
  plansInCopy,
  saveAll,
  takePlansOfCopy,
} from '../../src/server/wholeWorkshop';
import { base, fragrance, planFile } from '../support/planFiles';
import { temporaryFolder } from '../support/server';
import { emptyWorkshop, problemFrom } from '../support/workshops';

const scented = (densityGPerMl: number | null) =>
  planFile([{ base: base({ densityGPerMl: 1.03 }), doses: [[fragrance({ densityGPerMl }), '1 %']] }]);

test('a file’s records are new, the same, or other; those that are other become what is chosen, and nothing is half', () => {
  const workshop = emptyWorkshop();
  const file = scented(0.95);
  const [base0, scent] = file.materials;
  assert.ok(base0 && scent, 'two materials');
  const verdicts = (of = file) =>
    meetingsOf(recordsHere(workshop), of).map(({ kind, verdict }) => `${kind} ${verdict}`);
  assert.deepEqual(verdicts(), ['mold new', 'material new', 'material new']);
  importPlan(workshop, file);
  assert.deepEqual(verdicts(), ['mold same', 'material same', 'material same']);

  const other = scented(1.01);
  const [, , met] = meetingsOf(recordsHere(workshop), other);
  assert.deepEqual(
    [met?.verdict, met?.changes.map(({ label, was, is }) => [label, was, is])],
    ['other', [['Density, g/mL', '0.95', '1.01']]],
  );
  const densities = () =>
    workshop.materials
      .all()
      .filter(({ item }) => item.kind === 'fragrance')
      .map(({ item }) => ('densityGPerMl' in item ? item.densityGPerMl : null));
  importPlan(workshop, other, { [scent.id]: 'here' });
  assert.deepEqual(densities(), [0.95]);
  importPlan(workshop, other, { [scent.id]: 'file' });
  assert.deepEqual(densities(), [1.01]);
  // What was there is kept as any other save keeps it.
  assert.equal(workshop.versions.of('material', scent.id).length, 1);
  importPlan(workshop, file, { [scent.id]: 'both' });
  assert.deepEqual(densities().toSorted(), [0.95, 1.01]);
  assert.equal(workshop.plans.all().length, 4);

  // Another kind under the id of one that plans use: refused, with all that came with it.
  const odd = planFile([{ base: base({ id: scent.id, name: 'Odd' }) }], { name: 'Odd' });
  assert.equal(problemFrom(() => importPlan(workshop, odd, { [scent.id]: 'file' })).status, 422);
  assert.equal(workshop.plans.all().length, 4);
  // By its name and kind, too.
  const renamed = planFile([{ base: base({ id: 'another', name: base0.name.toUpperCase() }) }]);
  assert.equal(meetingsOf(recordsHere(workshop), renamed).at(-1)?.here?.id, base0.id);
});

test('what comes in with a file is met by what comes after it in the same file', () => {
  const workshop = emptyWorkshop();
  const twice = scented(0.95);
  const [base0, scent] = twice.materials;
  assert.ok(base0 && scent, 'two materials');
  const again = { ...scent, id: 'again' };
  importPlan(workshop, { ...twice, materials: [base0, scent, again] });
  assert.equal(workshop.materials.all().length, 2);
});

test('some plans of a copy are taken, beside what is here or over it, all of them or none', async (t) => {
  const [folder, stick] = [temporaryFolder(), temporaryFolder()];
  t.after(folder.remove);
  t.after(stick.remove);
  let seconds = 0;
  const workshop = openWorkshop(folder.path, () =>
    new Date(Date.UTC(2026, 0, 1) + 1000 * seconds++).toISOString(),
  );
  t.after(() => workshop.db.close());
  const keep = importPlan(workshop, scented(0.95));
  const change = importPlan(workshop, planFile([{}], { name: 'Changed since' }));
  const gone = importPlan(workshop, planFile([{}, {}], { name: 'Gone since' }));
  const zip = join(stick.path, 'copy.zip');
  await pipeline(await saveAll(workshop), createWriteStream(zip));
  savePlan(workshop, change.id, { ...change.plan, name: 'Changed here' }, change.revision);
  workshop.db.exec(
    `DELETE FROM plan_versions WHERE plan_id = '${gone.id}'; DELETE FROM plans WHERE id = '${gone.id}'`,
  );
  const id = '00000000-0000-4000-8000-000000000000';
  await lookInto(folder.path, zip, id);
  const found = new Map(plansInCopy(workshop, id).map((plan) => [plan.name, plan.verdict]));
  assert.deepEqual(
    [...found].toSorted(),
    [
      ['Changed since', 'older'],
      ['Gone since', 'new'],
      [keep.plan.name, 'same'],
    ].toSorted(),
  );
  assert.ok(meetingsInCopy(workshop, id, [gone.id, change.id]).every(({ verdict }) => verdict === 'same'));
  const names = () =>
    workshop.plans
      .all()
      .map(({ plan }) => plan.name)
      .toSorted();
  const before = names();
  assert.equal(
    problemFrom(() => takePlansOfCopy(workshop, id, [gone.id, 'none'], new Set(), {})).status,
    404,
  );
  assert.deepEqual(names(), before);
  assert.equal(takePlansOfCopy(workshop, id, [gone.id, change.id], new Set([change.id]), {}), 2);
  assert.deepEqual(names(), ['Changed since', 'Gone since', keep.plan.name].toSorted());
  assert.equal(
    problemFrom(() => plansInCopy(workshop, '00000000-0000-4000-8000-000000000001')).code,
    'copy-gone',
  );
});
