import { lazy, type ReactNode, Suspense, useMemo } from 'react';
import type { Spot } from '../../core/files/photo';
import { isKnown } from '../../core/molds/shape';
import type { Sheet } from '../../core/plan/sheet';
import { sectionOf } from '../../core/section/section';
import { counted } from '../../words/en/plural';
import { Section } from '../section/Section';
import { useShowing } from '../shared/showing';

interface Props {
  sheet: Sheet;
  spots: readonly Spot[];
  /** Of what is marked, for who can't see it. */
  label: string;
  /** A press marks a place; left out where it is only shown: what has no mark is not drawn then. */
  onMark?: (spot: Spot) => void;
}

const Face = lazy(() => import('../section/Face'));

/** A piece as a map of where on it something was seen: cut through, and from above. */
export function SpotMap({ sheet, spots, label, onMark }: Props) {
  const { locale } = useShowing();
  const section = useMemo(() => sectionOf(sheet), [sheet]);
  if (!section) return null;
  const isDrawn = (side: Spot['on']) => onMark !== undefined || spots.some(({ on }) => on === side);
  return (
    <div className="flex flex-wrap gap-3">
      {isDrawn('section') && (
        <Side on="section" label={`${label}, cut through`} spots={spots} onMark={onMark}>
          <Section section={section} locale={locale} thumbnail />
        </Side>
      )}
      {isDrawn('face') && isKnown(sheet.mold.shape) && (
        <Side on="face" label={`${label}, from above`} spots={spots} onMark={onMark}>
          <Suspense>
            <Face sheet={sheet} />
          </Suspense>
        </Side>
      )}
    </div>
  );
}

interface SideProps extends Pick<Props, 'spots' | 'label' | 'onMark'> {
  on: Spot['on'];
  children: ReactNode;
}

function Side({ on, spots, label, onMark, children }: SideProps) {
  const own = spots.filter((spot) => spot.on === on);
  const drawing = (
    <>
      {children}
      {own.map(({ x, y }) => (
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
      <div
        className={box}
        role="img"
        aria-label={`${label}: ${counted(own.length, 'place', 'places')} marked`}
      >
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
        onMark({ on, x: within(x), y: within(y) });
      }}
    >
      {drawing}
    </button>
  );
}

function within(fraction: number): number {
  return Number(Math.min(1, Math.max(0, fraction)).toFixed(3));
}
