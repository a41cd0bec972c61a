import { useMemo } from 'react';
import { CartesianGrid, Line, LineChart, ResponsiveContainer, Tooltip, XAxis, YAxis } from 'recharts';
import { depthMm, type KnownShape, volumeBelowMl } from '../../core/molds/shape';
import { type Showing, showNumber, showVolume } from '../../core/units/showQuantity';
import { useShowing } from '../shared/showing';

const STEPS = 60;

/** What a cavity holds up to each height, brought to what was measured. */
export default function VolumeCurve({ shape, capacityMl }: { shape: KnownShape; capacityMl: number }) {
  const showing = useShowing();
  const points = useMemo(() => {
    const depth = depthMm(shape);
    const scale = capacityMl / volumeBelowMl(shape, depth);
    return Array.from({ length: STEPS + 1 }, (_, step) => {
      const heightMm = (depth * step) / STEPS;
      return { heightMm, volumeMl: volumeBelowMl(shape, heightMm) * scale };
    });
  }, [shape, capacityMl]);
  return (
    <figure className="mt-2">
      <figcaption className="quiet text-xs">What one cavity holds up to a height</figcaption>
      <div className="h-40" role="img" aria-label={words(points, showing)}>
        <ResponsiveContainer width="100%" height="100%">
          <LineChart data={points} margin={{ top: 6, right: 12, bottom: 18, left: 6 }}>
            <CartesianGrid stroke="currentColor" strokeOpacity={0.15} />
            <XAxis
              dataKey="heightMm"
              type="number"
              domain={[0, depthMm(shape)]}
              ticks={ticksTo(depthMm(shape))}
              tickFormatter={(mm: number) => showNumber(mm, 0, showing.locale)}
              stroke="currentColor"
              fontSize={12}
              label={{
                value: 'height, mm',
                position: 'insideBottom',
                offset: -12,
                fontSize: 12,
                fill: 'currentColor',
              }}
            />
            <YAxis
              dataKey="volumeMl"
              type="number"
              domain={[0, 'auto']}
              ticks={ticksTo(capacityMl)}
              tickFormatter={(ml: number) => showNumber(ml, 0, showing.locale)}
              stroke="currentColor"
              fontSize={12}
              width={44}
              label={{ value: 'mL', angle: -90, position: 'insideLeft', fontSize: 12, fill: 'currentColor' }}
            />
            <Tooltip
              formatter={(ml) => [showVolume(Number(ml), showing.locale), 'below']}
              labelFormatter={(mm) => `${showNumber(Number(mm), 1, showing.locale)} mm`}
              contentStyle={{ background: 'var(--color-base-100)', borderRadius: 8 }}
            />
            <Line
              dataKey="volumeMl"
              stroke="currentColor"
              strokeWidth={2}
              dot={false}
              isAnimationActive={false}
            />
          </LineChart>
        </ResponsiveContainer>
      </div>
    </figure>
  );
}

const MOST_TICKS = 6;

/** Round figures from nothing up to a figure. */
function ticksTo(most: number): number[] {
  const power = 10 ** Math.floor(Math.log10(most / MOST_TICKS));
  const step =
    [1, 2, 5, 10].map((times) => times * power).find((each) => most / each <= MOST_TICKS) ?? power * 10;
  return Array.from({ length: Math.floor(most / step + 1e-9) + 1 }, (_, index) => index * step);
}

function words(points: readonly { heightMm: number; volumeMl: number }[], { locale }: Showing): string {
  const [half, whole] = [points[STEPS / 2], points[STEPS]];
  if (!half || !whole) return '';
  return `${showVolume(half.volumeMl, locale)} up to ${showNumber(half.heightMm, 1, locale)} mm, ${showVolume(whole.volumeMl, locale)} up to the brim at ${showNumber(whole.heightMm, 1, locale)} mm`;
}
