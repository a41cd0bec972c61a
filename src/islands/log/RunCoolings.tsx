import { lazy, Suspense, useState } from 'react';
import type { Cooling } from '../../core/run/coolings';
import type { KeptReadings } from '../../core/run/keptReadings';
import type { Run } from '../../core/run/run';
import { listed } from '../../words/en/plural';
import { callApi } from '../shared/api';
import { withStart } from '../shared/pageData';
import { withShowing } from '../shared/showing';

const TaughtCurve = lazy(async () => ({ default: (await import('../shared/TaughtCurve')).TaughtCurve }));

interface Props {
  start: Run;
}

/** How each jug that was read really cooled, over what was forecast when it was melted; looked at once it is opened. */
function RunCoolings({ start: run }: Props) {
  const [coolings, setCoolings] = useState<Cooling[] | null>(null);
  const [problem, setProblem] = useState<string | null>(null);

  async function open() {
    if (coolings !== null) return;
    setProblem(null);
    const [kept, { coolingsOf }] = await Promise.all([
      callApi<KeptReadings[]>('GET', `/api/runs/${encodeURIComponent(run.id)}/readings`),
      import('../../core/run/coolings'),
    ]);
    if (kept.success) setCoolings(coolingsOf(run, kept.data));
    else setProblem(kept.error.detail);
  }

  return (
    <details className="plate p-4" onToggle={({ currentTarget }) => currentTarget.open && void open()}>
      <summary className="min-h-11 cursor-pointer content-center font-semibold">
        Temperatures over their forecast
      </summary>
      {problem && (
        <p role="alert" className="text-error">
          {problem}
        </p>
      )}
      {coolings === null && problem === null && (
        <p className="quiet" role="status">
          Fetching what was read …
        </p>
      )}
      {coolings?.length === 0 && (
        <p className="quiet">
          No jug of this batch was read: put a thermometer into it, or type what it shows.
        </p>
      )}
      <div className="grid gap-4 md:grid-cols-2">
        {coolings?.map((cooling) => (
          <div key={cooling.taskId}>
            <h3>{jugName(cooling, run)}</h3>
            <Suspense fallback={<p className="quiet h-48">Drawing …</p>}>
              <TaughtCurve readings={cooling.readings} curve={cooling.curve} counts="from-melted" />
            </Suspense>
          </div>
        ))}
      </div>
    </details>
  );
}

function jugName({ pourIndexes, round, load }: Cooling, { snapshot: { sheet } }: Run): string {
  const letters = listed(pourIndexes.map((index) => sheet.pours[index]?.letter ?? ''));
  return [
    `Jug of ${letters}`,
    sheet.totals.rounds > 1 ? `round ${round + 1}` : '',
    load > 0 ? `melt ${load + 1}` : '',
  ]
    .filter((words) => words !== '')
    .join(', ');
}

export default withShowing(withStart('run', RunCoolings));
