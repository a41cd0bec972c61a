import type { Run } from './run';
import { runState } from './runState';

/** What a run has really taken of a material, over all its pours. */
export interface Used {
  materialId: string;
  name: string;
  massG: number;
}

/** What was weighed in a run, each material once, in the order of the work. */
export function usedMaterials(run: Pick<Run, 'sheet' | 'events'>): Used[] {
  const used = new Map<string, Used>();
  for (const step of runState(run).steps) {
    const pour = run.sheet.pours[step.pourIndex];
    if (!pour || step.actualG === null) continue;
    const { id, name } =
      step.kind === 'weigh-dose' ? (pour.lines[step.lineIndex]?.material ?? pour.base) : pour.base;
    used.set(id, { materialId: id, name, massG: (used.get(id)?.massG ?? 0) + step.actualG });
  }
  return [...used.values()];
}
