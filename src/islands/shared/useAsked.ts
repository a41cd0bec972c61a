import { useEffect, useRef, useState } from 'react';
import { type ApiProblem, callApi } from './api';

const QUIET_MS = 250;

/**
 * What the server says of something, asked a moment after it changes; the last answer stays until there is another.
 *
 * @param path null where there is nothing to ask
 * @param first the answer to what is asked first, where it came with the page
 */
export function useAsked<Answer>(path: string | null, about: unknown, first: Answer | null = null) {
  const [answer, setAnswer] = useState(first);
  const [problem, setProblem] = useState<ApiProblem | null>(null);
  const asked = JSON.stringify(about);
  const answered = useRef(first === null ? null : asked);
  useEffect(() => {
    if (path === null || answered.current === asked) return;
    answered.current = null;
    let isWanted = true;
    const timer = setTimeout(async () => {
      const next = await callApi<Answer>('POST', path, JSON.parse(asked));
      if (!isWanted) return;
      if (next.success) setAnswer(next.data);
      setProblem(next.success ? null : next.error);
    }, QUIET_MS);
    return () => {
      isWanted = false;
      clearTimeout(timer);
    };
  }, [path, asked]);
  return { answer, problem };
}
