import { useState } from 'react';
import type { Plan } from '../../core/plan/plan';

/** Ways to leave the workspace, with everything saved, loaded when one is taken; `problem` says why one did not go. */
export function usePlanActions(id: string, flush: () => Promise<boolean>) {
  const [problem, setProblem] = useState<string | null>(null);
  const about = { id, flush, onProblem: setProblem };
  return {
    problem,
    print: async () => (await import('./planActions')).print(about),
    rehearse: async () => (await import('./planActions')).rehearse(about),
    exportFile: async () => (await import('./planActions')).exportFile(about),
    toTheBench: async () => (await import('./planActions')).toTheBench(about),
    duplicate: async () => (await import('./planActions')).duplicate(about),
    saveCopy: async (mine: Plan) => (await import('./planActions')).saveCopy(about, mine),
  };
}
