import assert from 'node:assert/strict';
import test from 'node:test';
import fc from 'fast-check';
import { BOX, fragrance, isClose, mold, planFile, scrap, sheetOf } from '../../../tests/support/planFiles';
import { madeRun, recorded } from '../../../tests/support/runs';
import { mixed, shares, unmixed } from '../materials/scrap';
import { checkEvent } from './checkEvent';
import { contentOfRun } from './contentOfRun';
import { massKept } from './massKept';
import { piecesMade } from './piecesMade';
import { progress, withEvent } from './progress';
import type { Run, RunEvent } from './run';

const LOAF = mold({
  cavities: 1,
  capacityMl: 1000,
  shape: { kind: 'box', lengthMm: 200, widthMm: 80, depthMm: 62.5, draftDeg: 0, cornerMm: 0 },
  sliceMm: 25,
});

const aside = (over: Partial<Extract<RunEvent, { kind: 'set-aside' }>>): RunEvent => ({
  kind: 'set-aside',
  asideId: crypto.randomUUID(),
  round: null,
  of: 'ends',
  pourIndexes: [],
  massG: 10,
  pieces: null,
  to: { is: 'jar', name: 'Ends' },
  ...over,
});
const cut = (over: Partial<Extract<RunEvent, { kind: 'cut' }>>): RunEvent => ({
  kind: 'cut',
  cutId: crypto.randomUUID(),
  round: 0,
  of: 'pieces',
  how: 'by-eye',
  count: 1,
  into: 2,
  weightsG: [],
  lossG: 0,
  ...over,
});

function after(run: Run, event: RunEvent): { run: Run; refused: string | null } {
  const checked = checkEvent(run, event);
  if (!checked.success) return { run, refused: checked.error.code };
  return { run: withEvent(run, recorded(event)), refused: null };
}

test('a loaf is cut into bars, two of them into quarters, and back', () => {
  let run = madeRun(sheetOf(planFile([{}], { pieces: 8 }, LOAF)));
  const say = (event: RunEvent) => {
    const told = after(run, event);
    run = told.run;
    return told.refused;
  };
  const pieces = (left = false) => piecesMade(run.snapshot.sheet, 0, progress(run), left);
  assert.equal(pieces(), 8);
  assert.equal(say(cut({ of: 'blocks', cutId: 'loaf', into: 7, lossG: 12, weightsG: [120, 118] })), null);
  assert.equal(pieces(), 7);
  assert.equal(say(cut({ of: 'blocks', into: 8 })), 'cut-already');
  assert.equal(say(cut({ cutId: 'quarters', count: 2, into: 8 })), null);
  assert.equal(pieces(), 13);
  assert.equal(say(cut({ cutId: 'quarters', count: 2, into: 8 })), 'said-already');
  assert.equal(say(cut({ count: 14, into: 28 })), 'too-many-pieces');
  assert.equal(say(cut({ round: 1 })), 'unknown-round');
  assert.equal(say(cut({ lossG: 1e6 })), 'more-than-is-there');
  assert.equal(
    say(aside({ of: 'pieces', round: 0, pieces: 3, massG: 90, to: { is: 'waste', reason: 'dropped' } })),
    null,
  );
  assert.deepEqual([pieces(), pieces(true)], [13, 10]);
  assert.equal(say(aside({ of: 'pieces', round: 0, pieces: 11, massG: 90 })), 'too-many-pieces');
  const look: RunEvent = {
    ...{
      kind: 'inspected',
      inspectionId: 'look',
      round: 0,
      faults: [],
      weightsG: [],
      note: '',
      againAfterDays: null,
    },
    pieces: { good: 13, second: 0, scrap: 1, remelt: 0 },
  };
  assert.equal(say(look), 'too-many-pieces');
  assert.equal(say({ kind: 'taken-back', entryId: 'quarters' }), null);
  assert.equal(say({ kind: 'taken-back', entryId: 'quarters' }), 'unknown-entry');
  assert.equal(pieces(), 7);
});

