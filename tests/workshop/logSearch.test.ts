import assert from 'node:assert/strict';
import test from 'node:test';
import type { RunEvent } from '../../src/core/run/run';
import { knows } from '../../src/server/knows';
import { logPage } from '../../src/server/log';
import { setStanding } from '../../src/server/putAway';
import { recordEvent } from '../../src/server/runs';
import { elsewhere } from '../../src/server/search/elsewhere';
import { indexMissing } from '../../src/server/search/indexRuns';
import { BOX, fragrance, planFile } from '../support/planFiles';
import { makeInWorkshop } from '../support/runs';
import { workshopWith } from '../support/workshops';

const look: RunEvent = {
  ...{ kind: 'inspected', inspectionId: 'look', round: 0, note: 'Ränder', againAfterDays: null },
  faults: [{ fault: 'bubbles', pourIndexes: [0], pieces: 2 }],
  ...{ pieces: { good: 4, second: 0, scrap: 2, remelt: 0 }, weightsG: [99, 101] },
};

test('a run is found by anything that was written of it, sorted out by facets, and counted in what is known', async () => {
  const { workshop, stored } = workshopWith(
    planFile([{ doses: [[fragrance({ name: 'Harbour Fig' }), '2 %']] }], {}, BOX),
  );
  const first = await makeInWorkshop(workshop, stored.id, { note: 'Poured in the rain' });
  const second = await makeInWorkshop(workshop, stored.id, { verdict: 'poor', goodPieces: 2 });
  recordEvent(workshop, second.id, 'e1', look);
  recordEvent(workshop, second.id, 'e2', {
    kind: 'complained',
    words: 'It crumbled',
    from: 'Stall 9',
    done: '',
  });
  const ids = async (search: string, ...chosen: [never, string][]) => {
    const { items } = await logPage(workshop, {
      search,
      chosen: chosen.map(([facet, value]) => ({ facet, value })),
    });
    return items.map(({ runId }) => runId);
  };
  assert.deepEqual(await ids('rain'), [first.id]);
  assert.deepEqual(await ids('RAI pour'), [first.id]);
  assert.deepEqual(await ids('rander bubb'), [second.id]);
  assert.deepEqual(await ids('stall crumbled'), [second.id]);
  assert.deepEqual((await ids('harbour fig')).length, 2);
  assert.deepEqual(await ids(String(first.code)), [first.id]);
  for (const none of ['rain crumbled', '"', '*', 'NOT', 'a" OR "b', ';', '🧼'])
    assert.deepEqual(await ids(none), [], none);
  assert.deepEqual(await ids('', ['fault' as never, 'Bubbles']), [second.id]);
  assert.deepEqual(await ids('fig', ['verdict' as never, 'Poor'], ['year' as never, '2026']), [second.id]);
  const facets = workshop.runSearch.facets({ search: 'fig', chosen: [] }, 2);
  assert.deepEqual(
    facets.filter(({ facet }) => facet === 'plan' || facet === 'fault'),
    [
      { facet: 'plan', value: 'Test plan', count: 2 },
      { facet: 'fault', value: 'Bubbles', count: 1 },
    ],
  );
  assert.ok(
    (await elsewhere(workshop, 'harbour')).some(
      ({ what, name }) => what === 'Material' && name === 'Harbour Fig',
    ),
  );

  const told = await knows(workshop);
  assert.deepEqual([told.finished, told.indexed], [2, 2]);
  assert.deepEqual(
    told.faults.mold.map(({ runs, withFaults, faults }) => [runs, withFaults, faults]),
    [[2, 1, 1]],
  );
  const mass = told.measures.find(({ kind }) => kind === 'piece-mass');
  assert.equal(mass?.off.count, 1);
  assert.ok(told.measures.some(({ kind, off }) => kind === 'good-pieces' && off.count === 2 && off.bias < 0));

  // What is put away is in no list; what came without the index comes in.
  setStanding(workshop, 'run', first.id, 'archived');
  assert.deepEqual(await ids('rain'), []);
  setStanding(workshop, 'run', first.id, 'shown');
  workshop.db.exec(
    'DELETE FROM run_measures; DELETE FROM run_facets; DELETE FROM run_words; DELETE FROM run_search',
  );
  assert.equal(workshop.runSearch.counts().indexed, 0);
  assert.equal(indexMissing(workshop, 10), 2);
  assert.deepEqual(await ids('rain'), [first.id]);
  assert.equal(indexMissing(workshop, 10), 0);

  // What was counted is counted anew once another is made.
  const third = await makeInWorkshop(workshop, stored.id, { note: 'Poured at noon' });
  assert.deepEqual(await ids('fig'), [third.id, second.id, first.id]);
  const madeOnceMore = workshop.runSearch.facets({ search: 'fig', chosen: [] }, 3);
  assert.equal(madeOnceMore.find(({ facet }) => facet === 'plan')?.count, 3);
});
