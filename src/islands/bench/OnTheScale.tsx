import { massUnit, showMassFigure } from '../../core/units/showQuantity';
import { useShowing } from '../shared/showing';
import type { LiveScale } from './useScale';

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