test('no gram appears or goes without an entry, whatever is cut, set aside and taken back', () => {
  const sheet = sheetOf(planFile([{ doses: [[fragrance(), '2 %']] }], { pieces: 12 }, BOX));
  const made = madeRun(sheet, 1, { toScrapG: 5 });
  const step = fc.oneof(
    fc.record({
      is: fc.constant('aside' as const),
      massG: fc.double({ min: 0.1, max: 900, noNaN: true }),
      to: fc.nat(3),
    }),
    fc.record({
      is: fc.constant('cut' as const),
      lossG: fc.double({ min: 0, max: 400, noNaN: true }),
      count: fc.integer({ min: 1, max: 8 }),
    }),
    fc.record({ is: fc.constant('back' as const), place: fc.nat(5) }),
  );
  const TO = [
    { is: 'jar', name: 'Ends' },
    { is: 'pieces' },
    { is: 'sample', place: 'Drawer' },
    { is: 'waste', reason: 'dropped' },
  ] as const;
  fc.assert(
    fc.property(fc.array(step, { maxLength: 12 }), (steps) => {
      let run: Run = made;
      const ids: string[] = [];
      for (const [index, each] of steps.entries()) {
        const id = `entry-${index}`;
        const event: RunEvent =
          each.is === 'aside'
            ? aside({ asideId: id, massG: each.massG, to: TO[each.to] ?? TO[0] })
            : each.is === 'cut'
              ? cut({ cutId: id, lossG: each.lossG, count: each.count, into: each.count * 2 })
              : { kind: 'taken-back', entryId: ids[each.place] ?? 'none' };
        const told = after(run, event);
        if (told.refused === null) ids.push(id);
        run = told.run;
        const { inG, restG, ...gone } = massKept(run, progress(run));
        const saidG = run.events.reduce((sum, { event: said }) => {
          const isBack = run.events.some(
            (other) =>
              other.event.kind === 'taken-back' &&
              ((said.kind === 'cut' && said.cutId === other.event.entryId) ||
                (said.kind === 'set-aside' && said.asideId === other.event.entryId)),
          );
          if (isBack) return sum;
          if (said.kind === 'set-aside') return sum + said.massG;
          if (said.kind === 'cut') return sum + said.lossG;
          return said.kind === 'finished' ? sum + (said.toScrapG ?? 0) : sum;
        }, 0);
        const goneG = Object.values(gone).reduce((sum, mass) => sum + mass, 0);
        assert.ok(isClose(goneG, saidG, 1e-9) && isClose(goneG + restG, inG, 1e-9));
        assert.ok(restG > -1e-6, `${restG}`);
      }
    }),
    { numRuns: 120 },
  );
});

test('what a pour holds is what was weighed: more base thins it, and a jar of two mixes by mass', () => {
  const sheet = sheetOf(planFile([{ doses: [[fragrance(), '2 %']] }], {}, BOX));
  const run = madeRun(sheet);
  const holds = contentOfRun(run, progress(run), [0]);
  // 2 g on 100 g: by hand 2 / 102.
  assert.ok(isClose(holds?.find(({ kind }) => kind === 'dose')?.ofScrap ?? 0, 2 / 102, 1e-9));
  // Twice as much of it went in as was planned: 4 g on 100 g.
  const scentTask = progress(run).tasks.find(({ kind }) => kind === 'weigh-dose');
  const double = (scentTask?.actualG ?? 0) * 2;
  const strong = withEvent(run, recorded({ kind: 'corrected', taskId: scentTask?.id ?? '', massG: double }));
  const stronger = contentOfRun(strong, progress(strong), [])?.find(({ kind }) => kind === 'dose');
  assert.ok(isClose(stronger?.ofScrap ?? 0, 4 / 104, 1e-9));
  const plain = shares([{ materialId: 'base-1', name: 'Test base', kind: 'base', massG: 1 }]);
  const jar = mixed({ massG: 102, holds }, { massG: 98, holds: plain });
  assert.ok(isClose(jar?.find(({ kind }) => kind === 'dose')?.ofScrap ?? 0, 2 / 200, 1e-9));
  const back = unmixed({ massG: 200, holds: jar }, { massG: 98, holds: plain });
  assert.ok(isClose(back?.find(({ kind }) => kind === 'dose')?.ofScrap ?? 0, 2 / 102, 1e-9));
  assert.equal(mixed({ massG: 5, holds: null }, { massG: 98, holds: plain }), null);
});

test('through melts again a dose is thinned as an independent balance says, and counts in every limit', () => {
  fc.assert(
    fc.property(
      fc.array(
        fc.record({
          ofBase: fc.double({ min: 0.05, max: 1, noNaN: true }),
          dose: fc.double({ min: 0, max: 0.03, noNaN: true }),
        }),
        {
          minLength: 1,
          maxLength: 5,
        },
      ),
      (melts) => {
        const scent = fragrance();
        // Grams of scent in a gram of what was made last, told by itself: s/(1+s) for the first.
        let inScrap = 0.02 / 1.02;
        let run = madeRun(sheetOf(planFile([{ doses: [[scent, '2 %']] }], {}, BOX)));
        for (const { ofBase, dose } of melts) {
          const holds = contentOfRun(run, progress(run), []);
          const jar = scrap({ holds, melts: 1 });
          const file = planFile([{ doses: [[scent, `${(dose * 100).toFixed(6)} %`]] }], {}, BOX, [jar]);
          const plan = {
            ...file.plan,
            pours: file.plan.pours.map((pour) => ({ ...pour, remelt: { scrapId: jar.id, ofBase } })),
          };
          const sheet = sheetOf({ ...file, plan });
          const added = Number((dose * 100).toFixed(6)) / 100;
          inScrap = (inScrap * ofBase + added) / (1 + added);
          const [pour] = sheet.pours;
          const ofProduct = [...(pour?.lines ?? []), ...(pour?.inherited ?? [])].reduce(
            (sum, line) => sum + line.ofProduct,
            0,
          );
          assert.ok(isClose(ofProduct, inScrap, 1e-9), `${ofProduct} ${inScrap}`);
          run = madeRun(sheet);
        }
        const scentNow = contentOfRun(run, progress(run), [])?.find(
          ({ materialId }) => materialId === scent.id,
        );
        assert.ok(isClose(scentNow?.ofScrap ?? 0, inScrap, 1e-9));
      },
    ),
    { numRuns: 60 },
  );
});
