import type { Base } from '../../core/materials/base';
import { depthMm, halfWidthAtMm, type KnownShape, widthMm } from '../../core/molds/shape';

/** A pour as it lies in the cavity, mm from the floor. */
export interface SectionPour {
  letter: string;
  look: Base['look'];
  fromMm: number;
  toMm: number;
}

export const LOOK_COLOUR: Record<Base['look'], string> = {
  clear: '#cfe3ea',
  translucent: '#e0ebec',
  white: '#f8f6ee',
  ivory: '#f0e3c3',
  tinted: '#e2b865',
};
export const INK = '#131f3a';
export const WALL_MM = 2.5;
const OUTLINE_STEPS = 48;

/** A pour has a pattern as well as a colour; the first is plain. */
export const PATTERNS = [
  '',
  'M0,4 L4,0',
  'M0,2 L4,2',
  'M0,0 L4,4',
  'M2,0 L2,4',
  'M0,4 L4,0 M0,0 L4,4',
] as const;

export function Patterns({ id, size }: { id: string; size: number }) {
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

/** The inside between two heights as a path; y grows downwards in a drawing, so heights are negative. */
export function outline(shape: KnownShape, fromMm: number, toMm: number): string {
  const heights = Array.from(
    { length: OUTLINE_STEPS + 1 },
    (_, step) => fromMm + ((toMm - fromMm) * step) / OUTLINE_STEPS,
  );
  const right = heights.map((height) => `${halfWidthAtMm(shape, height)},${-height}`);
  const left = heights.map((height) => `${-halfWidthAtMm(shape, height)},${-height}`).reverse();
  return `M${right.join('L')}L${left.join('L')}Z`;
}

export function wall(shape: KnownShape): string {
  const depth = depthMm(shape);
  const half = widthMm(shape) / 2 + WALL_MM;
  return `M${-half},${-depth}L${half},${-depth}L${half},${WALL_MM}L${-half},${WALL_MM}Z`;
}
