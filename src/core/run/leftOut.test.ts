import assert from 'node:assert/strict';
import test from 'node:test';
import {
  additive,
  BOX,
  blend,
  colorant,
  dispersant,
  type FilePour,
  fragrance,
  isClose,
  planFile,
  sheetOf,
} from '../../../tests/support/planFiles';
import { madeRun, nextEvent, recorded, runOf } from '../../../tests/support/runs';
import { atBench } from '../../../tests/support/scriptedMaker';
import { USUAL_HOUSE_RULES } from '../houseRules/houseRules';
import { asOptional } from '../plan/plan';
import { heatCaseOf } from '../schedule/heatCase';
import { checkEvent } from './checkEvent';
import { fillSeen } from './fillSeen';
import { heatOfRound } from './heatOnward';
import { logEntry } from './logEntry';
import { progress, withEvent } from './progress';
import type { RunEvent, RunSoFar } from './run';
import { scrapOf } from './scrap';
import { usedMaterials } from './usedMaterials';
import { weighedG } from './weighedG';

const rose = fragrance({ id: 'rose', name: 'Rose' });
const sage = fragrance({ id: 'sage', name: 'Sage' });
const both = blend([
  [rose, 1],
  [sage, 1],
]);
const gold = colorant({ id: 'gold', name: 'Gold' });
const blue = colorant({ id: 'blue', name: 'Blue' });
const bran = additive({ id: 'bran', name: 'Bran', role: 'grit' });
const glycerin = dispersant();
const wet = { dispersantId: glycerin.id, times: 3 };

/** A sheet whose doses at these places may be left out. */
const withOptional = (pour: FilePour, ...places: number[]) => {
  const file = planFile([pour], {}, undefined, [rose, sage, glycerin]);
  const [first] = file.plan.pours;
  const doses = first?.doses.map((each, place) => asOptional(each, places.includes(place))) ?? [];
  return sheetOf({
    ...file,
    plan: { ...file.plan, pours: file.plan.pours.map((each) => ({ ...each, doses })) },
  });
};
const taskOf = (run: RunSoFar, id: string) => progress(run).tasks.find((task) => task.id === id);
const openDoses = (run: RunSoFar) =>
  progress(run)
    .tasks.filter(({ kind, doneAt }) => kind === 'weigh-dose' && doneAt === null)
    .map(({ id }) => id);
const weigh = (id: string, massG: number): RunEvent => ({ kind: 'weighed', taskId: id, massG });
const leaveOut = (taskId: string): RunEvent => ({ kind: 'left-out', taskId });
const refuse = (run: RunSoFar, event: RunEvent) => {
  const checked = checkEvent(run, event);
  return checked.success ? 'taken' : checked.error.code;
};

const LAYERS: FilePour[] = [
  { size: '1 part', doses: [[rose, '1 %']] },
  { size: '1 part', doses: [[sage, '1 %']] },
  { size: '1 part', doses: [[gold, '1 g']] },
];
const layers = sheetOf(planFile(LAYERS, {}, BOX));

