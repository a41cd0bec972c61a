import { bleeds } from '../materials/defaults';
import { contentOf, type SheetLine, type SheetPour } from '../plan/sheet';
import { layerGroups } from '../pours/layers';
import type { Check, Finding } from './finding';
import { ownDoses } from './timesDoses';

/** A dye beside a pour of another colour: it moves across the line within days. */
export const dyeBleeds: Check = {
  code: 'dye-bleeds',

  run: (sheet) =>
    sheet.pours.flatMap((pour, pourIndex) => {
      const others = neighbours(sheet.pours, pourIndex).filter((other) => !sameColour(pour, other));
      if (others.length === 0) return [];
      return colours(pour).flatMap((line): Finding[] => {
        const { material } = line;
        const moves = material.kind === 'colorant' ? bleeds(material) : false;
        if (moves === false) return [];
        return [
          {
            code: dyeBleeds.code,
            severity: moves === null ? 'note' : 'caution',
            pourIndex,
            doseIndexes: ownDoses([line]),
            about: material.name,
            ...(moves === null ? { materialId: material.id } : {}),
            text: others.map(({ letter }) => letter).join(' and '),
            figures: { unknown: moves === null ? 1 : 0 },
            assumed: false,
            mend: null,
          },
        ];
      });
    }),

  say: ({ about, text = '', figures: { unknown = 0 } }) => ({
    title: unknown ? `Cannot tell whether ${about} bleeds` : `${about} will bleed into pour ${text}`,
    reason: unknown
      ? `It lies against pour ${text} of another colour. The shelf does not know whether it stays in place.`
      : 'Liquid dyes move into a layer of another colour. A mica or pigment stays where it is.',
    mendLabel: null,
  }),
};

/** Everything a pour lies against: those beside it, and all of the layers below and above. */
function neighbours(pours: readonly SheetPour[], pourIndex: number): SheetPour[] {
  const groups = layerGroups(pours);
  const layer = groups.findIndex((group) => group.includes(pourIndex));
  return [layer - 1, layer, layer + 1]
    .flatMap((place) => groups[place] ?? [])
    .filter((other) => other !== pourIndex)
    .flatMap((other) => pours[other] ?? []);
}

function colours(pour: SheetPour): SheetLine[] {
  return contentOf(pour).filter(({ material, massG }) => material.kind === 'colorant' && massG > 0);
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
