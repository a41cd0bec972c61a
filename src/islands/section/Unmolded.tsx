import { useId } from 'react';
import type { Mold } from '../../core/molds/mold';
import { isKnown, widthMm } from '../../core/molds/shape';
import { showNumber } from '../../core/units/showQuantity';
import { INK, LOOK_COLOUR, outline, PATTERNS, Patterns, type SectionPour } from './drawing';
import { PourLabel } from './PourLabel';

interface Props {
  mold: Mold;
  pours: SectionPour[];
  locale: string;
}

/** The bar as it stands once it is out: what was poured first is its face, on top. */
export function Unmolded({ mold: { shape }, pours, locale }: Props) {
  const id = useId();
  if (!isKnown(shape)) return null;
  const width = widthMm(shape);
  const high = pours.at(-1)?.toMm ?? 0;
  const text = (width + 5) / 16;
  const title = `The bar unmolded, face up, ${showNumber(width, 0, locale)} by ${showNumber(high, 1, locale)} mm`;
  return (
    <svg
      viewBox={[-width / 2 - text * 2.8, -high - text, width + text * 6.4, high + text * 2.5].join(' ')}
      className="h-full max-h-full w-full"
      role="img"
      aria-label={title}
    >
      <title>{title}</title>
      <Patterns id={id} size={Math.max(1.2, width / 30)} />
      {pours.map(({ letter, look, fromMm, toMm }, index) => (
        <g key={letter}>
          <g transform={`translate(0 ${-high}) scale(1 -1)`}>
            <path d={outline(shape, fromMm, toMm)} fill={LOOK_COLOUR[look]} stroke={INK} strokeWidth={0.35} />
            {pours.length > 1 && (
              <path d={outline(shape, fromMm, toMm)} fill={`url(#${id}-${index % PATTERNS.length})`} />
            )}
          </g>
          <PourLabel
            letter={letter}
            look={look}
            thicknessMm={toMm - fromMm}
            y={(fromMm + toMm) / 2 - high}
            text={text}
          />
        </g>
      ))}
      <line
        x1={-width / 2 - text * 1.5}
        x2={width / 2 + text * 1.5}
        y1={0}
        y2={0}
        stroke="currentColor"
        strokeWidth={text / 9}
      />
    </svg>
  );
}
