import { useEffect, useState } from 'react';
import { type ApiProblem, callApi } from '../shared/api';

const QUIET_MS = 250;

/** What the server says of something, asked a moment after it changes; the last answer stays until there is another. */
export function useAsked<Answer>(path: string, about: unknown) {
  const [answer, setAnswer] = useState<Answer | null>(null);
  const [problem, setProblem] = useState<ApiProblem | null>(null);
  const asked = JSON.stringify(about);
  useEffect(() => {
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
