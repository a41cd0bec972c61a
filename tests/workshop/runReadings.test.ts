import assert from 'node:assert/strict';
import test from 'node:test';
import { readingsCsv } from '../../src/formats/recordCsv';
import { keepReadings, readingsOfRun } from '../../src/server/runReadings';
import { startRun } from '../../src/server/startRun';
import { planFile } from '../support/planFiles';
import { makeInWorkshop } from '../support/runs';
import { problemFrom, workshopWith } from '../support/workshops';

const START_MS = Date.parse('2026-03-01T10:00:00.000Z');
const point = (second: number, value: number) => ({
  at: new Date(START_MS + second * 1000).toISOString(),
  value,
});
const sent = (points: ReturnType<typeof point>[], instrument = 'probe', taskId: string | null = null) => ({
  ...{ instrument, taskId, points },
  quantity: 'temperature' as const,
});

test('readings of a run are kept thinned and once, whichever screen sends them, and told in order', async () => {
  const { workshop, stored } = workshopWith(planFile([{ doses: [] }]));
  const { id } = startRun(workshop, crypto.randomUUID(), stored.id);
  const first = sent([point(1, 60), point(0, 61), point(1.5, 20)], 'probe', 'r1/A/l1/melt');
  assert.deepEqual(keepReadings(workshop, id, first), { kept: 2 });
  assert.deepEqual(keepReadings(workshop, id, first), { kept: 0 });
  assert.deepEqual(keepReadings(workshop, id, sent([point(2, 60.1), point(3, 59)])), { kept: 1 });
  keepReadings(workshop, id, sent([point(0.5, 30)], 'other'));
  assert.deepEqual(
    readingsOfRun(workshop, id).map(({ instrument, taskId, points }) => [
      instrument,
      taskId,
      points.map(({ atMs, value }) => [(atMs - START_MS) / 1000, value]),
    ]),
    [
      [
        'probe',
        'r1/A/l1/melt',
        [
          [0, 61],
          [1, 60],
        ],
      ],
      ['other', null, [[0.5, 30]]],
      ['probe', null, [[3, 59]]],
    ],
  );
  const csv = readingsCsv(readingsOfRun(workshop, id), { delimiter: ';', decimal: ',' });
  assert.match(csv, /2026-03-01T10:00:03.000Z;probe;59;°C;/);
  assert.equal(problemFrom(() => keepReadings(workshop, 'none', first)).status, 404);
  const made = await makeInWorkshop(workshop, stored.id);
  assert.equal(problemFrom(() => keepReadings(workshop, made.id, first)).code, 'run-has-ended');
});

test('an hour of two instruments that never stand still costs less than 200 kB', async () => {
  const { workshop, stored } = workshopWith(planFile([{ doses: [] }]));
  const { id } = startRun(workshop, crypto.randomUUID(), stored.id);
  const size = () =>
    Number(workshop.db.pragma('page_count', { simple: true })) *
    Number(workshop.db.pragma('page_size', { simple: true }));
  const before = size();
  for (let second = 0; second < 3600; second += 20)
    for (const [instrument, quantity] of [
      ['stand-in scale', 'mass'],
      ['stand-in thermometer', 'temperature'],
    ] as const) {
      const points = Array.from({ length: 20 }, (_, each) => point(second + each, 100 + (each % 2) * 12.34));
      assert.equal(keepReadings(workshop, id, { instrument, quantity, taskId: null, points }).kept, 20);
    }
  assert.ok(size() - before < 200_000, `${size() - before} bytes`);
});
