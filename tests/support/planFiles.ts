import type { Additive } from '../../src/core/materials/additive';
import type { Base } from '../../src/core/materials/base';
import type { Blend } from '../../src/core/materials/blend';
import type { Colorant } from '../../src/core/materials/colorant';
import type { Dispersant } from '../../src/core/materials/dispersant';
import type { Fragrance } from '../../src/core/materials/fragrance';
import type { DoseableMaterial, Material } from '../../src/core/materials/material';
import type { Piece } from '../../src/core/materials/piece';
import type { Scrap } from '../../src/core/materials/scrap';
import {
  NOTHING_KNOWN,
  unknownAdditive,
  unknownBase,
  unknownColorant,
  unknownDispersant,
  unknownFragrance,
} from '../../src/core/materials/unknownMaterial';
import type { Mold } from '../../src/core/molds/mold';
import { UNKNOWN_MOLD } from '../../src/core/molds/unknownMold';
import type { MadePiece } from '../../src/core/plan/embed';
import { type DraftEmbed, withIds } from '../../src/core/plan/ids';
import type { LaidWhere } from '../../src/core/plan/laid';
import { makeSheet } from '../../src/core/plan/makeSheet';
import type { When } from '../../src/core/plan/making';
import {
  dose,
  namedMaterials,
  PLAN_FILE_FORMAT,
  PLAN_FILE_VERSION,
  type Plan,
  type PlanFile,
  type Wetting,
} from '../../src/core/plan/plan';
import { type PourSize, parsePourSize } from '../../src/core/plan/pourSize';
import type { PourWay } from '../../src/core/plan/pourWay';
import type { Sheet } from '../../src/core/plan/sheet';

const common = { ...NOTHING_KNOWN, origins: [] };
const released = { origins: [], skin: 'released' as const };

/** Records that only a check uses; every field can be set. */
export function base(over: Partial<Base> = {}): Base {
  return {
    ...unknownBase('Test base', 'clear'),
    origins: [],
    id: 'base-1',
    suspension: true,
    sweat: 'standard',
    setSpeed: 'normal',
    densityGPerMl: 1.05,
    fragranceCapOfBase: 0.03,
    additionsCapOfBase: 0.1,
    ...over,
  };
}

export function fragrance(over: Partial<Fragrance> = {}): Fragrance {
  return {
    ...unknownFragrance('Test scent', 'fragrance-oil'),
    ...released,
    id: 'scent-1',
    densityGPerMl: 0.95,
    maxOfProduct: 0.05,
    vanillinOfMaterial: 0,
    allergens: [],
    ...over,
  };
}

export function colorant(over: Partial<Colorant> = {}): Colorant {
  return {
    ...unknownColorant('Test mica', 'mica'),
    ...released,
    id: 'colour-1',
    densityGPerMl: 2.9,
    bulkDensityGPerMl: 0.3,
    ...over,
  };
}

export function additive(over: Partial<Additive> = {}): Additive {
  return {
    ...unknownAdditive('Test extra', 'active'),
    ...released,
    id: 'extra-1',
    densityGPerMl: 1.1,
    ...over,
  };
}

export function dispersant(over: Partial<Dispersant> = {}): Dispersant {
  return {
    ...unknownDispersant('Test glycerin', false),
    ...released,
    id: 'wet-1',
    densityGPerMl: 1.26,
    ...over,
  };
}

export function blend(members: [Fragrance | Blend, number][], over: Partial<Blend> = {}): Blend {
  return {
    ...common,
    id: 'blend-1',
    kind: 'blend',
    name: 'Test blend',
    members: members.map(([{ id }, parts]) => ({ materialId: id, parts })),
    readings: [],
    ...over,
  };
}

export function mold(over: Partial<Mold> = {}): Mold {
  return {
    ...UNKNOWN_MOLD,
    id: 'mold-1',
    name: 'Test mold',
    cavities: 6,
    capacityMl: 100,
    measuredBy: 'water',
    shape: { kind: 'capacity-only' },
    madeOf: 'silicone',
    usualFillFraction: 1,
    ...over,
  };
}

export interface FilePour {
  base?: Base;
  parts?: number;
  doses?: [DoseableMaterial, string, Wetting?][];
  laid?: [DoseableMaterial, string, LaidWhere][];
  /** As it is typed. */
  size?: string;
  way?: PourWay;
  embeds?: DraftEmbed[];
  when?: When;
  /** Doses of a pour that goes on in a jug are added before it; else they are what it then holds. */
  added?: true;
}

