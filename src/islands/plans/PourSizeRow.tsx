import { ArrowDown, ArrowUp, X } from 'lucide-react';
import { lazy, Suspense, useEffect, useState } from 'react';
import { type Plan, type Pour, pourLetter } from '../../core/plan/plan';
import { type PourSize, parsePourSize, writePourSize } from '../../core/plan/pourSize';
import type { SheetPour } from '../../core/plan/sheet';
import { showMass, showNumber, showVolume } from '../../core/units/showQuantity';
import { useShowing } from '../shared/showing';
import { usePlanPage } from './planContext';

const PourSizeFault = lazy(() => import('./PourSizeFault'));

interface Props {
  plan: Plan;
  pourIndex: number;
  sheetPour: SheetPour | undefined;
  pieces: number;
  onPour(pourIndex: number): void;
}

/** How big a pour is, as it is said and as it comes out; its place, and away with it. */
export function PourSizeRow({ plan, pourIndex, sheetPour, pieces, onPour }: Props) {
  const { edit } = usePlanPage();
  const showing = useShowing();
  const pour = plan.pours[pourIndex];
  const [text, setText] = useState(() => (pour ? writePourSize(pour.size, showing.system) : ''));
  const written = pour ? writePourSize(pour.size, showing.system) : '';
  useEffect(() => {
    // Changed from elsewhere (undo, a boundary that was dragged): show it, unless the text says the same already.
    setText((before) => {
      const read = parsePourSize(before);
      return read.success && writePourSize(read.data, showing.system) === written ? before : written;
    });
  }, [written, showing.system]);
  if (!pour) return null;
  const read = parsePourSize(text);
  const letter = pourLetter(pourIndex);
  /** It rises with the pour that it goes in beside. */
  const isBeside = pourIndex > 0 && pour.way?.besideShare !== undefined;

  const withPours = (pours: Pour[], about: string) => edit({ ...plan, pours }, about);
  const resize = (size: PourSize) =>
    withPours(
      plan.pours.map((each, index) => (index === pourIndex ? { ...each, size } : each)),
      `size ${pourIndex}`,
    );
  function move(step: number) {
    const pours = [...plan.pours];
    const [moved] = pours.splice(pourIndex, 1);
    if (!moved) return;
    pours.splice(pourIndex + step, 0, moved);
    withPours(pours, `move ${Date.now()}`);
    onPour(pourIndex + step);
  }

  return (
    <div className="mb-1">
      <div className="flex items-center gap-1">
        <label className="flex items-center gap-2 text-sm whitespace-nowrap">
          Size of {letter}
          <input
            disabled={isBeside}
            className={`input input-sm pointer-coarse:min-h-11 w-28 ${read.success ? '' : 'input-error'}`}
            autoComplete="off"
            maxLength={80}
            value={isBeside ? 'as its neighbour' : text}
            aria-invalid={!read.success}
            aria-describedby="pour-size-says"
            onChange={({ target }) => {
              setText(target.value);
              const next = parsePourSize(target.value);
              if (next.success) resize(next.data);
            }}
          />
        </label>
        <p className="quiet mr-auto w-36 text-xs leading-tight">
          {sheetPour && (
            <>
              {sheetPour.fromMm !== null &&
                sheetPour.toMm !== null &&
                `${showNumber(sheetPour.toMm - sheetPour.fromMm, 1, showing.locale)} mm, `}
              {showVolume(sheetPour.intoMoldMl / pieces, showing.locale)} a cavity,{' '}
              {pour.size.by === 'base' && `${showMass(sheetPour.baseG, showing)} of base in its jug, `}
              {showMass(sheetPour.intoMoldG, showing)} in all{pour.size.by === 'mass' && ', base and doses'}
            </>
          )}
        </p>
        <PlaceButtons
          letter={letter}
          isFirst={pourIndex === 0}
          isLast={pourIndex === plan.pours.length - 1}
          onMove={move}
          onRemove={() => {
            withPours(
              plan.pours.filter((_, index) => index !== pourIndex),
              `remove pour ${Date.now()}`,
            );
            onPour(Math.max(0, pourIndex - 1));
          }}
        />
      </div>
      <p id="pour-size-says" className="text-error text-xs" role={read.success ? undefined : 'alert'}>
        {!read.success && (
          <Suspense>
            <PourSizeFault fault={read.error} />
          </Suspense>
        )}
      </p>
    </div>
  );
}

interface PlaceProps {
  letter: string;
  isFirst: boolean;
  isLast: boolean;
  onMove(step: number): void;
  onRemove(): void;
}

/** Earlier, later, and out. */
function PlaceButtons({ letter, isFirst, isLast, onMove, onRemove }: PlaceProps) {
  const look = 'btn btn-ghost btn-square min-h-11 min-w-11';
  return (
    <>
      <button
        type="button"
        className={look}
        aria-label={`Pour ${letter} earlier`}
        disabled={isFirst}
        onClick={() => onMove(-1)}
      >
        <ArrowUp size={18} />
      </button>
      <button
        type="button"
        className={look}
        aria-label={`Pour ${letter} later`}
        disabled={isLast}
        onClick={() => onMove(1)}
      >
        <ArrowDown size={18} />
      </button>
      <button type="button" className={look} aria-label={`Take out pour ${letter}`} onClick={onRemove}>
        <X size={18} />
      </button>
    </>
  );
}
