import {
  Area,
  CartesianGrid,
  ComposedChart,
  Line,
  ResponsiveContainer,
  Scatter,
  XAxis,
  YAxis,
} from 'recharts';
import type { FitMoment, Reading } from '../../core/heat/taught';
import { showNumber } from '../../core/units/showQuantity';
import { minutesAxis, onAxis, temperatureAxis } from './chartAxes';
import { useShowing } from './showing';

interface Props {
  readings: readonly Reading[];
  curve: readonly FitMoment[];
  /** What times count from, and what the line is: the first reading and its fit, unless it is said. */
  counts?: 'from-first-reading' | 'from-melted';
}

const SAID = {
  'from-first-reading': {
    axis: 'minutes from the first reading',
    line: 'the fit, with its spread',
    label: 'and the curve that fits them with its spread',
  },
  'from-melted': {
    axis: 'minutes from when it was melted',
    line: 'as it was forecast then, with its spread',
    label: 'over the forecast with its spread',
  },
} as const;

/** What was read against what was made of it. */
export function TaughtCurve({ readings, curve, counts = 'from-first-reading' }: Props) {
  const said = SAID[counts];
  const showing = useShowing();
  const shown = (tempC: number) => onAxis(tempC, showing);
  const line = curve.map(({ timeS, tempC, lowC, highC }) => ({
    min: timeS / 60,
    fit: shown(tempC),
    range: [shown(lowC), shown(highC)] as [number, number],
  }));
  const firstS = counts === 'from-melted' ? 0 : (readings[0]?.timeS ?? 0);
  const points = readings.map(({ timeS, tempC }) => ({ min: (timeS - firstS) / 60, read: shown(tempC) }));
  const all = [...points.map(({ read }) => read), ...line.flatMap(({ range }) => range)];
  const [low, high] = [Math.floor(Math.min(...all) - 1), Math.ceil(Math.max(...all) + 1)];
  return (
    <figure>
      <div
        className="h-48"
        role="img"
        aria-label={`${readings.length} readings over ${showNumber(points.at(-1)?.min ?? 0, 0, showing.locale)} min, ${said.label}`}
      >
        <ResponsiveContainer width="100%" height="100%">
          <ComposedChart margin={{ top: 8, right: 14, bottom: 18, left: 4 }}>
            <CartesianGrid stroke="currentColor" strokeOpacity={0.12} />
            <XAxis {...minutesAxis(said.axis)} domain={[0, 'dataMax']} />
            <YAxis {...temperatureAxis(showing)} domain={[low, high]} />
            <Area
              data={line}
              dataKey="range"
              stroke="none"
              fill="currentColor"
              fillOpacity={0.14}
              isAnimationActive={false}
            />
            <Line
              data={line}
              dataKey="fit"
              stroke="currentColor"
              strokeWidth={2}
              dot={false}
              isAnimationActive={false}
            />
            <Scatter
              data={points}
              dataKey="read"
              shape="cross"
              fill="currentColor"
              isAnimationActive={false}
            />
          </ComposedChart>
        </ResponsiveContainer>
      </div>
      <figcaption className="text-xs">+ as read · line: {said.line}</figcaption>
    </figure>
  );
}
