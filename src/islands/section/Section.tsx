import { useId, useRef } from 'react';
import type { Section as Cut } from '../../core/section/section';
import { showNumber } from '../../core/units/showQuantity';
import { Boundary } from './Boundary';
import { cavityPath, heightOn, INK, isBall, Patterns, WALL_MM, wallPath } from './drawing';
import { PourLabel } from './PourLabel';
import { Pours } from './Pours';

interface Props {
  /** null where the mold's shape is not known. */
  section: Cut | null;
  locale: string;
  /** A small picture without its ruler and figures. */
  thumbnail?: boolean;
  /** The boundary above a pour is moved to a height; left out where nothing can be moved. */
  onMove?: ((below: number, toMm: number) => void) | undefined;
  /** The size of the pour under a boundary is to be typed. */
  onType?: ((below: number, at: SVGGElement) => void) | undefined;
}

/**
 * One cavity cut through its middle, its pours in place. One unit of the drawing is one millimetre in both
 * directions, so anything may be measured against the ruler.
 */
export function Section({ section, locale, thumbnail = false, onMove, onType }: Props) {
  const id = useId();
  const svg = useRef<SVGSVGElement>(null);
  if (!section) {
    return (
      <p className={`quiet p-4 text-center ${thumbnail ? 'text-xs' : ''}`}>
        {thumbnail
          ? 'No dimensions yet'
          : 'This mold was measured by volume only. Enter its dimensions in the mold book to see the section.'}
      </p>
    );
  }
  const { fromXMm, toXMm, depthMm, pours } = section;
  const { width, fillMm, text, edges, view } = frameOf(section, thumbnail);
  const title = `Section of one cavity, ${showNumber(width, 0, locale)} by ${showNumber(depthMm, 0, locale)} mm${pours.length > 0 ? `, filled to ${showNumber(fillMm, 1, locale)} mm` : ''}`;
  const edge = toXMm + WALL_MM;

  return (
    <svg
      ref={svg}
      viewBox={view.join(' ')}
      className="h-full max-h-full w-full"
      role={onMove ? 'group' : 'img'}
      aria-label={title}
    >
      <title>{title}</title>
      <path d={wallPath(section)} fillRule="evenodd" fill="#8a97ad" stroke={INK} strokeWidth={0.4} />
      <path d={cavityPath(section)} fill="#ffffff" />
      {isBall(section.shape) && (
        <line
          x1={fromXMm - WALL_MM}
          x2={edge}
          y1={-depthMm / 2}
          y2={-depthMm / 2}
          stroke={INK}
          strokeWidth={0.4}
          strokeDasharray="1.5 1"
        />
      )}
      <Patterns id={id} pours={pours} size={Math.max(1.2, width / 30)} />
      <Pours id={id} section={section} pours={pours} />
      <path d={cavityPath(section)} fill="none" stroke={INK} strokeWidth={0.4} />
      {!thumbnail && pours.map((pour) => <PourLabel key={pour.letter} pour={pour} text={text} />)}
      {!thumbnail && (
        <g fontSize={text * 0.9} fill="currentColor" stroke="none">
          <HeightRuler depth={depthMm} x={fromXMm - WALL_MM - text * 0.4} text={text} />
          <WidthRuler fromMm={fromXMm} toMm={toXMm} y={WALL_MM + text * 0.5} text={text} locale={locale} />
          {pours.map((pour) => (
            <LeanAngle
              key={pour.letter}
              pour={pour}
              xMm={(fromXMm + toXMm) / 2}
              text={text}
              locale={locale}
            />
          ))}
        </g>
      )}
      {!thumbnail &&
        edges.map(({ kind, below, names, atMm, leastMm, mostMm, labelMm, isSlope }) =>
          kind === 'boundary' && onMove ? (
            <Boundary
              key={names}
              names={names}
              atMm={atMm}
              leastMm={leastMm}
              mostMm={mostMm}
              labelMm={labelMm}
              isSlope={isSlope}
              fromXMm={fromXMm - WALL_MM}
              toXMm={edge}
              text={text}
              locale={locale}
              svg={svg}
              onMove={(mm) => onMove(below, mm)}
              onType={(at) => onType?.(below, at)}
            />
          ) : (
            <EdgeFigure
              key={`${kind} ${names}`}
              fromX={kind === 'fill' ? fromXMm : edge}
              toX={edge}
              atMm={atMm}
              labelMm={labelMm}
              text={text}
              isDashed={kind === 'fill'}
              says={
                kind === 'headspace'
                  ? `${showNumber(depthMm - fillMm, 1, locale)} free`
                  : showNumber(atMm, 1, locale)
              }
            />
          ),
        )}
    </svg>
  );
}

