import type { PlanCounts } from '../server/planCounts';

interface Props {
  counts: PlanCounts;
  planId: string;
}

/** What is open of a plan, as far as it is known; a card fills in the rest. */
export function OpenCounts({ counts: { stops, cautions, isHeatToCome }, planId }: Props) {
  return (
    <span data-counts-of={isHeatToCome ? planId : undefined} aria-busy={isHeatToCome ? 'true' : undefined}>
      {stops > 0 && (
        <strong className="text-error mr-2">
          {stops} {stops === 1 ? 'stop' : 'stops'}
        </strong>
      )}
      {cautions > 0 && (
        <span className="text-warning font-semibold">
          {cautions} {cautions === 1 ? 'caution' : 'cautions'}
        </span>
      )}
      {stops + cautions === 0 && (
        <span className="quiet">{isHeatToCome ? 'Checking …' : 'Within its limits'}</span>
      )}
    </span>
  );
}
