import type { Base } from '../../core/materials/base';
import { INK, LOOK_COLOUR } from './drawing';

interface Props {
  letter: string;
  look: Base['look'];
  thicknessMm: number;
  /** Middle of the pour in the drawing. */
  y: number;
  /** Height of a line of text, mm of the drawing. */
  text: number;
}

/** The letter of a pour, with its look where there is room; nothing where there is none. */
export function PourLabel({ letter, look, thicknessMm, y, text }: Props) {
  if (thicknessMm <= text * 0.5) return null;
  const size = Math.min(text, thicknessMm * 0.9);
  return (
    <text
      x={0}
      y={y + size * 0.35}
      fontSize={size}
      textAnchor="middle"
      fill={INK}
      fontWeight={600}
      stroke={LOOK_COLOUR[look]}
      strokeWidth={text * 0.35}
      paintOrder="stroke"
    >
      {thicknessMm > text * 1.1 ? `${letter} · ${look}` : letter}
    </text>
  );
}
