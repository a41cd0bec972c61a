import { type RefObject, useId, useRef, useState } from 'react';
import type { Base } from '../../core/materials/base';
import type { Mold } from '../../core/molds/mold';
import { depthMm, halfWidthAtMm, isKnown, type KnownShape, widthMm } from '../../core/molds/shape';
import { showNumber } from '../../core/units/showQuantity';

/** A pour as it lies in the cavity, mm from the floor. */
export interface SectionPour {
  letter: string;
  look: Base['look'];
  fromMm: number;
  toMm: number;
}

interface Props {
  mold: Mold;
  pours: SectionPour[];
  locale: string;
  /** A small picture without its ruler and figures. */
  thumbnail?: boolean;
  /** The boundary above a pour is moved to a height; left out where nothing can be moved. */
  onMove?: ((below: number, toMm: number) => void) | undefined;
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
          {!thumbnail && toMm - fromMm > text * 0.5 && (
            <text
              x={0}
              y={-(fromMm + toMm) / 2 + labelSize(text, toMm - fromMm) * 0.35}
              fontSize={labelSize(text, toMm - fromMm)}
              textAnchor="middle"
              fill={INK}
              fontWeight={600}
              stroke={LOOK_COLOUR[look]}
              strokeWidth={text * 0.35}
              paintOrder="stroke"
            >
              {toMm - fromMm > text * 1.1 ? `${letter} · ${look}` : letter}
            </text>
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

/** A pour has a pattern as well as a colour; the first is plain. */
const PATTERNS = ['', 'M0,4 L4,0', 'M0,2 L4,2', 'M0,0 L4,4', 'M2,0 L2,4', 'M0,4 L4,0 M0,0 L4,4'] as const;

function Patterns({ id, size }: { id: string; size: number }) {
  return (
    <defs>
      {PATTERNS.map((path, index) => (
        <pattern
          key={path}
          id={`${id}-${index}`}
          width={4}
          height={4}
          patternUnits="userSpaceOnUse"
          patternTransform={`scale(${size / 4})`}
        >
          <path d={path} stroke={INK} strokeWidth={0.5} strokeOpacity={0.45} fill="none" />
        </pattern>
      ))}
    </defs>
  );
}

interface BoundaryProps {
  names: string;
  atMm: number;
  leastMm: number;
  mostMm: number;
  halfWidthMm: number;
  text: number;
  locale: string;
  svg: RefObject<SVGSVGElement | null>;
  onMove(toMm: number): void;
}

const KEY_STEPS_MM: Record<string, number> = { ArrowUp: 1, ArrowDown: -1, PageUp: 5, PageDown: -5 };

/** The line between two pours: dragged by pointer or finger, moved by arrow keys, to whole millimetres. */
function Boundary({ names, atMm, leastMm, mostMm, halfWidthMm, text, locale, svg, onMove }: BoundaryProps) {
  const [held, setHeld] = useState(false);
  /** A line is held from as far away as its neighbour allows. */
  const reach = (toNextMm: number) => Math.min(text * 0.9, toNextMm / 2);
  function heightOf(event: PointerEvent): number | null {
    const toDrawing = svg.current?.getScreenCTM()?.inverse();
    return toDrawing ? -new DOMPoint(event.clientX, event.clientY).matrixTransform(toDrawing).y : null;
  }
  return (
    <g
      role="slider"
      tabIndex={0}
      aria-label={`Boundary of ${names}`}
      aria-orientation="vertical"
      aria-valuenow={Number(atMm.toFixed(1))}
      aria-valuemin={Number(leastMm.toFixed(1))}
      aria-valuemax={Number(mostMm.toFixed(1))}
      aria-valuetext={`${showNumber(atMm, 1, locale)} mm`}
      className="cursor-ns-resize touch-none"
      onKeyDown={(event) => {
        const step = KEY_STEPS_MM[event.key];
        if (step === undefined) return;
        event.preventDefault();
        onMove(Math.round(atMm) + step);
      }}
      onPointerDown={(event) => {
        event.currentTarget.setPointerCapture(event.pointerId);
        setHeld(true);
      }}
      onPointerMove={(event) => {
        const heightMm = held ? heightOf(event.nativeEvent) : null;
        if (heightMm !== null && Math.round(heightMm) !== atMm) onMove(Math.round(heightMm));
      }}
      onPointerUp={() => setHeld(false)}
      onPointerCancel={() => setHeld(false)}
    >
      <rect
        x={-halfWidthMm}
        y={-atMm - reach(mostMm - atMm)}
        width={halfWidthMm * 2 + text * 3.4}
        height={reach(mostMm - atMm) + reach(atMm - leastMm)}
        fill="transparent"
      />
      <line
        x1={-halfWidthMm}
        x2={halfWidthMm + text * 0.7}
        y1={-atMm}
        y2={-atMm}
        stroke="currentColor"
        strokeWidth={held ? text / 5 : text / 9}
      />
      <text x={halfWidthMm + text} y={-atMm + text * 0.3} fontSize={text * 0.9} fill="currentColor">
        {showNumber(atMm, 1, locale)}
      </text>
    </g>
  );
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

/** Height of a pour's label, so that it stays inside a thin pour. */
function labelSize(text: number, thicknessMm: number): number {
  return Math.min(text, thicknessMm * 0.9);
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
