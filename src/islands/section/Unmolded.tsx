import { useId } from 'react';
import type { Section } from '../../core/section/section';
import { showNumber } from '../../core/units/showQuantity';
import { Patterns } from './drawing';
import { PourLabel } from './PourLabel';
import { Pours } from './Pours';

interface Props {
  section: Section;
  locale: string;
}

/** The bar as it stands once it is out and trimmed: what was poured first is its face, on top. */
export default function Unmolded({ section, locale }: Props) {
  const id = useId();
  const kept = section.pours.filter(({ trimmed }) => !trimmed);
  const { fromXMm, toXMm } = section;
  const width = toXMm - fromXMm;
  const high = kept.reduce((most, { toMm }) => Math.max(most, toMm), 0);
  const low = kept[0]?.fromMm ?? 0;
  const highest = kept
    .flatMap(({ embeds }) => embeds)
    .reduce(
      (most, embed) => (embed.as === 'piece' ? Math.max(most, embed.bottomMm + embed.heightMm) : most),
      high,
    );
  const text = (width + 5) / 16;
  const title = `The bar unmolded, face up, ${showNumber(width, 0, locale)} by ${showNumber(high - low, 1, locale)} mm`;
  return (
    <svg
      viewBox={[
        fromXMm - text * 2.8,
        -(highest - low) - text,
        width + text * 6.4,
        highest - low + text * 2.5,
      ].join(' ')}
      className="h-full max-h-full w-full"
      role="img"
      aria-label={title}
    >
      <title>{title}</title>
      <Patterns id={id} pours={section.pours} size={Math.max(1.2, width / 30)} />
      <g transform={`translate(0 ${-highest}) scale(1 -1)`}>
        <Pours id={id} section={section} pours={kept} />
      </g>
      {kept.map((pour) => (
        <PourLabel key={pour.letter} pour={pour} text={text} turnedAtMm={highest} />
      ))}
      <line
        x1={fromXMm - text * 1.5}
        x2={toXMm + text * 1.5}
        y1={0}
        y2={0}
        stroke="currentColor"
        strokeWidth={text / 9}
      />
    </svg>
  );
}
