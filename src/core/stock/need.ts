import { cavityCount } from '../molds/filled';
import { baseParts } from '../plan/baseParts';
import { packedCount, type SheetPacked } from '../plan/packed';
import type { Sheet, SheetEmbed } from '../plan/sheet';
import { jugsOf, meltedBeyond } from '../pours/jugsOf';

/** What is taken off the shelf. */
export interface Need {
  materialId: string;
  name: string;
  /** Grams, or pieces of what is counted. */
  amount: number;
  isCounted: boolean;
  /** Pieces that a plan makes: they are made, not bought. */
  isMade?: true;
}

/** Everything a sheet weighs or counts, each material once, also what leaves the jug again. */
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
      for (const part of baseParts(pour)) weigh(part, pour.baseG * part.share * ofNeed);
      for (const { material, massG } of [...pour.lines, ...pour.carried]) weigh(material, massG * ofNeed);
    }
  for (const pour of sheet.pours) {
    for (const { material, massG } of pour.laid) weigh(material, massG);
    for (const embed of pour.embeds) {
      const need = needOfEmbed(embed, cavityCount(sheet, sheet.fills));
      if (need) add(need);
    }
  }
  for (const packed of sheet.packaging) add(needOfPacked(packed, sheet.pieces));
  return [...needs.values()].filter(({ amount }) => amount > 0);
}

/** The plans whose pieces are needed. */
export function plansMade(needs: readonly Need[]): string[] {
  return needs.flatMap(({ materialId, isMade }) => (isMade ? materialId : []));
}

/** What wrapping so many pieces takes off the shelf. */
export function needOfPacked(packed: SheetPacked, pieces: number): Need {
  const { materialId, name } = packed;
  return { materialId, name, amount: packedCount(packed, pieces), isCounted: true };
}

/**
 * What an embed takes off the shelf for so many cavities, of which a last one in part gets whole pieces; null for bought
 * ones that nobody counts. Pieces of another plan are kept on the shelf under its id.
 */
export function needOfEmbed(
  { id, name, kind, massG, perPiece, partsOfOne }: SheetEmbed,
  cavities: number,
): Need | null {
  if (kind === 'scrap') return { materialId: id, name, amount: massG, isCounted: false };
  if (perPiece === null) return null;
  const amount = Math.ceil((perPiece * Math.ceil(cavities)) / partsOfOne);
  const need: Need = { materialId: id, name, amount, isCounted: true };
  return kind === 'plan' ? { ...need, isMade: true } : need;
}
