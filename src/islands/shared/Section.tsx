import type { Base } from '../../core/materials/base';
import type { Mold } from '../../core/molds/mold';
import {
  depthMm,
  halfWidthAtMm,
  heightForVolumeMm,
  isKnown,
  type KnownShape,
  shapeCapacityMl,
  widthMm,
} from '../../core/molds/shape';
import { showNumber } from '../../core/units/showQuantity';

/** A pour as it lies in the cavity. */
export interface SectionPour {
  letter: string;
  look: Base['look'];
  /** mL in one cavity. */
  volumeMl: number;
}

interface Props {
  mold: Mold;
  pours: SectionPour[];
  locale: string;
  /** A small picture without its ruler and figures. */
  thumbnail?: boolean;
}

const LOOK_COLOUR: Record<Base['look'], string> = {
  clear: '#cfe3ea',
  translucent: '#e0ebec',
  white: '#f8f6ee',
  ivory: '#f0e3c3',
  tinted: '#e2b865',
};
const INK = '#131f3a';
const WALL_MM = 2.5;
const OUTLINE_STEPS = 48;

/**
 * One cavity cut through its middle, its pours in place. One unit of the drawing is one millimetre in both
 * directions, so anything may be measured against the ruler.
 */
export function Section({ mold, pours, locale, thumbnail = false }: Props) {
  const { shape } = mold;
  if (!isKnown(shape)) {
    return (
      <p className={`quiet p-4 text-center ${thumbnail ? 'text-xs' : ''}`}>
        {thumbnail
          ? 'No dimensions yet'
          : 'This mold was measured by volume only. Enter its dimensions in the mold book to see the section.'}
      </p>
    );
  }
  const width = widthMm(shape);
  const depth = depthMm(shape);
  const layers = layersOf(shape, mold.capacityMl, pours);
  const fillMm = layers.at(-1)?.toMm ?? 0;
  // Figures keep their size on the screen: they are a share of the width that is drawn.
  const text = thumbnail ? 0 : (width + 2 * WALL_MM) / 16;
  const room = thumbnail
    ? { left: 0, right: 0, bottom: 0, top: 0.5 }
    : { left: text * 2.8, right: text * 3.6, bottom: text * 2.5, top: text * 0.6 };
  const view = [
    -width / 2 - WALL_MM - room.left,
    -depth - room.top,
    width + 2 * WALL_MM + room.left + room.right,
    depth + WALL_MM + room.bottom + room.top,
  ];
  const title = `Section of one cavity, ${showNumber(width, 0, locale)} by ${showNumber(depth, 0, locale)} mm${layers.length > 0 ? `, filled to ${showNumber(fillMm, 1, locale)} mm` : ''}`;

  return (
    <svg viewBox={view.join(' ')} className="h-full max-h-full w-full" role="img" aria-label={title}>
      <title>{title}</title>
      <path d={wall(shape)} fill="#8a97ad" stroke={INK} strokeWidth={0.4} />
      <path d={outline(shape, 0, depth)} fill="#ffffff" />
      {layers.map((layer) => (
        <g key={layer.letter}>
          <path
            d={outline(shape, layer.fromMm, layer.toMm)}
            fill={LOOK_COLOUR[layer.look]}
            stroke={INK}
            strokeWidth={0.35}
          />
          {!thumbnail && (
            <text
              x={0}
              y={-(layer.fromMm + layer.toMm) / 2 + text * 0.35}
              fontSize={text}
              textAnchor="middle"
              fill={INK}
              fontWeight={600}
            >
              {layer.letter} · {layer.look}
            </text>
          )}
        </g>
      ))}
      {!thumbnail && (
        <g fontSize={text * 0.9} fill="currentColor" stroke="none">
          <HeightRuler depth={depth} x={-width / 2 - WALL_MM - text * 0.4} text={text} />
          <WidthRuler width={width} y={WALL_MM + text * 0.5} text={text} locale={locale} />
          {layers.length > 0 && (
            <>
              <line
                x1={-halfWidthAtMm(shape, fillMm)}
                x2={width / 2 + WALL_MM + text * 0.7}
                y1={-fillMm}
                y2={-fillMm}
                stroke="currentColor"
                strokeWidth={text / 9}
                strokeDasharray={`${text * 0.4} ${text * 0.3}`}
              />
              <text x={width / 2 + WALL_MM + text} y={-fillMm + text * 0.3}>
                {showNumber(fillMm, 1, locale)}
              </text>
            </>
          )}
        </g>
      )}
    </svg>
  );
}

