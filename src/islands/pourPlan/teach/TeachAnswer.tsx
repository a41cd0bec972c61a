import type { Reading } from '../../../core/heat/taught';
import { showNumber, showPercent } from '../../../core/units/showQuantity';
import { teachFaultWords } from '../../../words/en/heat/teachWords';
import type { TeachResult } from '../../../workers/pourPlanProtocol';
import { useShowing } from '../../shared/showing';
import { TaughtCurve } from '../../shared/TaughtCurve';

interface Props {
  result: TeachResult;
  readings: Reading[];
  /** Whose it would be kept as. */
  whose: string;
  saving: boolean;
  onKeep(): void;
}

/** What a lesson says of the model, or why it says nothing. */
export function TeachAnswer({ result, readings, whose, saving, onKeep }: Props) {
  const showing = useShowing();
  if (!result.success)
    return (
      <p role="alert" className="text-error">
        {teachFaultWords(result.error, showing)}
      </p>
    );
  const { scale, spread, offK, curve } = result.data;
  const { locale } = showing;
  return (
    <div role="status">
      <p>
        It loses heat <strong>{showNumber(scale, 2, locale)} times</strong> as fast as the model has it, ±{' '}
        {showPercent(spread, locale, 0)}
        {offK !== undefined && `; the readings lie ${showNumber(offK, 1, locale)} K off the curve`}.
      </p>
      {readings.length > 0 && curve && <TaughtCurve readings={readings} curve={curve} />}
      <button
        type="button"
        className="btn btn-primary btn-sm mt-1 pointer-coarse:min-h-11"
        disabled={saving}
        onClick={onKeep}
      >
        Keep it for {whose}
      </button>
    </div>
  );
}
