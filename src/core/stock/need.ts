import { contentOf, type Sheet, type SheetEmbed, type SheetPour } from '../plan/sheet';
import { jugGroups } from '../pours/sharedJug';

/** What is taken off the shelf. */
export interface Need {
  materialId: string;
  name: string;
  /** Grams, or pieces of what is counted. */
  amount: number;
  isCounted: boolean;
}

/**
 * Everything a sheet weighs or counts, each material once, also what leaves the jug again. Pieces of other plans are
 * not on the shelf.
 */
export function needOf(sheet: Sheet): Need[] {
  const needs = new Map<string, Need>();
  const add = (need: Need) => {
    const known = needs.get(need.materialId);
    needs.set(need.materialId, { ...need, amount: (known?.amount ?? 0) + need.amount });
  };
  const weigh = ({ id, name }: { id: string; name: string }, massG: number) =>
    add({ materialId: id, name, amount: massG, isCounted: false });
  const melted = meltedOfNeed(sheet.pours);
  for (const [pourIndex, pour] of sheet.pours.entries()) {
    const ofNeed = melted[pourIndex] ?? 1;
    weigh(pour.base, pour.baseG * ofNeed);
    for (const { material, massG } of contentOf(pour)) weigh(material, massG * ofNeed);
    for (const { material, massG } of pour.laid) weigh(material, massG);
    for (const embed of pour.embeds) {
      const need = needOfEmbed(embed, sheet.fills);
      if (need) add(need);
    }
  }
  return [...needs.values()].filter(({ amount }) => amount > 0);
}

/** What is melted, of what each pour takes of its jug. */
function meltedOfNeed(pours: readonly SheetPour[]): number[] {
  const ofNeed = pours.map(() => 1);
  for (const group of jugGroups(pours)) {
    const baseG = group.reduce((sum, index) => sum + (pours[index]?.baseG ?? 0), 0);
    const meltG = pours[group[0] ?? 0]?.meltG ?? baseG;
    for (const index of group) if (baseG > 0) ofNeed[index] = meltG / baseG;
  }
  return ofNeed;
}

/** What an embed takes off the shelf for so many fills, of which a last one in part gets whole pieces; null for pieces of another plan, and for bought ones that nobody counts. */
export function needOfEmbed({ id, name, kind, massG, perPiece }: SheetEmbed, fills: number): Need | null {
  if (kind === 'scrap') return { materialId: id, name, amount: massG, isCounted: false };
  if (kind === 'plan' || perPiece === null) return null;
  return { materialId: id, name, amount: perPiece * Math.ceil(fills), isCounted: true };
}
