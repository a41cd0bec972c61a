import { useState } from 'react';
import { Bar, BarChart, CartesianGrid, ResponsiveContainer, Tooltip, XAxis, YAxis } from 'recharts';
import { FEW } from '../../core/knows/biasAndSpread';
import { FAULTS_BY, type FaultsBy, type FaultsOf, type Knows } from '../../core/knows/knows';
import { counted } from '../../words/en/plural';

const NAMES: Record<FaultsBy, string> = {
  fault: 'Kind',
  plan: 'Plan',
  base: 'Base',
  mold: 'Mold',
  month: 'Month',
};
const ROW_PX = 34;
const LEAST_PX = 160;

/** How many runs had a fault, by what they have in common. */
export function FaultCounts({ faults }: { faults: Knows['faults'] }) {
  const [by, setBy] = useState<FaultsBy>('fault');
  const rows = faults[by];
  const seen = rows.filter(({ withFaults }) => withFaults > 0);
  return (
    <section className="plate min-w-0 p-4" aria-labelledby="faults">
      <h2 id="faults" className="mb-2 text-xl font-semibold">
        Faults
      </h2>
      <fieldset className="mb-3 flex flex-wrap gap-2">
        <legend className="sr-only">Counted by</legend>
        {FAULTS_BY.map((each) => (
          <button
            key={each}
            type="button"
            className={`btn min-h-11 ${by === each ? 'btn-primary' : 'btn-secondary'}`}
            aria-pressed={by === each}
            onClick={() => setBy(each)}
          >
            {NAMES[each]}
          </button>
        ))}
      </fieldset>
      {seen.length === 0 ? (
        <p className="quiet">No fault was written down yet.</p>
      ) : (
        <>
          <div
            style={{ height: Math.max(LEAST_PX, rows.length * ROW_PX + 40) }}
            role="img"
            aria-label={seen.map(said(by)).join('; ')}
          >
            <ResponsiveContainer width="100%" height="100%">
              <BarChart data={rows} layout="vertical" margin={{ top: 4, right: 16, bottom: 20, left: 8 }}>
                <CartesianGrid stroke="currentColor" strokeOpacity={0.15} horizontal={false} />
                <XAxis
                  type="number"
                  allowDecimals={false}
                  stroke="currentColor"
                  fontSize={12}
                  label={{
                    value: 'runs',
                    position: 'insideBottom',
                    offset: -12,
                    fontSize: 12,
                    fill: 'currentColor',
                  }}
                />
                <YAxis
                  type="category"
                  dataKey="name"
                  width={150}
                  stroke="currentColor"
                  fontSize={12}
                  interval={0}
                />
                <Tooltip contentStyle={{ background: 'var(--color-base-100)', borderRadius: 8 }} />
                {by !== 'fault' && (
                  <Bar
                    dataKey="runs"
                    name="runs"
                    fill="currentColor"
                    fillOpacity={0.18}
                    isAnimationActive={false}
                  />
                )}
                <Bar
                  dataKey="withFaults"
                  name="with a fault"
                  fill="var(--color-error)"
                  isAnimationActive={false}
                />
              </BarChart>
            </ResponsiveContainer>
          </div>
          <ul className="quiet mt-2 text-sm">
            {seen.map((row) => (
              <li key={row.name}>
                {said(by)(row)}
                {by !== 'fault' && row.runs < FEW && ': too few to go by'}
              </li>
            ))}
          </ul>
        </>
      )}
    </section>
  );
}

/** “Night Ferry: 2 of 7 runs”. */
function said(by: FaultsBy): (row: FaultsOf) => string {
  return ({ name, runs, withFaults }) =>
    by === 'fault'
      ? `${name}: ${counted(withFaults, 'run', 'runs')}`
      : `${name}: ${withFaults} of ${counted(runs, 'run', 'runs')}`;
}
