import { useId, useRef } from 'react';
import type { Mold } from '../../core/molds/mold';
import { depthMm, halfWidthAtMm, isKnown, widthMm } from '../../core/molds/shape';
import { showNumber } from '../../core/units/showQuantity';
import { Boundary } from './Boundary';
import { INK, LOOK_COLOUR, outline, PATTERNS, Patterns, type SectionPour, WALL_MM, wall } from './drawing';
import { PourLabel } from './PourLabel';

interface Props {
  mold: Mold;
  pours: SectionPour[];
  locale: string;
  /** A small picture without its ruler and figures. */
  thumbnail?: boolean;
  /** The boundary above a pour is moved to a height; left out where nothing can be moved. */
  onMove?: ((below: number, toMm: number) => void) | undefined;
}

/**
 * One cavity cut through its middle, its pours in place. One unit of the drawing is one millimetre in both
 * directions, so anything may be measured against the ruler.
 */
export function Section({ mold, pours, locale, thumbnail = false, onMove }: Props) {
  const { shape } = mold;
  const id = useId();
  const svg = useRef<SVGSVGElement>(null);
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
  const fillMm = pours.at(-1)?.toMm ?? 0;
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
  const title = `Section of one cavity, ${showNumber(width, 0, locale)} by ${showNumber(depth, 0, locale)} mm${pours.length > 0 ? `, filled to ${showNumber(fillMm, 1, locale)} mm` : ''}`;

  return (
    <svg
      ref={svg}
      viewBox={view.join(' ')}
      className="h-full max-h-full w-full"
      role={onMove ? 'group' : 'img'}
      aria-label={title}
    >
      <title>{title}</title>
      <path d={wall(shape)} fill="#8a97ad" stroke={INK} strokeWidth={0.4} />
      <path d={outline(shape, 0, depth)} fill="#ffffff" />
      {pours.length > 1 && <Patterns id={id} size={Math.max(1.2, width / 30)} />}
      {pours.map(({ letter, look, fromMm, toMm }, index) => (
        <g key={letter}>
          <path d={outline(shape, fromMm, toMm)} fill={LOOK_COLOUR[look]} stroke={INK} strokeWidth={0.35} />
          {pours.length > 1 && (
            <path
              d={outline(shape, fromMm, toMm)}
              fill={`url(#${id}-${index % PATTERNS.length})`}
              stroke="none"
            />
          )}
          {!thumbnail && (
            <PourLabel
              letter={letter}
              look={look}
              thicknessMm={toMm - fromMm}
              y={-(fromMm + toMm) / 2}
              text={text}
            />
          )}
        </g>
      ))}
      {onMove &&
        pours
          .slice(0, -1)
          .map(({ letter, toMm }, below) => (
            <Boundary
              key={letter}
              names={`${letter} and ${pours[below + 1]?.letter ?? ''}`}
              atMm={toMm}
              leastMm={pours[below]?.fromMm ?? 0}
              mostMm={pours[below + 1]?.toMm ?? toMm}
              halfWidthMm={width / 2 + WALL_MM}
              text={text}
              locale={locale}
              svg={svg}
              onMove={(mm) => onMove(below, mm)}
            />
          ))}
      {!thumbnail && (
        <g fontSize={text * 0.9} fill="currentColor" stroke="none">
          <HeightRuler depth={depth} x={-width / 2 - WALL_MM - text * 0.4} text={text} />
          <WidthRuler width={width} y={WALL_MM + text * 0.5} text={text} locale={locale} />
          {pours.length > 0 && (
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

const TICK_MM = 5;

/** As many figures on the ruler as have room. */
function labelEvery(text: number): number {
  return [10, 20, 50, 100].find((mm) => mm > text * 1.2) ?? 200;
}

interface RulerProps {
  /** Height of a line of text, mm of the drawing. */
  text: number;
}

function HeightRuler({ depth, x, text }: RulerProps & { depth: number; x: number }) {
  const every = labelEvery(text);
  const ticks = Array.from({ length: Math.floor(depth / TICK_MM) + 1 }, (_, index) => index * TICK_MM);
  return (
    <g>
      <g stroke="currentColor" strokeWidth={text / 11}>
        <line x1={x} x2={x} y1={0} y2={-depth} />
        {ticks.map((mm) => (
          <line key={mm} x1={x} x2={x - text * (mm % every === 0 ? 0.6 : 0.35)} y1={-mm} y2={-mm} />
        ))}
      </g>
      {ticks
        .filter((mm) => mm % every === 0)
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
