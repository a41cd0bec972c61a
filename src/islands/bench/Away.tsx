import { CloudOff } from 'lucide-react';
import { counted } from '../../words/en/plural';
import type { ApiProblem } from '../shared/api';

/** The clear sign that nothing gets to the server now, and that the bench goes on. Nothing while all is well. */
export function Away({ away, waiting }: { away: ApiProblem | null; waiting: number }) {
  if (!away) return null;
  return (
    <p role="status" className="plate border-warning flex items-center gap-3 px-4 py-2 text-lg font-semibold">
      <CloudOff size={28} className="text-warning shrink-0" aria-hidden="true" />
      <span>
        {away.status === 0 ? 'No answer from Idle Tallow.' : away.detail} Work on:{' '}
        {waiting === 0
          ? 'what you tick is kept here'
          : `${counted(waiting, 'tick is', 'ticks are')} kept here`}
        , and sent by itself.
      </span>
    </p>
  );
}
