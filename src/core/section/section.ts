import { pourTint } from '../colour/pourTint';
import type { Base } from '../materials/base';
import { type Surface, surfaceOf } from '../molds/lean';
import type { Mold } from '../molds/mold';
import { isKnown, type KnownShape, reachMm, solidOf, usualAxis, whereGrowing } from '../molds/shape';
import { type Axis, WHOLE_PLANE } from '../molds/solids/outline';
import type { LaidWhere } from '../plan/laid';
import type { Sheet, SheetEmbed, SheetPour } from '../plan/sheet';
import { type Line, topLine } from './profile';

/** A pour as it lies in the section. */
export interface SectionPour {
  letter: string;
  pourIndex: number;
  look: Base['look'];
  hex: string;
  /** Everything that was poured before it and with it lies below the one, what was poured before it below the other. */
  top: Line;
  bottom: Line;
  /** Where it ends beside another that went in with it, mm from the middle; as wide as the cavity otherwise. */
  fromXMm: number;
  toXMm: number;
  /** Over the middle of the floor. */
  fromMm: number;
  toMm: number;
  /** The first of those that went in together, which has their size. */
  leadIndex: number;
  /** Of those that went in together, the first that is seen in this section. */
  leads: boolean;
  /** Its boundary lies over the middle, so that it can be moved there. */
  reachesMiddle: boolean;
  /** The angle at which its top lies in this section; null when it is level in it. */
  leanDeg: number | null;
  dropped: boolean;
  trimmed: boolean;
  /** Where something lies that was not stirred in. */
  laid: LaidWhere[];
  embeds: SectionEmbed[];
}

export type SectionEmbed = { name: string; hex: string | null } & (
  | { as: 'piece'; isBall: boolean; xMm: number; bottomMm: number; widthMm: number; heightMm: number }
  /** Cubes that take so much of the pour's room. */
  | { as: 'filling'; ofRoom: number }
);

/** One cavity cut through its middle, with what lies in it, mm. */
export interface Section {
  axis: Axis;
  shape: KnownShape;
  /** How far the cavity reaches from its middle. */
  fromXMm: number;
  toXMm: number;
  depthMm: number;
  pours: SectionPour[];
}

/** How a mold is cut when nobody says: one that is sliced is cut as its bars are. */
export function sectionAxis({ shape, sliceMm }: Pick<Mold, 'shape' | 'sliceMm'>): Axis {
  if (!isKnown(shape)) return 'length';
  return sliceMm === null ? usualAxis(shape) : 'width';
}

/** An empty cavity; null where the shape is not known. */
export function sectionOfMold(mold: Mold, axis = sectionAxis(mold)): Section | null {
  const { shape } = mold;
  if (!isKnown(shape)) return null;
  const [fromXMm, toXMm] = reachMm(shape, axis);
  return { axis, shape, fromXMm, toXMm, depthMm: solidOf(shape).depthMm, pours: [] };
}

/** A sheet's pours and embeds as they lie in one cavity; null where the shape is not known. */
export function sectionOf(sheet: Sheet, axis = sectionAxis(sheet.mold)): Section | null {
  const empty = sectionOfMold(sheet.mold, axis);
  if (!empty) return null;
  const surfaces: Surface[] = [];
  let bottom: Line = topLine([], axis, empty.fromXMm, empty.toXMm);
  let seen = -1;
  const pours = sheet.pours.flatMap((pour, pourIndex): SectionPour[] => {
    const { fromMm, toMm, surfaceMm, way } = pour;
    if (fromMm === null || toMm === null || surfaceMm === null) return [];
    const leadIndex = leadOf(sheet.pours, pourIndex);
    if (leadIndex === pourIndex) {
      bottom = topLine(surfaces, axis, empty.fromXMm, empty.toXMm);
      surfaces.push(surfaceOf(surfaceMm, way.lean));
    }
    const [fromXMm, toXMm] = placeBeside(empty, sheet, pourIndex);
    if (fromXMm === toXMm) return [];
    const leads = seen !== leadIndex;
    seen = leadIndex;
    return [
      {
        letter: pour.letter,
        pourIndex,
        look: pour.base.look,
        hex: pourTint(pour).hex,
        top: topLine(surfaces, axis, empty.fromXMm, empty.toXMm),
        bottom,
        fromXMm,
        toXMm,
        fromMm,
        toMm,
        leadIndex,
        leads,
        reachesMiddle: Math.abs(surfaceMm - toMm) < 1e-6,
        leanDeg: way.lean?.along === axis ? way.lean.deg : null,
        dropped: way.dropped === true,
        trimmed: way.trimmed === true,
        laid: [...new Set(pour.laid.map(({ laid }) => laid.where))],
        embeds: placed(pour, fromXMm, toXMm),
      },
    ];
  });
  return { ...empty, pours };
}

