import { useId } from 'react';
import type { Mold } from '../../core/molds/mold';
import { depthMm, isKnown, outlineAt } from '../../core/molds/shape';
import { INK, LOOK_COLOUR, PATTERNS, Patterns, type SectionPour } from './drawing';

interface Props {
  mold: Mold;
  pours: SectionPour[];
}

/** The face of the bar, looked at from above once it is out: discs, and the rings round them. */
export function Face({ mold: { shape }, pours }: Props) {
  const id = useId();
  if (!isKnown(shape)) return null;
  const brim = outlineAt(shape, depthMm(shape) * 0.999999);
  const [length, width] =
    brim.kind === 'circle' ? [brim.diameterMm, brim.diameterMm] : [brim.lengthMm, brim.widthMm];
  const title = 'The face of the bar, from above';
  // The last pour reaches furthest out, so it is drawn first and the face's own pour last.
  const drawn = pours.map((pour, index) => ({ ...pour, index })).reverse();
  return (
    <svg
      viewBox={[-length / 2 - 4, -width / 2 - 4, length + 8, width + 8].join(' ')}
      className="h-full max-h-full w-full"
      role="img"
      aria-label={title}
    >
      <title>{title}</title>
      <Patterns id={id} size={Math.max(1.2, length / 30)} />
      {drawn.flatMap(({ letter, look, toMm, index }) =>
        [LOOK_COLOUR[look], ...(pours.length > 1 ? [`url(#${id}-${index % PATTERNS.length})`] : [])].map(
          (fill) => <Surface key={`${letter} ${fill}`} outline={outlineAt(shape, toMm)} fill={fill} />,
        ),
      )}
    </svg>
  );
}

function Surface({ outline, fill }: { outline: ReturnType<typeof outlineAt>; fill: string }) {
  const drawn = { fill, stroke: INK, strokeWidth: 0.35 };
  if (outline.kind === 'circle') return <circle r={outline.diameterMm / 2} {...drawn} />;
  const { lengthMm, widthMm, cornerMm } = outline;
  return (
    <rect x={-lengthMm / 2} y={-widthMm / 2} width={lengthMm} height={widthMm} rx={cornerMm} {...drawn} />
  );
}
