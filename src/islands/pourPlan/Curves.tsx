import { useMemo } from 'react';
import {
  Area,
  CartesianGrid,
  ComposedChart,
  Label,
  Line,
  ReferenceArea,
  ReferenceLine,
  ResponsiveContainer,
  XAxis,
  YAxis,
} from 'recharts';
import { showNumber, showTemperature } from '../../core/units/showQuantity';
import { minutesAxis, onAxis, temperatureAxis } from '../shared/chartAxes';
import { useShowing } from '../shared/showing';
import { type CurvesOfPour, curvesOf } from './curvesOf';
import type { DetailsProps } from './detailsProps';

type Props = Pick<DetailsProps, 'pourPlan' | 'pourIndex'>;

/** Jug and layer of one pour against time, with the window it is poured in. Lines are told apart by dashes and names. */
export function Curves({ pourPlan, pourIndex }: Props) {
  const showing = useShowing();
  const curves = useMemo(() => curvesOf(pourPlan, pourIndex, showing), [pourPlan, pourIndex, showing]);
  if (!curves) return <p className="quiet text-sm">This pour goes on in the jug of the one before.</p>;
  const { layer, jug } = curves;
  const words = `The jug of ${layer.letters} is down to ${showTemperature(layer.atC, showing)} ${showNumber(jug.ready.middle / 60, 0, showing.locale)} min after it is melted and poured at minute 0; the top of the layer carries after ${showNumber(layer.skin.middle / 60, 0, showing.locale)} min.`;
  return (
    <figure>
      <div className="h-64" role="img" aria-label={words}>
        <ResponsiveContainer width="100%" height="100%">
          <ComposedChart margin={{ top: 8, right: 14, bottom: 20, left: 4 }}>
            <CartesianGrid stroke="currentColor" strokeOpacity={0.12} />
            <XAxis
              {...minutesAxis(`minutes, 0: ${layer.letters} is poured`)}
              domain={[curves.fromMin, curves.toMin]}
              ticks={ticks(curves.fromMin, curves.toMin)}
              allowDataOverflow
            />
            <YAxis
              {...temperatureAxis(showing)}
              domain={[curves.low, curves.high]}
              ticks={ticks(curves.low, curves.high)}
              allowDataOverflow
            />
            <Limits curves={curves} />
            <ReferenceLine x={0} stroke="currentColor" />
            <Area
              data={curves.jugLine}
              dataKey="jugRange"
              stroke="none"
              fill="currentColor"
              fillOpacity={0.14}
              isAnimationActive={false}
            />
            {LINES.map(({ key, of, name, width, dash }) => (
              <Line
                key={key}
                data={curves[of]}
                dataKey={key}
                name={name}
                stroke="currentColor"
                strokeWidth={width}
                strokeDasharray={dash}
                dot={false}
                isAnimationActive={false}
              />
            ))}
          </ComposedChart>
        </ResponsiveContainer>
      </div>
      <figcaption className="flex flex-wrap gap-x-4 text-xs">
        <Key dash="none" words={`jug, with its range${jug.name === '' ? '' : `: ${jug.name}`}`} />
        <Key dash="8 4" words="middle of the layer" />
        <Key dash="2 4" words="top of the layer" />
      </figcaption>
    </figure>
  );
}

const LINES = [
  { key: 'jug', of: 'jugLine', name: 'jug', width: 2.5, dash: '' },
  { key: 'core', of: 'layerLine', name: 'middle of the layer', width: 2, dash: '8 4' },
  { key: 'top', of: 'layerLine', name: 'top of the layer', width: 2, dash: '2 4' },
] as const;

/** When it is poured, how warm, and below what its jug is too thick. */
function Limits({ curves }: { curves: CurvesOfPour }) {
  const showing = useShowing();
  const { layer, lettersBelow, windowMin, fromMin, toMin } = curves;
  const [atC, tooThickC] = [onAxis(layer.atC, showing), onAxis(layer.tooThickC, showing)];
  return (
    <>
      {windowMin && windowMin.to > windowMin.from && (
        <ReferenceArea
          x1={Math.max(fromMin, windowMin.from)}
          x2={Math.min(toMin, windowMin.to)}
          y1={tooThickC}
          y2={atC}
          fill="var(--color-accent)"
          fillOpacity={0.55}
          stroke="currentColor"
          strokeDasharray="2 3"
          ifOverflow="hidden"
        >
          <Label
            value={`${lettersBelow} carries, ${layer.letters} bonds`}
            position="insideBottom"
            fontSize={11}
            fill="currentColor"
          />
        </ReferenceArea>
      )}
      <ReferenceLine y={atC} stroke="currentColor" strokeDasharray="6 4">
        <Label
          value={`poured at ${showTemperature(layer.atC, showing)}`}
          position="insideTopRight"
          fontSize={11}
          fill="currentColor"
        />
      </ReferenceLine>
      <ReferenceLine y={tooThickC} stroke="currentColor" strokeDasharray="1 4">
        <Label
          value={`too thick below ${showTemperature(layer.tooThickC, showing)}`}
          position="insideTopLeft"
          fontSize={11}
          fill="currentColor"
        />
      </ReferenceLine>
    </>
  );
}

function Key({ dash, words }: { dash: string; words: string }) {
  return (
    <span className="flex items-center gap-1">
      <svg width="30" height="8" aria-hidden="true">
        <title>{words}</title>
        <line
          x1="0"
          x2="30"
          y1="4"
          y2="4"
          stroke="currentColor"
          strokeWidth="2.5"
          strokeDasharray={dash === 'none' ? undefined : dash}
        />
      </svg>
      {words}
    </span>
  );
}

function ticks(from: number, to: number): number[] {
  const step = to - from > 60 ? 20 : to - from > 30 ? 10 : 5;
  const all: number[] = [];
  for (let at = Math.ceil(from / step) * step; at <= to; at += step) all.push(at);
  return all;
}