test('a pour is left out with all that is only for it, and comes back with it; the last of a round stays', () => {
  const base = layers.pours[1]?.baseG ?? 0;
  let run: RunSoFar = runOf(layers);
  while (progress(run).inHand?.id !== 'r1/B/l1/pour') {
    const event = nextEvent(run);
    assert.ok(event);
    run = withEvent(run, recorded(event));
  }
  const open = progress(run).tasks.filter(({ doneAt }) => doneAt === null).length;
  const out = withEvent(run, recorded(leaveOut('r1/B/l1/pour')));
  const so = progress(out);
  assert.equal(so.tasks.find(({ id }) => id === 'r1/B/l1/pour')?.isLeftOut, true);
  // What was weighed for it stays weighed, and is for the scrap jar; what was open is over with it.
  assert.equal(taskOf(out, 'r1/B/l1/base')?.isLeftOut, false);
  assert.ok(scrapOf(out).leftOverG - scrapOf(run).leftOverG > base);
  assert.ok(so.inHand && !so.inHand.id.startsWith('r1/B'));
  assert.deepEqual(refuse(out, leaveOut('r1/B/l1/pour')), 'not-optional');
  assert.equal(refuse(out, weigh('r1/B/l1/base', 3)), 'already-done');
  // The layer above lies on the one below now.
  const heat = heatCaseOf(layers, out.snapshot.rules);
  assert.deepEqual(
    heatOfRound(so, heat, 0).layers.map(({ letters }) => letters),
    ['A', 'C'],
  );
  const two = withEvent(out, recorded(leaveOut('r1/C/l1/pour')));
  assert.equal(openDoses(two).length, 0);
  assert.equal(refuse(two, leaveOut('r1/A/l1/pour')), 'not-optional');
  const back = withEvent(out, recorded({ kind: 'undone', taskId: 'r1/B/l1/pour' }));
  assert.equal(progress(back).tasks.filter(({ doneAt }) => doneAt === null).length, open);
  let made = out;
  for (let next = nextEvent(made); next; next = nextEvent(made)) made = withEvent(made, recorded(next));
  const finished: RunEvent = {
    kind: 'finished',
    verdict: 'fair',
    goodPieces: 1,
    note: '',
    fill: 'as-planned',
  };
  assert.equal(refuse(made, finished), 'taken');
  // The Logbook says so, and the mold is taught nothing by what is not in it.
  const ended = { ...runOf(layers), events: withEvent(made, recorded(finished)).events };
  assert.deepEqual(
    logEntry(ended).pours.map(({ pourLetters, isLeftOut }) => [pourLetters.join(), isLeftOut]),
    [
      ['A', false],
      ['B', true],
      ['C', false],
    ],
  );
  assert.equal(fillSeen(ended), null);
});

test('a pour of several melts is left out with all of them, before any is poured', () => {
  const bench = atBench(layers, {
    ...USUAL_HOUSE_RULES,
    jugs: [{ id: 'small', name: 'Small jug', holdsMl: 150, taught: [] }],
  });
  const melts = (of: RunSoFar) =>
    progress(of).tasks.filter(({ kind, pourIndexes }) => kind === 'pour' && pourIndexes[0] === 1);
  assert.ok(melts(bench.run()).length > 1);
  const [first, second] = melts(bench.run());
  assert.equal(refuse(bench.run(), leaveOut(second?.id ?? '')), 'not-optional');
  const out = withEvent(bench.run(), recorded(leaveOut(first?.id ?? '')));
  assert.ok(melts(out).every(({ isLeftOut }) => isLeftOut));
  assert.ok(
    melts(withEvent(out, recorded({ kind: 'undone', taskId: first?.id ?? '' }))).every(
      ({ isLeftOut }) => !isLeftOut,
    ),
  );
});

test('an optional dose is in every sum of the sheet until it is left out', () => {
  const doses: FilePour['doses'] = [
    [rose, '2 %'],
    [bran, '6 g'],
  ];
  const [plain, optional] = [withOptional({ doses }), withOptional({ doses }, 1)];
  assert.deepEqual(optional.totals, plain.totals);
  assert.deepEqual(
    optional.pours[0]?.lines.map(({ isOptional }) => isOptional),
    [false, true],
  );
});

