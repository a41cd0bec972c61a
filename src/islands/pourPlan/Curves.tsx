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
import type { DetailsProps } from './detailsProps';

type Props = Pick<DetailsProps, 'pourPlan' | 'pourIndex'>;

const AFTER_MIN = 40;

/** Jug and layer of one pour against time, with the window it is poured in. Lines are told apart by dashes and names. */
export function Curves({ pourPlan, pourIndex }: Props) {
  const showing = useShowing();
  const place = pourPlan.layers.findIndex(({ pourIndexes }) => pourIndexes.includes(pourIndex));
  const layer = pourPlan.layers[place];
  const before = pourPlan.layers[place - 1];
  const jug = layer?.jugs.find((each) => each.pourIndex === pourIndex) ?? layer?.jugs[0];
  if (!layer || !jug) return <p className="quiet text-sm">This pour goes on in the jug of the one before.</p>;
  const shown = (tempC: number) => onAxis(tempC, showing);
  const min = (seconds: number) => seconds / 60;
  const poured = jug.pouredAfterS;
  const fromMin = min(-poured);
  const toMin = Math.min(AFTER_MIN, Math.max(12, min(layer.skin.high) * 1.6));
  const jugLine = jug.curve
    .map(({ timeS, tempC }) => ({
      min: min(timeS - poured),
      jug: shown(tempC.middle),
      jugRange: [shown(tempC.low), shown(tempC.high)] as [number, number],
    }))
    .filter((each) => each.min <= toMin);
  const layerLine = layer.curve
    .map(({ timeS, coreC, topC }) => ({ min: min(timeS), core: shown(coreC), top: shown(topC) }))
    .filter((each) => each.min <= toMin);
  const window = layer.window;
  const [windowFrom, windowTo] = window
    ? [min(window.earliest.middle - layer.afterS), min(window.latest.middle - layer.afterS)]
    : [0, 0];
  const [low, high] = [
    Math.floor(shown(Math.min(layer.tooThickC - 4, ...layerLine.map(() => layer.tooThickC - 4))) / 5) * 5,
    Math.ceil(Math.max(...jugLine.map((each) => each.jugRange[1]), shown(layer.atC + 4)) / 5) * 5,
  ];
  const words = `The jug of ${layer.letters} is down to ${showTemperature(layer.atC, showing)} ${showNumber(min(jug.ready.middle), 0, showing.locale)} min after it is melted and poured at minute 0; the top of the layer carries after ${showNumber(min(layer.skin.middle), 0, showing.locale)} min.`;
  return (
    <figure>
      <div className="h-64" role="img" aria-label={words}>
        <ResponsiveContainer width="100%" height="100%">
          <ComposedChart margin={{ top: 8, right: 14, bottom: 20, left: 4 }}>
            <CartesianGrid stroke="currentColor" strokeOpacity={0.12} />
            <XAxis
              {...minutesAxis(`minutes, 0: ${layer.letters} is poured`)}
              domain={[fromMin, toMin]}
              ticks={ticks(fromMin, toMin)}
              allowDataOverflow
            />
            <YAxis
              {...temperatureAxis(showing)}
              domain={[low, high]}
              ticks={ticks(low, high)}
              allowDataOverflow
            />
            {window && windowTo > windowFrom && (
              <ReferenceArea
                x1={Math.max(fromMin, windowFrom)}
                x2={Math.min(toMin, windowTo)}
                y1={shown(layer.tooThickC)}
                y2={shown(layer.atC)}
                fill="var(--color-accent)"
                fillOpacity={0.55}
                stroke="currentColor"
                strokeDasharray="2 3"
                ifOverflow="hidden"
              >
                <Label
                  value={`${before?.letters} carries, ${layer.letters} bonds`}
                  position="insideBottom"
                  fontSize={11}
                  fill="currentColor"
                />
              </ReferenceArea>
            )}
            <ReferenceLine y={shown(layer.atC)} stroke="currentColor" strokeDasharray="6 4">
              <Label
                value={`poured at ${showTemperature(layer.atC, showing)}`}
                position="insideTopRight"
                fontSize={11}
                fill="currentColor"
              />
            </ReferenceLine>
            <ReferenceLine y={shown(layer.tooThickC)} stroke="currentColor" strokeDasharray="1 4">
              <Label
                value={`too thick below ${showTemperature(layer.tooThickC, showing)}`}
                position="insideTopLeft"
                fontSize={11}
                fill="currentColor"
              />
            </ReferenceLine>
            <ReferenceLine x={0} stroke="currentColor" />
            <Area
              data={jugLine}
              dataKey="jugRange"
              stroke="none"
              fill="currentColor"
              fillOpacity={0.14}
              isAnimationActive={false}
            />
            <Line
              data={jugLine}
              dataKey="jug"
              name="jug"
              stroke="currentColor"
              strokeWidth={2.5}
              dot={false}
              isAnimationActive={false}
            />
            <Line
              data={layerLine}
              dataKey="core"
              name="middle of the layer"
              stroke="currentColor"
              strokeWidth={2}
              strokeDasharray="8 4"
              dot={false}
              isAnimationActive={false}
            />
            <Line
              data={layerLine}
              dataKey="top"
              name="top of the layer"
              stroke="currentColor"
              strokeWidth={2}
              strokeDasharray="2 4"
              dot={false}
              isAnimationActive={false}
            />
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
