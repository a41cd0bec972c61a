import { AXIS_HOURS, onAxis } from '../../core/rack/axis';

const HOUR_MS = 3600_000;

function markWords(hours: number): string {
  if (hours === 0) return 'now';
  return hours < 24 ? `+${hours} h` : `+${hours / 24} d`;
}

/** The hours to come, over all rows. */
export function Axis() {
  return (
    <div className="hidden grid-cols-[22rem_5rem_1fr] gap-4 md:grid" aria-hidden="true">
      <span className="quiet px-2 text-sm">Next, by hand</span>
      <span />
      <div className="relative h-6 text-sm">
        {AXIS_HOURS.slice(0, -1).map((hours) => (
          <span
            key={hours}
            className="quiet absolute border-l border-base-300 pl-1"
            style={{ left: `${onAxis(hours * HOUR_MS) * 100}%` }}
          >
            {markWords(hours)}
          </span>
        ))}
      </div>
    </div>
  );
}
