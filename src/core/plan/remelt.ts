import { stirredDensity } from '../materials/defaults';
import type { DosedMaterial, Material } from '../materials/material';
import { jugGroups } from '../pours/sharedJug';
import type { z } from '../zod';
import type { Pour } from './plan';
import type { InheritedLine } from './recipeLine';
import type { remeltSchema } from './sheetSchema';

/** What of a pour's base is melted again. */
export type Remelt = z.infer<typeof remeltSchema>;

/** The pour whose base a jug is filled with: what goes on in it is of the same. */
export function headOfJug(pours: readonly Pour[], pourIndex: number): Pour | undefined {
  const own = pours.map(({ baseId, way = {} }) => ({ base: { id: baseId }, way }));
  const head = jugGroups(own).find((group) => group.includes(pourIndex))?.[0];
  return pours[head ?? pourIndex];
}

/** What a pour's scrap brings along: each dose that is in it, as a share of all the base that is melted. */
export function remeltOf(
  pour: Pour | undefined,
  materials: ReadonlyMap<string, Material>,
): { remelt: Remelt | null; inherited: InheritedLine[] } {
  const scrap = pour?.remelt && materials.get(pour.remelt.scrapId);
  if (!pour?.remelt || scrap?.kind !== 'scrap') return { remelt: null, inherited: [] };
  const { ofBase } = pour.remelt;
  const holds = scrap.holds ?? [];
  const missing: string[] = [];
  const bases = holds.flatMap(({ materialId, name, kind }): Remelt['bases'] => {
    if (kind !== 'base') return [];
    const base = materials.get(materialId);
    if (base?.kind === 'base')
      return [{ id: base.id, name: base.name, baseKind: base.baseKind, origins: base.origins }];
    missing.push(name);
    return [];
  });
  const inherited = holds.flatMap(({ materialId, name, kind, ofScrap }): InheritedLine[] => {
    if (kind !== 'dose') return [];
    const material = materials.get(materialId);
    if (!material || !isDosed(material)) {
      missing.push(name);
      return [];
    }
    return [inheritedLine(material, ofBase * ofScrap, scrap.id)];
  });
  const { id: scrapId, name, melts } = scrap;
  return {
    remelt: { scrapId, name, ofBase, melts, holds, bases, isKnown: scrap.holds !== null, missing },
    inherited,
  };
}

function isDosed(material: Material): material is DosedMaterial {
  const { kind } = material;
  return kind === 'fragrance' || kind === 'colorant' || kind === 'additive' || kind === 'dispersant';
}

function inheritedLine(material: DosedMaterial, shareOfBase: number, fromScrapId: string): InheritedLine {
  const { value: densityGPerMl, assumed } = stirredDensity(material);
  return {
    ...{ doseId: '', doseIndex: 0, material, text: '', saidAs: 'share', amount: { shareOfBase, fixedG: 0 } },
    ...{ densityGPerMl, exact: true, assumed: assumed ? ['density'] : [], isEach: false, counted: null },
    ...{ byEye: null, isOptional: false, blend: null, wets: false, leaves: false, counts: 'content' },
    fromScrapId,
  };
}
