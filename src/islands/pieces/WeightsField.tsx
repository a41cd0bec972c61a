import type { ReactNode } from 'react';
import { parseWeights } from '../../core/inspection/weighedPieces';
import { massUnit, showMass } from '../../core/units/showQuantity';
import { useShowing } from '../shared/showing';

interface Props {
  id: string;
  value: string;
  /** What stands below it while nothing is written. */
  says: string;
  /** What follows on what was weighed. */
  children?: ReactNode;
  onChange(value: string): void;
}

/** Weights of pieces as they come off the scale, one after the other. */
export function WeightsField({ id, value, says, children, onChange }: Props) {
  const showing = useShowing();
  const weighed = parseWeights(value, showing.system);
  return (
    <div>
      <label htmlFor={id} className="text-lg font-semibold">
        Weights of some or all, {massUnit(showing.system)}
      </label>
      <textarea
        id={id}
        className={`textarea w-full font-mono text-lg ${weighed.success ? '' : 'textarea-error'}`}
        rows={2}
        value={value}
        aria-invalid={!weighed.success}
        aria-describedby={`${id}-says`}
        onChange={({ target }) => onChange(target.value)}
      />
      <p id={`${id}-says`} className={weighed.success ? 'quiet' : 'text-error'}>
        {!weighed.success ? (
          `“${weighed.error.text}” is no weight of a piece. Write one a line, or with spaces between.`
        ) : weighed.data.meanG === null ? (
          says
        ) : (
          <>
            {weighed.data.weightsG.length} weighed: {showMass(weighed.data.meanG, showing)} on average,{' '}
            {showMass(weighed.data.leastG ?? 0, showing)} to {showMass(weighed.data.mostG ?? 0, showing)}
            {children}
          </>
        )}
      </p>
    </div>
  );
}
