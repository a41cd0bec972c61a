import type { SectionPour } from '../../core/section/section';
import { heightOn, inkOn } from './drawing';

interface Props {
  pour: SectionPour;
  /** Height of a line of text, mm of the drawing. */
  text: number;
  /** Turned upside down, as the bar is once it is out: its middle is then so far above its floor. */
  turnedAtMm?: number;
}

/** The letter of a pour, with its look where there is room; nothing where there is none. */
export function PourLabel({ pour, text, turnedAtMm }: Props) {
  const { letter, look, hex, top, bottom } = pour;
  const x = placeOf(pour);
  const [low, high] = [heightOn(bottom, x), heightOn(top, x)];
  const thicknessMm = high - low;
  if (thicknessMm <= text * 0.5) return null;
  const size = Math.min(text, thicknessMm * 0.9);
  const middle = (low + high) / 2;
  const isWide =
    pour.leanDeg === null &&
    pour.embeds.length === 0 &&
    thicknessMm > text * 1.1 &&
    isEven(pour) &&
    pour.toXMm - pour.fromXMm > text * 9;
  return (
    <text
      x={x}
      y={(turnedAtMm === undefined ? -middle : middle - turnedAtMm) + size * 0.35}
      fontSize={size}
      textAnchor="middle"
      fill={inkOn(hex)}
      fontWeight={600}
      stroke={hex}
      strokeWidth={text * 0.35}
      paintOrder="stroke"
    >
      {isWide ? `${letter} · ${look}` : letter}
    </text>
  );
}

/** As thick at its ends: neither a wedge, nor on one. */
function isEven({ top, bottom, fromXMm, toXMm }: SectionPour): boolean {
  const thickness = (x: number) => heightOn(top, x) - heightOn(bottom, x);
  return Math.abs(thickness(fromXMm) - thickness(toXMm)) < 0.1;
}

const PLACES = 5;

/** Where the pour is thickest; the middle, when it is as thick there. */
function placeOf({ top, bottom, fromXMm, toXMm }: SectionPour): number {
  const middle = (fromXMm + toXMm) / 2;
  const thickness = (x: number) => heightOn(top, x) - heightOn(bottom, x);
  return Array.from(
    { length: PLACES },
    (_, place) => fromXMm + ((toXMm - fromXMm) * (place + 1)) / (PLACES + 1),
  ).reduce((best, x) => (thickness(x) > thickness(best) * 1.3 + 0.1 ? x : best), middle);
}
