import { useEffect } from 'react';
import type { OnwardNow } from './useOnward';
import type { LiveThermometer } from './useThermometer';

/** The stand-in thermometer stands in the jug that is followed, which cools near to what was thought of it when it was put there. */
export function useStandInJug({ source, followed, standIn }: LiveThermometer, { heat }: OnwardNow): void {
  const isThere = heat?.jugs.some(({ taskId }) => taskId === followed) ?? false;
  // biome-ignore lint/correctness/useExhaustiveDependencies: what is thought of the jug later follows from it
  useEffect(() => {
    if (source !== 'stand-in') return;
    const jug = heat?.jugs.find(({ taskId }) => taskId === followed);
    if (!jug) {
      standIn({ kind: 'out' });
      return;
    }
    const curve = jug.forecast.curve.map(({ timeS, tempC }) => ({
      atMs: jug.fromMs + timeS * 1000,
      tempC: tempC.middle,
    }));
    standIn({ kind: 'jug', curve });
  }, [source, followed, isThere]);
}