/** Pours stacked by volume. Measured capacity and drawn shape may differ a little, so volumes are brought to the shape. */
function layersOf(shape: KnownShape, capacityMl: number, pours: SectionPour[]) {
  const toShape = shapeCapacityMl(shape) / capacityMl;
  let belowMl = 0;
  return pours.map((pour) => {
    const fromMm = heightForVolumeMm(shape, belowMl * toShape);
    belowMl = Math.min(belowMl + pour.volumeMl, capacityMl);
    return { ...pour, fromMm, toMm: heightForVolumeMm(shape, belowMl * toShape) };
  });
}

/** The inside between two heights as a path; y grows downwards in a drawing, so heights are negative. */
function outline(shape: KnownShape, fromMm: number, toMm: number): string {
  const heights = Array.from(
    { length: OUTLINE_STEPS + 1 },
    (_, step) => fromMm + ((toMm - fromMm) * step) / OUTLINE_STEPS,
  );
  const right = heights.map((height) => `${halfWidthAtMm(shape, height)},${-height}`);
  const left = heights.map((height) => `${-halfWidthAtMm(shape, height)},${-height}`).reverse();
  return `M${right.join('L')}L${left.join('L')}Z`;
}

function wall(shape: KnownShape): string {
  const depth = depthMm(shape);
  const half = widthMm(shape) / 2 + WALL_MM;
  return `M${-half},${-depth}L${half},${-depth}L${half},${WALL_MM}L${-half},${WALL_MM}Z`;
}

const TICK_MM = 5;
const LABEL_EVERY_MM = 10;

interface RulerProps {
  /** Height of a line of text, mm of the drawing. */
  text: number;
}

function HeightRuler({ depth, x, text }: RulerProps & { depth: number; x: number }) {
  const ticks = Array.from({ length: Math.floor(depth / TICK_MM) + 1 }, (_, index) => index * TICK_MM);
  return (
    <g>
      <g stroke="currentColor" strokeWidth={text / 11}>
        <line x1={x} x2={x} y1={0} y2={-depth} />
        {ticks.map((mm) => (
          <line key={mm} x1={x} x2={x - text * (mm % LABEL_EVERY_MM === 0 ? 0.6 : 0.35)} y1={-mm} y2={-mm} />
        ))}
      </g>
      {ticks
        .filter((mm) => mm % LABEL_EVERY_MM === 0)
        .map((mm) => (
          <text key={mm} x={x - text * 0.8} y={-mm + text * 0.32} textAnchor="end">
            {mm}
          </text>
        ))}
    </g>
  );
}

function WidthRuler({ width, y, text, locale }: RulerProps & { width: number; y: number; locale: string }) {
  return (
    <g>
      <g stroke="currentColor" strokeWidth={text / 11}>
        <line x1={-width / 2} x2={width / 2} y1={y + text * 0.4} y2={y + text * 0.4} />
        <line x1={-width / 2} x2={-width / 2} y1={y} y2={y + text * 0.8} />
        <line x1={width / 2} x2={width / 2} y1={y} y2={y + text * 0.8} />
      </g>
      <text x={0} y={y + text * 1.6} textAnchor="middle">
        {showNumber(width, 1, locale, 0)} mm
      </text>
    </g>
  );
}
