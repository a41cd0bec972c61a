import { makeSheet } from '../src/core/plan/makeSheet';
import { slimSheet } from '../src/core/run/snapshot';
import { indexRun } from '../src/server/search/indexRuns';
import type { Workshop } from '../src/server/workshop';
import { additive, base, fragrance, mold, planFile } from '../tests/support/planFiles';
import { madeRun, recorded } from '../tests/support/runs';

export interface Size {
  runs: number;
  plans: number;
  materials: number;
}

/** Fills a workshop: so many finished runs, plans and materials. */
export function fill(workshop: Workshop, file: ReturnType<typeof fileOf>, size: Size): void {
  const { db, plans, runs, materials } = workshop;
  const made = makeSheet(file);
  if (!made.success) throw new Error('the plan of the benchmark has no sheet');
  const sheet = slimSheet(made.data);
  const at = (n: number) => new Date(Date.UTC(2020, 0, 1) + n * 3_600_000).toISOString();
  db.transaction(() => {
    for (let n = materials.all().length; n < size.materials; n++)
      materials.insert(additive({ id: `extra-${n}`, name: `Extra ${n}`, role: 'other' }), at(n));
    const ids = plans.all().map(({ id }) => id);
    for (let n = ids.length; n < size.plans; n++) {
      const id = `plan-${n}`;
      plans.insert(id, { ...file.plan, name: `Plan ${n}` }, at(n));
      ids.push(id);
    }
    for (let n = 0; n < size.runs; n++) {
      const planId = ids[n % ids.length] ?? '';
      const run = {
        ...madeRun({ ...sheet, planName: `Run ${n % ids.length}` }),
        ...{ id: `run-${n}`, startedAt: at(n), planId },
      };
      runs.insert({ ...run, events: [] });
      run.events.forEach((event, place) => {
        runs.append(run.id, `event-${place}`, event);
      });
      runs.end(run.id, 'finished', at(n + 1), `note ${n}`);
      const said = recordedNote(n);
      indexRun(workshop, { ...run, events: [...run.events, said] });
    }
  })();
}

/** Every run says “note”, every tenth “tenth”. */
function recordedNote(n: number) {
  return recorded({ kind: 'remarked', note: `note ${n}${n % 10 === 0 ? ' tenth' : ''}` });
}

export function fileOf() {
  return planFile(
    [{ base: base(), doses: [[fragrance(), '2 %']] }],
    { name: 'Plain bar', pieces: 6 },
    mold(),
  );
}