test('only what is optional is left out, once its base is weighed; then it is in no weight, and may come back', () => {
  const sheet = withOptional(
    {
      doses: [
        [rose, '2 %'],
        [bran, '6 g'],
      ],
    },
    1,
  );
  const fresh = runOf(sheet);
  const lines = progress(fresh).tasks.filter(({ kind }) => kind === 'weigh-dose');
  const [scent = '', extra = ''] = lines.map(({ id }) => id);
  assert.equal(refuse(fresh, leaveOut(extra)), 'needs-first');
  const ready = runOf(sheet, weigh('r1/A/l1/base', 500), { kind: 'done', taskId: 'r1/A/l1/melt' });
  assert.equal(refuse(ready, leaveOut(scent)), 'not-optional');
  assert.equal(refuse(ready, leaveOut('r1/A/l1/pour')), 'not-optional');
  assert.equal(refuse(ready, leaveOut(extra)), 'taken');
  const without = withEvent(ready, recorded(leaveOut(extra)));
  assert.equal(taskOf(without, extra)?.isLeftOut, true);
  assert.deepEqual(openDoses(without), [scent]);
  assert.equal(refuse(without, weigh(extra, 6)), 'already-done');
  assert.equal(weighedG(without), 500);
  assert.deepEqual(
    usedMaterials(without).map(({ materialId }) => materialId),
    ['base-1'],
  );
  const back = withEvent(without, recorded({ kind: 'undone', taskId: extra }));
  assert.deepEqual(openDoses(back), [scent, extra]);
  assert.equal(taskOf(back, extra)?.isLeftOut, false);
});

test('a blend, and a powder with what wets it, are left out whole and come back whole; the cup is not stirred then', () => {
  const sheet = withOptional(
    {
      doses: [
        [both, '2 %'],
        [gold, '1 g', wet],
        [blue, '1 g', wet],
      ],
    },
    0,
    1,
  );
  let run = runOf(sheet, weigh('r1/A/l1/base', 500), { kind: 'done', taskId: 'r1/A/l1/melt' });
  const { pours } = sheet;
  const idsOf = (doseIndex: number) =>
    progress(run)
      .tasks.filter(
        (task) => task.kind === 'weigh-dose' && pours[0]?.lines[task.lineIndex]?.doseIndex === doseIndex,
      )
      .map(({ id }) => id);
  const [blends, golds, blues] = [idsOf(0), idsOf(1), idsOf(2)];
  assert.deepEqual([blends.length, golds.length, blues.length], [2, 2, 2]);
  run = withEvent(run, recorded(leaveOut(blends[1] ?? '')));
  run = withEvent(run, recorded(leaveOut(golds[0] ?? '')));
  assert.deepEqual(openDoses(run).sort(), [...blues].sort());
  const stirs = () => progress(run).tasks.filter((task) => task.kind === 'stir-in');
  const ofFragrance = stirs().filter(({ isLeftOut }) => isLeftOut);
  for (const each of ofFragrance)
    assert.equal(refuse(run, { kind: 'undone', taskId: each.id }), 'not-done-yet');
  const names = stirs()
    .filter(({ doneAt }) => doneAt === null)
    .flatMap(({ lineIndexes }) => lineIndexes.map((index) => pours[0]?.lines[index]?.material.name));
  assert.ok(names.includes('Blue') && !names.includes('Gold'), names.join(', '));
  run = withEvent(run, recorded({ kind: 'undone', taskId: golds[1] ?? '' }));
  assert.deepEqual(openDoses(run).sort(), [...golds, ...blues].sort());
});

test('what is laid and left out needs no laying, and a whole run with it ends and is logged', () => {
  const sheet = withOptional({ doses: [[rose, '2 %']], laid: [[bran, '1 g/piece', 'under']] }, 1);
  let run = runOf(sheet);
  for (let event = nextEvent(run); event; event = nextEvent(run)) {
    const { inHand } = progress(run);
    const isBran = inHand?.kind === 'weigh-dose' && inHand.into === 'dish';
    assert.notEqual(inHand?.kind, 'lay');
    run = withEvent(run, recorded(isBran && inHand ? leaveOut(inHand.id) : event));
  }
  const finished = withEvent(run, madeRun(sheet).events.at(-1) ?? recorded(leaveOut('')));
  const rows = logEntry(finished).weights.filter(({ name }) => name === 'Bran');
  assert.deepEqual(
    rows.map(({ isLeftOut, actualG }) => [isLeftOut, actualG]),
    [[true, 0]],
  );
  assert.ok(isClose(rows[0]?.plannedG ?? 0, 6));
});