/** How much of the drawing there is: its box, the height of its figures and what they stand for. */
function frameOf(section: Cut, thumbnail: boolean) {
  const { fromXMm, toXMm, depthMm, pours } = section;
  const width = toXMm - fromXMm;
  const fillMm = pours.reduce((most, { toMm }) => Math.max(most, toMm), 0);
  // Figures keep their size on the screen: they are a share of the width that is drawn.
  const text = thumbnail ? 0 : (width + 2 * WALL_MM) / 16;
  const edges = spaced(edgesOf(section), text * 0.95);
  const highestLabel = thumbnail ? 0 : (edges.at(-1)?.labelMm ?? 0) + text * 0.5;
  const highest = Math.max(depthMm, highestLabel, ...pours.flatMap(({ embeds }) => embeds.map(topOf)));
  const cap = isBall(section.shape) ? WALL_MM : 0;
  const room = thumbnail
    ? { left: 0, right: 0, bottom: 0, top: 0.5 + cap }
    : { left: text * 2.8, right: text * 4.8, bottom: text * 2.5, top: text * 0.6 + cap };
  const view = [
    fromXMm - WALL_MM - room.left,
    -highest - room.top,
    width + 2 * WALL_MM + room.left + room.right,
    highest + WALL_MM + room.bottom + room.top,
  ];
  return { width, fillMm, text, edges, view };
}

/** How far a pour leans, on its slope. */
function LeanAngle({
  pour: { leanDeg, top },
  xMm,
  text,
  locale,
}: {
  pour: Cut['pours'][number];
  xMm: number;
  text: number;
  locale: string;
}) {
  if (leanDeg === null) return null;
  return (
    <text
      x={xMm}
      y={-heightOn(top, xMm) - text * 0.4}
      textAnchor="middle"
      stroke="#ffffff"
      strokeWidth={text * 0.25}
      paintOrder="stroke"
      fill={INK}
    >
      {showNumber(Math.abs(leanDeg), 1, locale, 0)}°
    </text>
  );
}

interface EdgeProps {
  fromX: number;
  toX: number;
  atMm: number;
  /** Where its figure stands. */
  labelMm: number;
  text: number;
  isDashed: boolean;
  says: string;
}

/** A height with its figure beside the drawing. */
function EdgeFigure({ fromX, toX, atMm, labelMm, text, isDashed, says }: EdgeProps) {
  return (
    <g fill="currentColor" fontSize={text * 0.9}>
      <polyline
        points={`${fromX},${-atMm} ${toX},${-atMm} ${toX + text * 0.8},${-labelMm}`}
        fill="none"
        stroke="currentColor"
        strokeWidth={text / 11}
        strokeDasharray={isDashed ? `${text * 0.4} ${text * 0.3}` : undefined}
      />
      <text x={toX + text} y={-labelMm + text * 0.3}>
        {says}
      </text>
    </g>
  );
}

interface Edge {
  kind: 'boundary' | 'fill' | 'headspace';
  below: number;
  names: string;
  atMm: number;
  leastMm: number;
  mostMm: number;
  isSlope: boolean;
}

/** Less is no headspace worth a figure. */
const LEAST_HEADSPACE_MM = 0.3;

/** What is told beside the drawing: the tops of the pours that reach the middle, the fill, and what stays free. */
function edgesOf({ pours, depthMm }: Cut): Edge[] {
  const leads = pours.filter(({ leads: isLead }) => isLead);
  const fillMm = leads.reduce((most, { toMm }) => Math.max(most, toMm), 0);
  const boundaries = leads.slice(0, -1).flatMap((pour, place): Edge[] => {
    const next = leads[place + 1];
    if (!next || !pour.reachesMiddle) return [];
    return [
      {
        kind: 'boundary',
        below: pour.leadIndex,
        names: `${pour.letter} and ${next.letter}`,
        atMm: pour.toMm,
        leastMm: pour.fromMm,
        mostMm: next.toMm,
        isSlope: pour.leanDeg !== null,
      },
    ];
  });
  if (leads.length === 0) return [];
  const top = { below: leads.length, names: '', leastMm: 0, mostMm: depthMm, isSlope: false };
  return [
    ...boundaries,
    { ...top, kind: 'fill', atMm: fillMm },
    ...(depthMm - fillMm > LEAST_HEADSPACE_MM
      ? [{ ...top, kind: 'headspace' as const, atMm: (depthMm + fillMm) / 2 }]
      : []),
  ];
}

/** Figures in one column, moved up where they would lie on one another. */
function spaced(edges: readonly Edge[], least: number): (Edge & { labelMm: number })[] {
  let free = Number.NEGATIVE_INFINITY;
  return edges.map((edge) => {
    const labelMm = Math.max(edge.atMm, free);
    free = labelMm + least;
    return { ...edge, labelMm };
  });
}

function topOf(embed: Cut['pours'][number]['embeds'][number]): number {
  return embed.as === 'piece' ? embed.bottomMm + embed.heightMm : 0;
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

interface WidthRulerProps extends RulerProps {
  fromMm: number;
  toMm: number;
  y: number;
  locale: string;
}

function WidthRuler({ fromMm, toMm, y, text, locale }: WidthRulerProps) {
  return (
    <g>
      <g stroke="currentColor" strokeWidth={text / 11}>
        <line x1={fromMm} x2={toMm} y1={y + text * 0.4} y2={y + text * 0.4} />
        <line x1={fromMm} x2={fromMm} y1={y} y2={y + text * 0.8} />
        <line x1={toMm} x2={toMm} y1={y} y2={y + text * 0.8} />
      </g>
      <text x={(fromMm + toMm) / 2} y={y + text * 1.6} textAnchor="middle">
        {showNumber(toMm - fromMm, 1, locale, 0)} mm
      </text>
    </g>
  );
}
