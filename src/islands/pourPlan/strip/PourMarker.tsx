import { type RefObject, useState } from 'react';
import type { PourLayer } from '../../../core/schedule/pourPlan';
import { lengthWords } from '../../../words/en/lengthWords';
import { BOND_WORDS } from './bondWords';
import type { TimeScale } from './timeScale';

interface Props {
  layer: PourLayer;
  lettersBefore: string;
  /** When the layer before was poured, and this one. */
  beforeS: number;
  atS: number;
  /** Chosen just now, while the pour plan is still worked out for it. */
  pendingMin: number | null;
  scale: TimeScale;
  lane: RefObject<HTMLDivElement | null>;
  locale: string;
  isSelected: boolean;
  /** Whole minutes after the layer before; null leaves it to the pour plan. */
  onMove(afterMin: number | null): void;
  onOpen(): void;
  onHold(held: boolean): void;
}

const KEY_STEPS_MIN: Record<string, number> = { ArrowRight: 1, ArrowLeft: -1, PageUp: 5, PageDown: -5 };
const MOST_MIN = 1440;

/** The moment of a pour: dragged by pointer or finger, moved by arrow keys; Home gives it back to the pour plan. */
export function PourMarker(props: Props) {
  const {
    layer,
    lettersBefore,
    beforeS,
    atS,
    pendingMin,
    scale,
    lane,
    locale,
    isSelected,
    onMove,
    onOpen,
    onHold,
  } = props;
  const [heldMin, setHeldMin] = useState<number | null>(null);
  const [isHeld, setHeld] = useState(false);
  const shownMin = heldMin ?? pendingMin;
  const afterMin = shownMin ?? Math.round(layer.afterS / 60);
  const placeS = shownMin === null ? atS : beforeS + shownMin * 60;
  const bond = layer.bond ? BOND_WORDS[layer.bond.likely] : '';
  const move = (minutes: number) => onMove(Math.min(MOST_MIN, Math.max(0, minutes)));
  const release = () => {
    setHeld(false);
    setHeldMin(null);
    onHold(false);
  };
  return (
    <div
      role="slider"
      tabIndex={0}
      aria-label={`Pour ${layer.letters}, after ${lettersBefore}`}
      aria-valuenow={afterMin}
      aria-valuemin={0}
      aria-valuemax={MOST_MIN}
      aria-valuetext={`${lengthWords(afterMin * 60, locale)} after ${lettersBefore}, ${bond}`}
      title={`Pour ${layer.letters} ${lengthWords(afterMin * 60, locale)} after ${lettersBefore}. Drag it, or use the arrow keys; Home leaves it to the pour plan.`}
      className="absolute inset-y-0 z-20 -ml-[22px] w-11 cursor-ew-resize touch-none rounded-lg"
      style={{ left: `${scale.at(placeS) * 100}%` }}
      onKeyDown={(event) => {
        const step = KEY_STEPS_MIN[event.key];
        if (event.key === 'Enter') onOpen();
        else if (event.key === 'Home') onMove(null);
        else if (step !== undefined) move(afterMin + step);
        else return;
        event.preventDefault();
      }}
      onPointerDown={(event) => {
        event.currentTarget.setPointerCapture(event.pointerId);
        setHeld(true);
        onHold(true);
      }}
      onPointerMove={(event) => {
        const box = lane.current?.getBoundingClientRect();
        if (!isHeld || !box) return;
        const seconds = scale.secondsAt((event.clientX - box.left) / box.width);
        const minutes = Math.max(0, Math.round((seconds - beforeS) / 60));
        if (minutes === afterMin) return;
        setHeldMin(minutes);
        move(minutes);
      }}
      onPointerUp={release}
      onPointerCancel={release}
      onDoubleClick={onOpen}
    >
      <span className="bg-base-content absolute inset-y-0 left-1/2 w-0.5 -translate-x-1/2" />
      <span
        className={`border-base-content absolute top-1/2 left-1/2 flex h-6 min-w-6 -translate-x-1/2 -translate-y-1/2 items-center justify-center rounded-full border-2 px-1 text-xs font-bold ${isSelected ? 'bg-primary text-primary-content' : 'bg-base-100'}`}
      >
        {layer.letters}
      </span>
    </div>
  );
}
