import type { Taught } from '../../core/heat/taught';
import { taughtWords } from '../../core/heat/teachWords';
import { showDay } from '../../core/showTime';
import type { Showing } from '../../core/units/showQuantity';

/** What a jug or a mold was taught, the newest first: where each figure came from, and a way to take it back. */
export function TaughtList({
  whose,
  taught,
  showing,
  onTakeOut,
}: {
  whose: string;
  taught: readonly Taught[];
  showing: Showing;
  onTakeOut(one: Taught): void;
}) {
  if (taught.length === 0)
    return (
      <p className="quiet">
        {whose} loses heat as the model has it: nothing was taught yet. Teach it with a plan, below its pours.
      </p>
    );
  return (
    <ul>
      {taught.toReversed().map((one, index) => (
        <li key={`${one.on} ${one.scale}`} className="flex items-center gap-2">
          <span className="flex-1">
            {index === 0 ? <strong>{whose} now: </strong> : 'Before: '}
            {taughtWords(one, showing)}, {showDay(one.on, showing.locale)}
          </span>
          <button
            type="button"
            className="btn btn-ghost btn-sm min-h-11"
            onClick={() => onTakeOut(one)}
            aria-label={`Take out what was taught on ${showDay(one.on, showing.locale)}`}
          >
            Take out
          </button>
        </li>
      ))}
    </ul>
  );
}
