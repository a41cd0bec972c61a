import { type RefObject, useEffect, useRef, useState } from 'react';
import type { Result } from '../../core/result';
import { scannedLot } from '../../core/run/lotAtScale';
import { typedCount, typedWeight } from '../../core/run/typedWeight';
import type { QuantityFault } from '../../core/units/quantityFault';
import { useShowing } from '../shared/showing';
import type { FaceProps } from './faceProps';

/** A weighing in hand: what it comes to, and its tick. */
export interface Weighing {
  input: RefObject<HTMLInputElement | null>;
  parsed: Result<number, QuantityFault>;
  /** What is typed, else what the scale shows; null where that is nothing yet. */
  weighedG: number | null;
  isBad: boolean;
  /** Why it stays as it is; null while nobody says so. */
  why: string | null;
  setWhy(why: string | null): void;
  /** Ticks it, or takes the lot whose number was typed or scanned. */
  tick(): void;
}

export function useWeighing(props: FaceProps & { targetG: number }): Weighing {
  const { run, task, typed, targetG, scale, lots, onType, onTick } = props;
  const showing = useShowing();
  const input = useRef<HTMLInputElement>(null);
  const [asked, setAsked] = useState(false);
  const [why, setWhy] = useState<string | null>(null);
  useEffect(() => input.current?.focus(), []);
  const parsed = typedWeight(typed, task, run.snapshot.sheet, showing.system);
  // What is typed goes before what the scale shows, but what was counted onto a fine scale is what that shows.
  const shownG = scale.watch && scale.watch.place !== 'nothing' ? scale.watch.nettoG : null;
  const typedG = parsed.success && parsed.data > 0 ? parsed.data : null;
  const onScale = scale.watch?.isFine && typedG !== null ? typedCount(typed, task, run.snapshot.sheet) : null;
  const count = shownG === null ? null : onScale;
  const weighedG = typed.trim() === '' || count !== null ? shownG : typedG;
  return {
    input,
    parsed,
    weighedG,
    isBad: (asked || typed.trim() !== '') && weighedG === null,
    why,
    setWhy,
    tick() {
      const scanned = scannedLot(typed, lots.lots, typedG, targetG);
      if (scanned) {
        lots.choose(scanned.id);
        onType('');
        return;
      }
      setAsked(true);
      if (weighedG === null) input.current?.focus();
      else
        onTick(
          {
            kind: 'weighed',
            taskId: task.id,
            massG: weighedG,
            ...(count === null ? {} : { count }),
            ...(lots.lot ? { lotId: lots.lot.id } : {}),
            ...(why?.trim() ? { note: why.trim() } : {}),
          },
          typed.trim() === '' || count !== null ? scale.instrument : null,
        );
    },
  };
}
