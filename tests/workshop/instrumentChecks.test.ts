import assert from 'node:assert/strict';
import test from 'node:test';
import { addInstrumentCheck, instrumentsOfRun } from '../../src/server/instrumentChecks';
import { findRun, recordEvent } from '../../src/server/runs';
import { startRun } from '../../src/server/startRun';
import { checkWords } from '../../src/words/en/run/checkWords';
import { planFile } from '../support/planFiles';
import { problemFrom, workshopWith } from '../support/workshops';

test('a run says what it was read from, and how that stood beside what is known before it', async () => {
  const { workshop, stored } = workshopWith(planFile([{ doses: [] }]));
  const scale = (shown: number) => ({
    ...{ id: crypto.randomUUID(), instrument: 'bench scale', quantity: 'mass' as const },
    ...{ reference: 100, shown },
  });
  const first = scale(100.3);
  addInstrumentCheck(workshop, first);
  assert.equal(addInstrumentCheck(workshop, first).shown, 100.3);
  assert.equal(problemFrom(() => addInstrumentCheck(workshop, { ...first, shown: 99 })).code, 'id-taken');
  assert.equal(workshop.instrumentChecks.latest().length, 1);
  const kitchen = { id: 's', name: 'Kitchen scale', stepG: 1, gramsStepG: null, capacityG: 5000 };
  workshop.scales.insert(kitchen, workshop.now());
  workshop.scales.insert(
    { ...kitchen, id: 't', name: 'Pocket scale', stepG: 0.1, capacityG: 200 },
    workshop.now(),
  );
  const { id } = startRun(workshop, crypto.randomUUID(), stored.id);
  recordEvent(
    workshop,
    id,
    crypto.randomUUID(),
    { kind: 'weighed', taskId: 'r1/A/l1/base', massG: 600 },
    { source: { instrumentId: 'bench scale' } },
  );
  // Checked again later, the run keeps what was known of it then.
  addInstrumentCheck(workshop, scale(99));
  const [only, ...none] = instrumentsOfRun(workshop, findRun(workshop, id));
  assert.deepEqual([only?.instrument, only?.check?.id, none.length], ['bench scale', first.id, 0]);
  // Nobody says what a typed weight was read from: the scale that reads it best is told as assumed.
  recordEvent(workshop, id, crypto.randomUUID(), { kind: 'corrected', taskId: 'r1/A/l1/base', massG: 610 });
  assert.deepEqual(
    instrumentsOfRun(workshop, findRun(workshop, id)).map(({ instrument, isAssumed }) => [
      instrument,
      isAssumed,
    ]),
    [
      ['bench scale', false],
      ['Kitchen scale', true],
    ],
  );
});

test('a check is told with how far off it was, and which way', () => {
  const at = '2026-03-01T10:00:00.000Z';
  const said = (
    quantity: 'mass' | 'temperature',
    reference: number,
    shown: number,
    system: 'metric' | 'us',
  ) => checkWords({ id: 'c', instrument: 'i', quantity, at, reference, shown }, { system, locale: 'en-GB' });
  assert.equal(said('mass', 100, 100.3, 'metric'), '0.30 g too much beside 100.0 g, 1 Mar 2026');
  assert.equal(
    said('temperature', 0, -0.5, 'metric'),
    '0.5 °C too little beside ice water, 0 °C, 1 Mar 2026',
  );
  assert.equal(said('temperature', 0, 0.5, 'us'), '0.9 °F too much beside ice water, 32 °F, 1 Mar 2026');
  assert.equal(said('mass', 100, 100, 'metric'), 'true beside 100.0 g, 1 Mar 2026');
});