/** A plan file from its pours; materials are gathered from them, and `more` is what they only name. */
export function planFile(
  pours: FilePour[],
  plan: Partial<PlanFile['plan']> = {},
  inMold = mold(),
  more: Material[] = [],
): PlanFile {
  const materials = new Map<string, Material>(more.map((material) => [material.id, material]));
  for (const pour of pours) {
    const itsBase = pour.base ?? base();
    materials.set(itsBase.id, itsBase);
    for (const [material] of [...(pour.doses ?? []), ...(pour.laid ?? [])])
      materials.set(material.id, material);
  }
  return {
    format: PLAN_FILE_FORMAT,
    version: PLAN_FILE_VERSION,
    plan: withIds({
      name: 'Test plan',
      use: 'body',
      moldId: inMold.id,
      pieces: 6,
      fillFraction: 1,
      jugLossFraction: 0,
      note: '',
      pours: pours.map((pour, index) => ({
        baseId: (pour.base ?? base()).id,
        size: pour.size === undefined ? { by: 'parts', parts: pour.parts ?? 1 } : sizeOf(pour.size),
        doses: [
          ...(pour.doses ?? []).map(([material, text, wetIn]) => ({
            ...dose(material.id, text, wetIn),
            ...((pour.way?.sameJug || pours[index + 1]?.way?.sameJug) && !pour.added
              ? { counts: 'content' as const }
              : {}),
          })),
          ...(pour.laid ?? []).map(([material, text, where]) => ({
            ...dose(material.id, text),
            laid: { where },
          })),
        ],
        ...(pour.way ? { way: pour.way } : {}),
        ...(pour.embeds ? { embeds: pour.embeds } : {}),
        ...(pour.when ? { when: pour.when } : {}),
      })),
      ...plan,
    }),
    mold: inMold,
    materials: [...materials.values()],
  };
}

/** The size of a pour as it is typed. */
export function sizeOf(text: string): PourSize {
  const read = parsePourSize(text);
  if (!read.success) throw new Error(`${text}: ${read.error}`);
  return read.data;
}

/** 80 x 50 x 25 mm: 100 mL, 4 mL a millimetre. */
export const BOX = mold({
  capacityMl: 100,
  shape: { kind: 'box', lengthMm: 80, widthMm: 50, depthMm: 25, draftDeg: 0, cornerMm: 0 },
});

export function scrap(over: Partial<Scrap> = {}): Scrap {
  return {
    ...common,
    id: 'scrap-1',
    kind: 'scrap',
    name: 'Test offcuts',
    inci: null,
    densityGPerMl: 1.05,
    colour: '#6d8a4f',
    holds: null,
    melts: 1,
    ...over,
  };
}

export function piece(over: Partial<Piece> = {}): Piece {
  return {
    ...common,
    id: 'piece-1',
    kind: 'piece',
    name: 'Test figure',
    pieceG: 5,
    pieceMl: 4,
    heightMm: 10,
    ...over,
  };
}

/** Pieces set into a pour, one in each bar unless more is said. */
export function pieces(
  materialId: string,
  over: Partial<Extract<DraftEmbed, { as: 'pieces' }>> = {},
): DraftEmbed {
  return {
    as: 'pieces',
    from: { is: 'shelf', materialId },
    perPiece: 1,
    size: null,
    heightMm: null,
    liftMm: 0,
    standsOutMm: 0,
    ...over,
  };
}

/** A piece of a plan that is called Boat. */
export function boat(over: Partial<MadePiece> = {}): MadePiece {
  return {
    planId: 'boat',
    name: 'Boat',
    pieceG: 5,
    pieceMl: 5,
    heightMm: 12,
    colour: null,
    ofBase: null,
    ...over,
  };
}

export function sheetOf(file: PlanFile): Sheet {
  const made = makeSheet(file);
  if (!made.success) throw new Error(`no sheet: ${made.error.code}`);
  return made.data;
}

/** Asserting within a relative error, for figures that are exact but for rounding. */
export function isClose(actual: number, expected: number, relative = 1e-9): boolean {
  return Math.abs(actual - expected) <= relative * Math.max(1e-300, Math.abs(expected));
}

/** Ids of the materials that plans name, as the core reads them. */
export function namedBy(plans: readonly Plan[]): Set<string> {
  return new Set(plans.flatMap((plan) => [...namedMaterials(plan, new Map()).keys()]));
}
