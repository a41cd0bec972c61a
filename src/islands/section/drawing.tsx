import { lightOf } from '../../core/colour/rgb';
import { type KnownShape, spanAtMm } from '../../core/molds/shape';
import type { Line } from '../../core/section/profile';
import type { Section, SectionPour } from '../../core/section/section';

export const INK = '#131f3a';
const PAPER = '#ffffff';
export const WALL_MM = 2.5;
const OUTLINE_STEPS = 96;

/** A pour has a pattern as well as a colour; the first is plain. */
const PATTERNS = ['', 'M0,4 L4,0', 'M0,2 L4,2', 'M0,0 L4,4', 'M2,0 L2,4', 'M0,4 L4,0 M0,0 L4,4'] as const;

/** What can be read on a colour. */
export function inkOn(hex: string): string {
  const [red, green, blue] = lightOf(hex);
  return 0.2126 * red + 0.7152 * green + 0.0722 * blue > 0.2 ? INK : PAPER;
}

export function patternId(id: string, pourIndex: number): string {
  return `${id}-pattern-${pourIndex}`;
}

export function Patterns({ id, pours, size }: { id: string; pours: readonly SectionPour[]; size: number }) {
  return (
    <defs>
      {pours.map(({ pourIndex, hex }) => (
        <pattern
          key={pourIndex}
          id={patternId(id, pourIndex)}
          width={4}
          height={4}
          patternUnits="userSpaceOnUse"
          patternTransform={`scale(${size / 4})`}
        >
          <path
            d={PATTERNS[pourIndex % PATTERNS.length]}
            stroke={inkOn(hex)}
            strokeWidth={0.5}
            strokeOpacity={0.4}
            fill="none"
          />
        </pattern>
      ))}
    </defs>
  );
}

/** A point of a path, to a thousandth of a millimetre: more than any screen shows, in a third of the text. */
export function pointAt(xMm: number, yMm: number): string {
  return `${Math.round(xMm * 1000) / 1000},${Math.round(yMm * 1000) / 1000}`;
}

/** The inside of the cavity as a path; y grows downwards in a drawing, so heights are negative. */
export function cavityPath({ shape, axis, depthMm }: Pick<Section, 'shape' | 'axis' | 'depthMm'>): string {
  // Closer together at the floor and the brim, where a round wall turns fastest.
  const heights = Array.from(
    { length: OUTLINE_STEPS + 1 },
    (_, step) => (depthMm * (1 - Math.cos((Math.PI * step) / OUTLINE_STEPS))) / 2,
  );
  const spans = heights.map((heightMm) => spanAtMm(shape, heightMm, axis));
  const right = spans.map(([, to], at) => pointAt(to, -(heights[at] ?? 0)));
  const left = spans.map(([from], at) => pointAt(from, -(heights[at] ?? 0))).reverse();
  return `M${right.join('L')}L${left.join('L')}Z`;
}

const HOLE_MM = 6;

/** The mold round the cavity; a ball's is closed on top but for the hole it is filled through. */
export function wallPath({ shape, fromXMm, toXMm, depthMm }: Section): string {
  const [left, right] = [fromXMm - WALL_MM, toXMm + WALL_MM];
  const top = isBall(shape) ? -depthMm - WALL_MM : -depthMm;
  const block = `M${left},${top}L${right},${top}L${right},${WALL_MM}L${left},${WALL_MM}Z`;
  return isBall(shape)
    ? `${block}M${-HOLE_MM / 2},${top}L${-HOLE_MM / 2},${-depthMm + 1}L${HOLE_MM / 2},${-depthMm + 1}L${HOLE_MM / 2},${top}Z`
    : block;
}

export function isBall(shape: KnownShape): boolean {
  return shape.kind === 'sphere';
}

/** Height of a line of the section at a place, mm. */
export function heightOn(line: Line, xMm: number): number {
  const after = Math.max(
    1,
    line.findIndex(([x]) => x >= xMm),
  );
  const [[x0, h0] = [0, 0], [x1, h1] = [0, 0]] = [line[after - 1], line[after]];
  return x1 === x0 ? h1 : h0 + ((h1 - h0) * (xMm - x0)) / (x1 - x0);
}

const WAVES = 24;

/** Where two pours met that went in together: marbled, so drawn as a wave. */
function meeting(xMm: number, fromMm: number, toMm: number, swingMm: number): [number, number][] {
  return Array.from({ length: WAVES + 1 }, (_, step) => {
    const share = step / WAVES;
    return [xMm + swingMm * Math.sin(share * Math.PI * 3), fromMm + (toMm - fromMm) * share];
  });
}

/** What one pour takes up between the lines below and above it; to be cut to the cavity. */
export function pourPath(
  { top, bottom, fromXMm, toXMm }: SectionPour,
  cavity: Pick<Section, 'fromXMm' | 'toXMm'>,
): string {
  const within = (line: Line) => [
    [fromXMm, heightOn(line, fromXMm)] as const,
    ...line.filter(([x]) => x > fromXMm && x < toXMm),
    [toXMm, heightOn(line, toXMm)] as const,
  ];
  const side = (xMm: number, from: Line, to: Line) =>
    xMm > cavity.fromXMm + 1e-6 && xMm < cavity.toXMm - 1e-6
      ? meeting(xMm, heightOn(from, xMm), heightOn(to, xMm), (cavity.toXMm - cavity.fromXMm) / 40)
      : [];
  const points = [
    ...within(top),
    ...side(toXMm, bottom, top).reverse(),
    ...within(bottom).reverse(),
    ...side(fromXMm, bottom, top),
  ];
  return `M${points.map(([x, heightMm]) => pointAt(x, -heightMm)).join('L')}Z`;
}
