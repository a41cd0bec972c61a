import { useEffect, useState } from 'react';
import { betterCapacityMl, type FillSeen } from '../../core/run/fillSeen';
import { showPercent, showVolume } from '../../core/units/showQuantity';
import { showDay } from '../../words/en/showTime';
import { callApi } from '../shared/api';
import { useShowing } from '../shared/showing';

interface Props {
  moldId: string;
  storedMl: number;
  onTake(capacityMl: number): void;
}

/** How past runs came out in this mold, against what is stored of it. */
export function FillsSeen({ moldId, storedMl, onTake }: Props) {
  const showing = useShowing();
  const [fills, setFills] = useState<readonly FillSeen[]>([]);
  useEffect(() => {
    let isHere = true;
    void callApi<FillSeen[]>('GET', `/api/molds/${encodeURIComponent(moldId)}/fills`).then((answer) => {
      if (isHere && answer.success) setFills(answer.data);
    });
    return () => {
      isHere = false;
    };
  }, [moldId]);
  if (fills.length === 0) return null;
  const { locale } = showing;
  const better = betterCapacityMl(fills, storedMl);
  return (
    <section className="border-base-300 rounded-lg border p-3 text-sm" aria-label="Fills of past runs">
      <h3 className="font-semibold">Fills of past runs</h3>
      <ul>
        {fills.map(({ runId, planName, at, capacityMl }) => (
          <li key={runId} className="flex gap-2">
            <a className="link flex-1" href={`/log/${runId}`}>
              {showDay(at.slice(0, 10), locale)}, {planName}
            </a>
            <span>
              {showVolume(capacityMl, locale)}, {capacityMl >= storedMl ? '+' : '−'}
              {showPercent(Math.abs(capacityMl / storedMl - 1), locale, 1)}
            </span>
          </li>
        ))}
      </ul>
      {better !== null && (
        <p className="mt-1 flex items-center gap-2">
          <span className="flex-1">
            Together they speak for <strong>{showVolume(better, locale)}</strong> a cavity, and{' '}
            {showVolume(storedMl, locale)} is stored.
          </span>
          <button type="button" className="btn btn-secondary min-h-11" onClick={() => onTake(better)}>
            Put it right
          </button>
        </p>
      )}
    </section>
  );
}
