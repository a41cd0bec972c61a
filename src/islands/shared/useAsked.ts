import { useEffect, useState } from 'react';
import { type ApiProblem, callApi } from './api';

const QUIET_MS = 250;

/**
 * What the server says of something, asked a moment after it changes; the last answer stays until there is another.
 *
 * @param path null where there is nothing to ask
 */
export function useAsked<Answer>(path: string | null, about: unknown) {
  const [answer, setAnswer] = useState<Answer | null>(null);
  const [problem, setProblem] = useState<ApiProblem | null>(null);
  const asked = JSON.stringify(about);
  useEffect(() => {
    if (path === null) return;
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
