import type { Progress } from '../../core/run/progress';
import type { Run } from '../../core/run/run';
import type { ApiProblem } from '../shared/api';
import { Away } from './Away';
import type { OtherRun } from './useOtherRuns';

interface Props {
  run: Run;
  ended: NonNullable<Progress['ended']>;
  away: ApiProblem | null;
  waiting: number;
  /** What is still on the bench. */
  others: readonly OtherRun[];
}

/** What became of a run that is over. */
export function EndedRun({ run, ended, away, waiting, others }: Props) {
  return (
    <div className="p-6">
      <div className="plate max-w-xl p-6">
        <h1 className="text-2xl font-semibold">{run.snapshot.sheet.planName}</h1>
        <p className="my-3">
          {ended.kind === 'abandoned'
            ? 'This run was given up.'
            : waiting > 0
              ? 'This run comes into the Logbook as soon as Idle Tallow answers.'
              : 'This run is in the Logbook.'}
        </p>
        <Away away={away} waiting={waiting} />
        {waiting === 0 && (
          <a className="btn btn-primary" href={ended.kind === 'finished' ? `/log/${run.id}` : '/bench'}>
            {ended.kind === 'finished' ? 'See it in the Logbook' : 'To the bench'}
          </a>
        )}
        {waiting === 0 && ended.kind === 'abandoned' && !ended.isPutBack && (
          <p className="mt-3">
            What was melted can still go into a scrap jar:{' '}
            <a
              className="link inline-flex min-h-11 items-center"
              href={`/rack/${encodeURIComponent(run.id)}?round=1`}
            >
              set it aside
            </a>
          </p>
        )}
        {others.length > 0 && (
          <ul className="mt-4 flex flex-wrap gap-3" aria-label="Still on the bench">
            {others.map(({ run: { id, snapshot } }) => (
              <li key={id}>
                <a className="btn btn-secondary min-h-11" href={`/bench/${encodeURIComponent(id)}`}>
                  Go on with {snapshot.sheet.planName}
                </a>
              </li>
            ))}
          </ul>
        )}
      </div>
    </div>
  );
}
