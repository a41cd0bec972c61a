import type { SheetPour } from './sheet';

/** What the base of a pour is taken from: fresh, out of the scrap jar, or both; the larger part first. */
export function baseParts({
  base,
  remelt,
}: Pick<SheetPour, 'base' | 'remelt'>): { id: string; name: string; share: number }[] {
  const fresh = { id: base.id, name: base.name, share: 1 - (remelt?.ofBase ?? 0) };
  if (!remelt) return [fresh];
  const again = { id: remelt.scrapId, name: remelt.name, share: remelt.ofBase };
  return [fresh, again].filter(({ share }) => share > 1e-9).sort((a, b) => b.share - a.share);
}

/** What is melted for a pour, by its names: “Clear Quay”, or “Clear Quay + White ends”. */
export function meltedName(pour: Pick<SheetPour, 'base' | 'remelt'>): string {
  return baseParts(pour)
    .map(({ name }) => name)
    .join(' + ');
}
