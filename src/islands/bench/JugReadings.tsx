import { lazy, type SubmitEvent, Suspense, useEffect, useState } from 'react';
import type { JugOnward } from '../../core/run/heatOnward';
import type { PourWindow } from '../../core/run/onward';
import type { RunEvent } from '../../core/run/run';
import type { JugReading } from '../../core/run/said';
import { parseFigure } from '../../core/units/parseFigure';
import { showNumber, showTemperature } from '../../core/units/showQuantity';
import { jugWords } from '../../words/en/run/onwardWords';
import { explainFigureFault } from '../../words/en/units/figureFault';
import { useShowing } from '../shared/showing';
import { ring } from './ring';
import type { LiveThermometer } from './useThermometer';

/** Without the server it may not be there: the words say the same. */
const TaughtCurve = lazy(async () => {
  try {
    return { default: (await import('../shared/TaughtCurve')).TaughtCurve };
  } catch {
    return { default: () => <p className="quiet">The curve can’t be drawn without the server.</p> };
  }
});

const [LEAST_C, MOST_C] = [10, 120];
const toF = (tempC: number) => tempC * 1.8 + 32;

interface Props {
  jug: JugOnward;
  /** What its pour has to be rewarmed to, where that is too late. */
  rewarmC: PourWindow['rewarmC'];
  name: string;
  nowMs: number;
  readings: readonly JugReading[];
  /** Hotter the base suffers; null where nobody knows. */
  ceilingC: number | null;
  thermometer: LiveThermometer;
  onEvent(event: RunEvent, instrument?: string | null): void;
}

/** A jug that cools: what it is thought to do, and a reading of the thermometer in it. */
export function JugReadings({ jug, rewarmC, name, nowMs, readings, ceilingC, thermometer, onEvent }: Props) {
  const showing = useShowing();
  const [text, setText] = useState('');
  const [asked, setAsked] = useState(false);
  const [isDrawn, setDrawn] = useState(false);
  const isF = showing.system === 'us';
  const rule = isF
    ? { unit: '°F', least: toF(LEAST_C), most: toF(MOST_C) }
    : { unit: '°C', least: LEAST_C, most: MOST_C };
  const shownC = thermometer.shown?.tempC ?? null;
  const isFollowed = thermometer.followed === jug.taskId;
  // Nothing typed, what the thermometer sends is read.
  const live = text.trim() === '' && shownC !== null ? showNumber(isF ? toF(shownC) : shownC, 1, 'en') : null;
  const parsed = parseFigure(live ?? text, rule);
  const lastC = readings.at(-1)?.tempC ?? null;
  const isTooHot = isFollowed && lastC !== null && ceilingC !== null && lastC > ceilingC;
  useEffect(() => {
    if (isTooHot) ring();
  }, [isTooHot]);
  const fault =
    (asked || text.trim() !== '') && !parsed.success ? explainFigureFault(parsed.error, rule) : null;

  function read(event: SubmitEvent) {
    event.preventDefault();
    setAsked(true);
    if (!parsed.success) return;
    const tempC = isF ? (parsed.data - 32) / 1.8 : parsed.data;
    if (ceilingC !== null && tempC > ceilingC) ring();
    onEvent(
      { kind: 'measured', taskId: jug.taskId, tempC: Number(tempC.toFixed(2)) },
      live === null ? null : (thermometer.shown?.instrument ?? null),
    );
    setText('');
    setAsked(false);
  }

  return (
    <form onSubmit={read} noValidate className="border-base-300 my-2 rounded-lg border-2 p-3">
      <p className="text-xl" data-testid="jug">
        <strong>{name}</strong>
        {jug.isRead && <>, at {showTemperature(jug.forecast.lastC, showing, 1)} when it was read</>}.{' '}
        {jugWords(jug, rewarmC, nowMs, showing)}
      </p>
      {lastC !== null && ceilingC !== null && lastC > ceilingC && (
        <p role="alert" className="text-error text-2xl font-semibold">
          Above {showTemperature(ceilingC, showing)}, the most this base bears: off the heat, stir, and let it
          cool. Hot base burns.
        </p>
      )}
      <div className="mt-2 flex flex-wrap items-center gap-3">
        <label htmlFor={`read-${jug.taskId}`} className="text-lg font-semibold">
          Thermometer
        </label>
        <input
          id={`read-${jug.taskId}`}
          className={`input h-14 w-28 font-mono text-2xl ${fault === null ? '' : 'input-error'}`}
          inputMode="decimal"
          autoComplete="off"
          value={text}
          placeholder={live ?? ''}
          aria-invalid={fault !== null}
          aria-describedby={`read-${jug.taskId}-says`}
          onChange={({ target }) => setText(target.value)}
        />
        <span className="text-xl">{rule.unit}</span>
        <button type="submit" className="btn btn-secondary btn-lg">
          Read
        </button>
        {(shownC !== null || isFollowed) && (
          <button
            type="button"
            className="btn btn-secondary btn-lg"
            aria-pressed={isFollowed}
            onClick={() => thermometer.follow(isFollowed ? null : jug.taskId)}
          >
            {isFollowed ? 'Out of the jug' : 'It stands in this jug'}
          </button>
        )}
        {!isFollowed && readings.length > 0 && (
          <button
            type="button"
            className="btn btn-ghost btn-lg"
            onClick={() => onEvent({ kind: 'forgotten', taskId: jug.taskId })}
          >
            Forget the last
          </button>
        )}
        <span id={`read-${jug.taskId}-says`} className={fault ? 'text-error' : 'text-warning'}>
          {fault ?? (isFollowed && shownC === null ? 'The thermometer is silent: type what it reads.' : '')}
        </span>
      </div>
      {jug.isRead && (
        <details open={isDrawn} onToggle={({ currentTarget }) => setDrawn(currentTarget.open)}>
          <summary className="flex min-h-11 cursor-pointer items-center">Its curve</summary>
          {isDrawn && (
            <Suspense fallback={<p className="quiet h-48">Drawing …</p>}>
              <TaughtCurve
                readings={readings.map(({ at, tempC }) => ({
                  timeS: (Date.parse(at) - jug.fromMs) / 1000,
                  tempC,
                }))}
                curve={jug.forecast.curve.map(({ timeS, tempC: { low, middle, high } }) => ({
                  timeS,
                  tempC: middle,
                  lowC: low,
                  highC: high,
                }))}
              />
            </Suspense>
          )}
        </details>
      )}
    </form>
  );
}
