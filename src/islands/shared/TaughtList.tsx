import { lazy, Suspense, useState } from 'react';
import type { Taught } from '../../core/heat/taught';
import { showTemperature } from '../../core/units/showQuantity';
import { taughtWords } from '../../words/en/heat/teachWords';
import { showDay, stopwatchWords } from '../../words/en/showTime';
import { useShowing } from './showing';

const TaughtCurve = lazy(async () => ({ default: (await import('./TaughtCurve')).TaughtCurve }));

/** What a jug or a mold was taught, the newest first: where each figure came from, and a way to take it back. */
export function TaughtList({
  whose,
  taught,
  onTakeOut,
  onPutBack,
}: {
  whose: string;
  taught: readonly Taught[];
  /** False where it could not be. */
  onTakeOut(one: Taught): boolean | Promise<boolean>;
  onPutBack(one: Taught, place: number): boolean | Promise<boolean>;
}) {
  const showing = useShowing();
  const [takenOut, setTakenOut] = useState<{ one: Taught; place: number } | null>(null);
  async function takeOut(one: Taught) {
    const place = taught.indexOf(one);
    if (await onTakeOut(one)) setTakenOut({ one, place });
  }
  async function putBack() {
    if (takenOut && (await onPutBack(takenOut.one, takenOut.place))) setTakenOut(null);
  }
  return (
    <>
      <Lessons whose={whose} taught={taught} onTakeOut={takeOut} />
      {takenOut && (
        <p role="status" className="flex items-center gap-2">
          Taken out: {taughtWords(takenOut.one, showing)}.
          <button type="button" className="btn btn-secondary btn-sm min-h-11" onClick={putBack}>
            Put it back
          </button>
        </p>
      )}
    </>
  );
}

function Lessons({
  whose,
  taught,
  onTakeOut,
}: {
  whose: string;
  taught: readonly Taught[];
  onTakeOut(one: Taught): void;
}) {
  const showing = useShowing();
  if (taught.length === 0)
    return (
      <p className="quiet">
        {whose} loses heat as the model has it: nothing was taught yet. Teach it with a plan, below its pours.
      </p>
    );
  return (
    <ul>
      {taught.toReversed().map((one, index) => (
        <li key={`${one.on} ${one.scale}`} className="flex flex-wrap items-center gap-x-2">
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
          {one.from.is === 'readings' && <Source from={one.from} />}
        </li>
      ))}
    </ul>
  );
}

/** The readings that a figure is from, as they were typed, and the curve that was made of them. */
function Source({ from }: { from: Extract<Taught['from'], { is: 'readings' }> }) {
  const showing = useShowing();
  const [open, setOpen] = useState(false);
  const { readings, curve } = from;
  return (
    <details className="w-full" onToggle={({ currentTarget }) => setOpen(currentTarget.open)}>
      <summary className="flex min-h-11 cursor-pointer items-center text-xs underline">
        The {readings.length} readings
      </summary>
      {open && (
        <>
          {curve.length > 0 && (
            <Suspense fallback={<p className="quiet h-48">Opening …</p>}>
              <TaughtCurve readings={readings} curve={curve} />
            </Suspense>
          )}
          <ul className="flex flex-wrap gap-x-3 text-xs" aria-label="Readings, minutes and temperature">
            {readings.map(({ timeS, tempC }) => (
              <li key={timeS}>
                {stopwatchWords(timeS)} {showTemperature(tempC, showing, 1)}
              </li>
            ))}
          </ul>
        </>
      )}
    </details>
  );
}
