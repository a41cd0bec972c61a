import type { Progress } from '../../core/run/progress';
import type { Run } from '../../core/run/run';
import type { ApiProblem } from '../shared/api';
import { Away } from './Away';

interface Props {
  run: Run;
  ended: NonNullable<Progress['ended']>;
  away: ApiProblem | null;
  waiting: number;
}

/** What became of a run that is over. */
export function EndedRun({ run, ended, away, waiting }: Props) {
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
      </div>
    </div>
  );
}
