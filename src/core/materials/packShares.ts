import type { z } from '../zod';
import { inciKey } from './inciName';

/** Rounding in the last digits is no share too much. */
const CLOSE = 1e-9;

/** What a material's pack tells of what is in it: its list, and the shares that are known. */
interface PackList {
  kind: string;
  inci?: readonly string[] | null;
  inciShares?: readonly { name: string; ofMaterial: number }[] | null;
}

/** Shares that a pack tells are of ingredients on its list, each once, and no more than all of it. */
export function checkShares(material: PackList, context: z.core.$RefinementCtx): void {
  if (!material.inciShares) return;
  const tell = (message: string, id?: string) =>
    context.addIssue({ code: 'custom', path: ['inciShares'], message, params: { id } });
  const listed = new Set((material.inci ?? []).map(inciKey));
  const seen = new Set<string>();
  for (const { name } of material.inciShares) {
    const key = inciKey(name);
    if (!listed.has(key)) tell('share-not-listed', name);
    else if (seen.has(key)) tell('share-twice', name);
    seen.add(key);
  }
  if (material.inciShares.reduce((sum, { ofMaterial }) => sum + ofMaterial, 0) > 1 + CLOSE)
    tell('shares-above-all');
}
