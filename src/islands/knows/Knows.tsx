import { useState } from 'react';
import { FEW } from '../../core/knows/biasAndSpread';
import type { Known, Knows as Told } from '../../core/knows/knows';
import { biasWords, MEASURE_NAMES } from '../../words/en/knows/measureWords';
import { useShowing, withShowing } from '../shared/showing';
import { FaultCounts } from './FaultCounts';
import { PredictedAndMeasured } from './PredictedAndMeasured';

interface Props {
  told: Told;
}

/** How far off predictions are here, and which faults come with what. */
function Knows({ told }: Props) {
  const showing = useShowing();
  const { measures, faults } = told;
  const [kind, setKind] = useState(() => mostRuns(measures)?.kind ?? null);
  const shown = measures.find((each) => each.kind === kind);
  return (
    <div className="grid items-start gap-4 lg:grid-cols-2">
      <section className="plate min-w-0 p-4" aria-labelledby="off">
        <h2 id="off" className="mb-2 text-xl font-semibold">
          Predicted and measured
        </h2>
        {measures.length === 0 && (
          <p className="quiet">
            Nothing yet. Weigh some pieces when you look at a round, read a jug when it is poured, and touch a
            layer before the next: it is told here from the first run on, and means something from {FEW} on.
          </p>
        )}
        <ul className="flex flex-col gap-1">
          {measures.map((each) => (
            <li key={each.kind}>
              <button
                type="button"
                className={`min-h-14 w-full cursor-pointer rounded-lg px-3 py-1 text-left ${each.kind === kind ? 'live' : 'hover:bg-base-200'}`}
                aria-pressed={each.kind === kind}
                onClick={() => setKind(each.kind)}
              >
                <strong className="block">{MEASURE_NAMES[each.kind]}</strong>
                <span className={each.off.count < FEW && each.kind !== kind ? 'quiet' : ''}>
                  {biasWords(each.kind, each.off, showing)}
                </span>
              </button>
            </li>
          ))}
        </ul>
        {shown && <PredictedAndMeasured known={shown} />}
      </section>
      <FaultCounts faults={faults} />
    </div>
  );
}

function mostRuns(measures: readonly Known[]): Known | undefined {
  return measures.toSorted((a, b) => b.off.count - a.off.count)[0];
}

export default withShowing(Knows);
