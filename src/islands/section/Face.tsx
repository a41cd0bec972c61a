import { useId } from 'react';
import { leaningOutline, surfaceOf } from '../../core/molds/lean';
import { isKnown, type KnownShape, outlineAt, reachMm } from '../../core/molds/shape';
import type { Axis, Outline, Ring } from '../../core/molds/solids/outline';
import type { Sheet } from '../../core/plan/sheet';
import { type SectionPour, sectionAxis, sectionOf } from '../../core/section/section';
import { INK, Patterns, patternId, pointAt } from './drawing';

/** The face of the bar, looked at from above once it is out: discs, the rings round them, and halves that met. */
export default function Face({ sheet }: { sheet: Sheet }) {
  const id = useId();
  const { shape } = sheet.mold;
  const along = sectionAxis(sheet.mold);
  const section = sectionOf(sheet, along);
  if (!isKnown(shape) || !section) return null;
  const [fromX, toX] = reachMm(shape, 'length');
  const [fromY, toY] = reachMm(shape, 'width');
  const title = 'The face of the bar, from above';
  const kept = section.pours.filter(({ trimmed }) => !trimmed);
  const tops = kept.map(({ pourIndex }) => topOutline(shape, sheet, pourIndex));
  const slopes = kept.some(({ pourIndex }) => sheet.pours[pourIndex]?.way.lean !== undefined);
  // The last pour reaches furthest out, so it is drawn first and the face's own pour last. A slope does not cover all that
  // was poured before it, so what lies under its pour is drawn with it.
  const drawn = kept
    .map((pour, place) => ({ pour, outlines: tops.slice(slopes ? 0 : place, place + 1) }))
    .reverse();
  return (
    <svg
      viewBox={[
        fromX - MARGIN_MM,
        -toY - MARGIN_MM,
        toX - fromX + 2 * MARGIN_MM,
        toY - fromY + 2 * MARGIN_MM,
      ].join(' ')}
      className="h-full max-h-full w-full"
      role="img"
      aria-label={title}
    >
      <title>{title}</title>
      <Patterns id={id} pours={section.pours} size={Math.max(1.2, (toX - fromX) / 30)} />
      {drawn.map(({ pour, outlines }) => (
        <g key={pour.letter} clipPath={`url(#${id}-${pour.letter})`}>
          <clipPath id={`${id}-${pour.letter}`}>
            <rect {...windowOf(pour, along, { fromX, toX, fromY, toY })} />
          </clipPath>
          {[pour.hex, ...(kept.length > 1 ? [`url(#${patternId(id, pour.pourIndex)})`] : [])].flatMap(
            (fill) =>
              outlines.map((outline, place) => (
                // biome-ignore lint/suspicious/noArrayIndexKey: an outline is the place of its pour
                <Surface key={`${fill} ${place}`} outline={outline} fill={fill} />
              )),
          )}
        </g>
      ))}
    </svg>
  );
}

const MARGIN_MM = 4;

/** The part of the picture that a pour may lie in: all of it, unless another went in beside it. */
function windowOf(
  { fromXMm, toXMm }: SectionPour,
  along: Axis,
  { fromX, toX, fromY, toY }: { fromX: number; toX: number; fromY: number; toY: number },
) {
  const [least, most] = along === 'length' ? [fromX, toX] : [fromY, toY];
  const from = fromXMm > least ? fromXMm : least - MARGIN_MM;
  const to = toXMm < most ? toXMm : most + MARGIN_MM;
  const whole = { x: fromX - MARGIN_MM, width: toX - fromX + 2 * MARGIN_MM };
  const tall = { y: -toY - MARGIN_MM, height: toY - fromY + 2 * MARGIN_MM };
  // What lies along the width runs upwards in the picture.
  return along === 'length'
    ? { x: from, width: to - from, ...tall }
    : { ...whole, y: -to, height: to - from };
}

/** Where a pour's surface meets the wall, from above. */
function topOutline(shape: KnownShape, { pours }: Sheet, pourIndex: number): Outline {
  let lead = pourIndex;
  while (lead > 0 && pours[lead]?.way.besideShare !== undefined) lead--;
  const { way, surfaceMm, toMm } = pours[lead] ?? {};
  return way?.lean && surfaceMm != null
    ? leaningOutline(shape, surfaceOf(surfaceMm, way.lean))
    : outlineAt(shape, toMm ?? 0);
}

function Surface({ outline, fill }: { outline: Outline; fill: string }) {
  const drawn = { fill, stroke: INK, strokeWidth: 0.35 };
  if (outline.kind === 'circle') return <circle r={outline.diameterMm / 2} {...drawn} />;
  if (outline.kind === 'rings')
    return <path d={outline.rings.map(ringPath).join('')} fillRule="evenodd" {...drawn} />;
  const { lengthMm, widthMm, cornerMm } = outline;
  return (
    <rect x={-lengthMm / 2} y={-widthMm / 2} width={lengthMm} height={widthMm} rx={cornerMm} {...drawn} />
  );
}

function ringPath(ring: Ring): string {
  const points: string[] = [];
  for (let at = 0; at < ring.length; at += 2) points.push(pointAt(ring[at] ?? 0, -(ring[at + 1] ?? 0)));
  return `M${points.join('L')}Z`;
}
