import { useState } from 'react';
import { massUnit, showMassFigure } from '../../core/units/showQuantity';
import { useShowing } from '../shared/showing';
import type { LiveScale, ScaleSource } from './useScale';

const PLACE_LOOKS = {
  nothing: 'border-base-300',
  below: 'border-base-content',
  in: 'border-success',
  above: 'border-error',
} as const;

/** What the scale shows of this weighing, and whether it stands still. */
export function OnTheScale({ scale }: { scale: LiveScale }) {
  const showing = useShowing();
  const { watch, fault } = scale;
  if (fault)
    return (
      <p role="status" className="text-warning text-xl font-semibold">
        {fault === 'gone'
          ? 'The scale is gone: type the weight.'
          : 'Too much is on the scale: take some off.'}
      </p>
    );
  if (!watch) return null;
  return (
    <div className="flex flex-wrap items-center gap-3">
      <p
        data-testid="live"
        data-place={watch.place}
        className={`rounded-lg border-4 px-3 py-1 font-mono text-5xl leading-tight font-semibold ${PLACE_LOOKS[watch.place]}`}
      >
        {showMassFigure(watch.nettoG, showing)}
        <span className="text-2xl"> {massUnit(showing.system)}</span>
      </p>
      <span className="text-xl">{watch.isStable ? 'stands still' : 'settling …'}</span>
      {scale.accepts && !watch.isFine && (
        <span className="text-warning w-full">
          Too little for this scale to tick by itself: tick it by hand.
        </span>
      )}
    </div>
  );
}

const SOURCES: Record<ScaleSource, string> = {
  pushed: 'Listens to scales that send to Idle Tallow',
  cable: 'By cable',
  'stand-in': 'A stand-in, to try it',
};
/** What a hand may put on the stand-in, g. */
const PUTS = [0.05, 1, 10, 100] as const;

/** Chooses the scale, and works the stand-in. */
export function ScaleDrawer({ scale, targetG }: { scale: LiveScale; targetG: number | null }) {
  const showing = useShowing();
  const [isIn, setIsIn] = useState(true);
  const add = (massG: number) => scale.standIn({ kind: 'add', massG });
  const key = 'btn btn-secondary min-h-12';
  return (
    <section className="plate flex flex-none flex-wrap items-center gap-2 p-2" aria-label="Scale">
      <select
        aria-label="Which scale"
        className="select min-h-12 w-72"
        value={scale.source}
        onChange={({ target }) => scale.choose(target.value as ScaleSource)}
      >
        {(Object.keys(SOURCES) as ScaleSource[])
          .filter((source) => source !== 'cable' || scale.canCable)
          .map((source) => (
            <option key={source} value={source}>
              {SOURCES[source]}
            </option>
          ))}
      </select>
      <label className="flex min-h-12 items-center gap-2" title="When it stands still near what is aimed at">
        <input
          type="checkbox"
          className="toggle toggle-primary"
          checked={scale.accepts}
          onChange={scale.toggleAccepts}
        />
        Tick by itself
      </label>
      <button type="button" className={key} onClick={scale.zero}>
        Tare
      </button>
      {scale.source === 'stand-in' && (
        <fieldset className="flex flex-wrap items-center gap-2" aria-label="Stand-in scale">
          {targetG !== null && (
            <button type="button" className={key} onClick={() => add(targetG)}>
              Put what is aimed at
            </button>
          )}
          {PUTS.map((massG) => (
            <button key={massG} type="button" className={key} onClick={() => add(massG)}>
              + {showMassFigure(massG, showing)} {massUnit(showing.system)}
            </button>
          ))}
          <button type="button" className={key} onClick={() => scale.standIn({ kind: 'clear' })}>
            Take all off
          </button>
          <button
            type="button"
            className={key}
            onClick={() => {
              scale.standIn({ kind: 'plug', isIn: !isIn });
              setIsIn(!isIn);
            }}
          >
            {isIn ? 'Unplug' : 'Plug in'}
          </button>
        </fieldset>
      )}
    </section>
  );
}
