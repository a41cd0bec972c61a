import { cavityCount } from '../molds/filled';
import { contentOf, type Sheet, type SheetEmbed } from '../plan/sheet';
import { jugsOf, meltedBeyond } from '../pours/jugsOf';

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
  for (const jug of jugsOf(sheet.pours))
    for (const pour of jug.group.flatMap((index) => sheet.pours[index] ?? [])) {
      const ofNeed = 1 + meltedBeyond(jug);
      weigh(pour.base, pour.baseG * ofNeed);
      for (const { material, massG } of contentOf(pour)) weigh(material, massG * ofNeed);
    }
  for (const pour of sheet.pours) {
    for (const { material, massG } of pour.laid) weigh(material, massG);
    for (const embed of pour.embeds) {
      const need = needOfEmbed(embed, cavityCount(sheet, sheet.fills));
      if (need) add(need);
    }
  }
  return [...needs.values()].filter(({ amount }) => amount > 0);
}

/** What an embed takes off the shelf for so many cavities, of which a last one in part gets whole pieces; null for pieces of another plan, and for bought ones that nobody counts. */
export function needOfEmbed({ id, name, kind, massG, perPiece }: SheetEmbed, cavities: number): Need | null {
  if (kind === 'scrap') return { materialId: id, name, amount: massG, isCounted: false };
  if (kind === 'plan' || perPiece === null) return null;
  return { materialId: id, name, amount: perPiece * Math.ceil(cavities), isCounted: true };
}
