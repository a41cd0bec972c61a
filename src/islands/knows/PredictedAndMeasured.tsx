import {
  CartesianGrid,
  ReferenceLine,
  ResponsiveContainer,
  Scatter,
  ScatterChart,
  Tooltip,
  XAxis,
  YAxis,
} from 'recharts';
import { FEW } from '../../core/knows/biasAndSpread';
import type { Known } from '../../core/knows/knows';
import { biasWords, MEASURE_NAMES, measureFigure } from '../../words/en/knows/measureWords';
import { useShowing } from '../shared/showing';

/** Each run as a point: what was predicted to the right, what was measured upwards. On the line, the two are one. */
export function PredictedAndMeasured({ known: { kind, off, runs } }: { known: Known }) {
  const showing = useShowing();
  const figure = (value: number) => measureFigure(kind, value, showing);
  const all = runs.flatMap(({ predicted, measured }) => [predicted, measured]);
  const [least, most] = [Math.min(...all), Math.max(...all)];
  const margin = (most - least || Math.abs(most) || 1) * 0.08;
  const domain: [number, number] = [least - margin, most + margin];
  const axis = {
    type: 'number',
    domain,
    tickCount: 5,
    stroke: 'currentColor',
    fontSize: 12,
    tickFormatter: figure,
  } as const;
  return (
    <figure className="mt-3">
      <div
        className="h-72"
        role="img"
        aria-label={`${MEASURE_NAMES[kind]}, predicted and measured. ${biasWords(kind, off, showing)}`}
      >
        <ResponsiveContainer width="100%" height="100%">
          <ScatterChart margin={{ top: 8, right: 16, bottom: 26, left: 16 }}>
            <CartesianGrid stroke="currentColor" strokeOpacity={0.15} />
            <XAxis
              {...axis}
              dataKey="predicted"
              label={{
                value: 'predicted',
                position: 'insideBottom',
                offset: -16,
                fontSize: 12,
                fill: 'currentColor',
              }}
            />
            <YAxis
              {...axis}
              dataKey="measured"
              width={64}
              label={{
                value: 'measured',
                angle: -90,
                position: 'insideLeft',
                fontSize: 12,
                fill: 'currentColor',
              }}
            />
            <ReferenceLine
              segment={[
                { x: domain[0], y: domain[0] },
                { x: domain[1], y: domain[1] },
              ]}
              stroke="currentColor"
              strokeDasharray="6 4"
            />
            <Tooltip
              formatter={(value) => figure(Number(value))}
              contentStyle={{ background: 'var(--color-base-100)', borderRadius: 8 }}
            />
            <Scatter data={runs} fill="var(--color-primary)" isAnimationActive={false} />
          </ScatterChart>
        </ResponsiveContainer>
      </div>
      <figcaption className="quiet text-sm">
        On the broken line a run came out as predicted.{' '}
        {off.count < FEW && `Only ${off.count} so far: too few to go by.`}
      </figcaption>
    </figure>
  );
}
