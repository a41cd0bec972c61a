import type { z } from '../zod';
import { inciKey } from './inciName';
import { mostOfPack } from './packOrder';

/** Rounding in the last digits is no share too much. */
const CLOSE = 1e-9;

/** What a material's pack tells of what is in it: its list, and the shares that are known. */
interface PackList {
  kind: string;
  inci?: readonly string[] | null;
  inciShares?: readonly { name: string; ofMaterial: number }[] | null;
}

/** Shares that a pack tells are of ingredients on its list, each once, and can be so in its order. */
export function checkShares({ inci, inciShares }: PackList, context: z.core.$RefinementCtx): void {
  const fault = inciShares && shareFault((inci ?? []).map(inciKey), inciShares);
  if (!fault) return;
  context.addIssue({
    code: 'custom',
    path: ['inciShares'],
    message: fault.message,
    params: { id: fault.id },
  });
}

function shareFault(
  listed: readonly string[],
  shares: NonNullable<PackList['inciShares']>,
): { message: string; id?: string } | null {
  const known = new Map<number, number>();
  for (const { name, ofMaterial } of shares) {
    const place = listed.indexOf(inciKey(name));
    if (place < 0) return { message: 'share-not-listed', id: name };
    if (known.has(place)) return { message: 'share-twice', id: name };
    known.set(place, ofMaterial);
  }
  if ([...known.values()].reduce((sum, share) => sum + share, 0) > 1 + CLOSE)
    return { message: 'shares-above-all' };
  const canBe = known.size === 0 || mostOfPack({ count: listed.length, known }, new Map()) !== null;
  return canBe ? null : { message: 'shares-against-order' };
}
