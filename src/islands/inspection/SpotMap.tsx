import type { Spot } from '../../core/files/photo';
import type { Section as Cut } from '../../core/section/section';
import { Section } from '../section/Section';
import { useShowing } from '../shared/showing';

interface Props {
  section: Cut | null;
  spots: readonly Spot[];
  /** Of what is marked, for who can't see it. */
  label: string;
  /** A press marks a place; left out where it is only shown. */
  onMark?: (spot: Spot) => void;
}

/** The section as a map of where on a piece something was seen. */
export function SpotMap({ section, spots, label, onMark }: Props) {
  const { locale } = useShowing();
  if (!section) return null;
  const drawing = (
    <>
      <Section section={section} locale={locale} thumbnail />
      {spots
        .filter(({ on }) => on === 'section')
        .map(({ x, y }) => (
          <span
            key={`${x} ${y}`}
            className="border-error bg-base-100/60 absolute size-4 -translate-1/2 rounded-full border-3"
            style={{ left: `${x * 100}%`, top: `${y * 100}%` }}
          />
        ))}
    </>
  );
  const box = 'relative aspect-4/3 h-28 shrink-0';
  if (!onMark)
    return (
      <div className={box} role="img" aria-label={label}>
        {drawing}
      </div>
    );
  return (
    <button
      type="button"
      className={`${box} cursor-crosshair`}
      aria-label={label}
      onClick={({ clientX, clientY, currentTarget, detail }) => {
        const { left, top, width, height } = currentTarget.getBoundingClientRect();
        // By the keyboard it is marked in the middle.
        const [x, y] = detail === 0 ? [0.5, 0.5] : [(clientX - left) / width, (clientY - top) / height];
        onMark({ on: 'section', x: within(x), y: within(y) });
      }}
    >
      {drawing}
    </button>
  );
}

function within(fraction: number): number {
  return Number(Math.min(1, Math.max(0, fraction)).toFixed(3));
}
