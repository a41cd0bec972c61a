import { bleeds } from '../materials/defaults';
import type { DosedMaterial } from '../materials/material';
import { inProduct, type SheetLine, type SheetPour } from '../plan/sheet';
import { layerGroups } from '../pours/layers';
import type { Check, Found } from './finding';
import { ownDoses } from './timesDoses';

/** A dye beside a pour of another colour: it moves across the line within days. */
export const dyeBleeds: Check = (sheet) =>
  sheet.pours.flatMap((pour, pourIndex) => {
    const others = neighbours(sheet.pours, pourIndex).filter((other) => !sameColour(pour, other));
    if (others.length === 0) return [];
    return colours(pour).flatMap(({ material, lines }): Found[] => {
      const moves = material.kind === 'colorant' ? bleeds(material) : false;
      if (moves === false) return [];
      return [
        {
          code: 'dye-bleeds',
          severity: moves === null ? 'note' : 'caution',
          pourIndex,
          doseIndexes: ownDoses(lines),
          about: material.name,
          ...(moves === null ? { materialId: material.id } : {}),
          against: others.map(({ letter }) => letter),
          unknown: moves === null,
          assumed: false,
          fix: null,
        },
      ];
    });
  });

/** Everything a pour lies against: those beside it, and all of the layers below and above. */
function neighbours(pours: readonly SheetPour[], pourIndex: number): SheetPour[] {
  const groups = layerGroups(pours);
  const layer = groups.findIndex((group) => group.includes(pourIndex));
  return [layer - 1, layer, layer + 1]
    .flatMap((place) => groups[place] ?? [])
    .filter((other) => other !== pourIndex)
    .flatMap((other) => pours[other] ?? []);
}

/** Each colorant once: more of it may have come with an earlier pour of the jug. */
function colours(pour: SheetPour): { material: DosedMaterial; lines: SheetLine[] }[] {
  const byId = new Map<string, { material: DosedMaterial; lines: SheetLine[] }>();
  for (const line of inProduct(pour)) {
    const { material, massG } = line;
    if (material.kind !== 'colorant' || !(massG > 0)) continue;
    byId.set(material.id, { material, lines: [...(byId.get(material.id)?.lines ?? []), line] });
  }
  return [...byId.values()];
}

/** The same look of base with the same colorants. */
function sameColour(one: SheetPour, other: SheetPour): boolean {
  const ids = (pour: SheetPour) =>
    colours(pour)
      .map(({ material }) => material.id)
      .sort()
      .join(' ');
  return one.base.look === other.base.look && ids(one) === ids(other);
}
