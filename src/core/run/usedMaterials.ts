import { type Need, needOfEmbed } from '../stock/need';
import type { Run } from './run';
import { runState } from './runState';

/** What a run has really taken of a material, over all its pours. */
export type Used = Need;

/** What was weighed or set in in a run, each material once, in the order of the work. */
export function usedMaterials(run: Pick<Run, 'sheet' | 'events'>): Used[] {
  const used = new Map<string, Used>();
  for (const step of runState(run).steps) {
    const pour = run.sheet.pours[step.pourIndex];
    if (!pour) continue;
    const add = ({ materialId, amount, ...rest }: Used) =>
      used.set(materialId, {
        ...rest,
        materialId,
        amount: (used.get(materialId)?.amount ?? 0) + amount,
      });
    if (step.kind === 'set-embeds' && step.doneAt !== null) {
      for (const embed of pour.embeds) {
        const need = step.embedIndexes.includes(embed.embedIndex)
          ? needOfEmbed(embed, run.sheet.pieces)
          : null;
        if (need) add(need);
      }
    }
    if (step.actualG === null) continue;
    const { id, name } =
      step.kind === 'weigh-dose' ? (pour.lines[step.lineIndex]?.material ?? pour.base) : pour.base;
    add({ materialId: id, name, amount: step.actualG, isCounted: false });
  }
  return [...used.values()];
}