function leadOf(pours: readonly SheetPour[], pourIndex: number): number {
  let lead = pourIndex;
  while (lead > 0 && pours[lead]?.way.besideShare !== undefined) lead--;
  return lead;
}

/**
 * Pours that went in together part where their shares of the cavity do, halfway up: side by side as the mold is cut when
 * nobody says. Cut the other way, the one is seen that fills the middle, and the others have no width.
 */
function placeBeside(
  { shape, axis, fromXMm, toXMm }: Section,
  { pours, mold }: Sheet,
  pourIndex: number,
): [fromXMm: number, toXMm: number] {
  const lead = leadOf(pours, pourIndex);
  let last = lead;
  while (pours[last + 1]?.way.besideShare !== undefined) last++;
  if (lead === last) return [fromXMm, toXMm];
  const own = pours.slice(lead, last + 1);
  const roomMl = own.map(({ intoMoldMl, displacedMl }) => intoMoldMl + displacedMl);
  const whole = roomMl.reduce((sum, ml) => sum + ml, 0);
  const before = roomMl.slice(0, pourIndex - lead).reduce((sum, ml) => sum + ml, 0) / whole;
  const after = before + (roomMl[pourIndex - lead] ?? 0) / whole;
  const halfway = ((own[0]?.fromMm ?? 0) + (own[0]?.toMm ?? 0)) / 2;
  const along = sectionAxis(mold);
  const [from, to] = [xForShare(shape, along, halfway, before), xForShare(shape, along, halfway, after)];
  if (along === axis) return [from, to];
  return from <= 0 && to > 0 ? [fromXMm, toXMm] : [0, 0];
}

/** Where a level surface has so much of its area on its left, mm from the middle. */
function xForShare(shape: KnownShape, axis: Axis, heightMm: number, share: number): number {
  const [from, to] = reachMm(shape, axis);
  if (share <= 1e-9) return from;
  if (share >= 1 - 1e-9) return to;
  const solid = solidOf(shape);
  const area = solid.areaAtMm2(heightMm);
  const leftOf = (x: number) =>
    solid.areaWithinMm2(heightMm, { ...WHOLE_PLANE, [axis === 'length' ? 'toX' : 'toY']: x });
  return from + whereGrowing(to - from, (x) => leftOf(from + x) - share * area, 1e-4);
}

/** Pieces in a row, as many as there is room for; where a piece's height is not known, as a cube on the floor. */
function placed({ embeds, fromMm }: SheetPour, fromXMm: number, toXMm: number): SectionEmbed[] {
  return embeds.flatMap((embed): SectionEmbed[] => {
    const { name, colour, perPiece, ofRoom, isBall } = embed;
    if (perPiece === null) return [{ as: 'filling', name, hex: colour, ofRoom: ofRoom ?? 0 }];
    const { widthMm, heightMm } = drawnSize(embed);
    const most = Math.max(1, Math.floor((toXMm - fromXMm) / (widthMm * 1.1)));
    const count = Math.min(perPiece, most);
    return Array.from({ length: count }, (_, index) => ({
      as: 'piece' as const,
      name,
      hex: colour,
      isBall,
      xMm: fromXMm + ((toXMm - fromXMm) * (index + 0.5)) / count,
      bottomMm: embed.bottomMm ?? fromMm ?? 0,
      widthMm,
      heightMm,
    }));
  });
}

function drawnSize({ eachMl, widthMm, bottomMm, topMm }: SheetEmbed): { widthMm: number; heightMm: number } {
  const mm3 = (eachMl ?? 0) * 1000;
  const heightMm = bottomMm === null || topMm === null ? Math.cbrt(mm3) : topMm - bottomMm;
  return { widthMm: widthMm ?? Math.sqrt(mm3 / heightMm), heightMm };
}
