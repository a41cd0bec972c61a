import { useCallback, useLayoutEffect, useRef } from 'react';

/** A callback that is always the same function and does what the newest one does, for parts that are memoised. */
export function useStable<Words extends unknown[]>(
  newest: (...words: Words) => void,
): (...words: Words) => void {
  const kept = useRef(newest);
  useLayoutEffect(() => {
    kept.current = newest;
  });
  return useCallback((...words: Words) => kept.current(...words), []);
}
