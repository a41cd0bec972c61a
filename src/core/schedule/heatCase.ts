import type { HeatCavity } from '../heat/cavity';
import { type MeltingSubstance, PLASTIC, SILICONE, SOFTWOOD, STEEL, type Substance } from '../heat/substance';
import { substanceOf, tooThickC, waterActivityOf } from '../heat/substanceOf';
import type { HouseRules } from '../houseRules/houseRules';
import { ceiling } from '../materials/defaults';
import type { Mold } from '../molds/mold';
import { areaAtMm2, depthMm, isKnown, outlineAt, spanAtMm } from '../molds/shape';
import type { Outline } from '../molds/solids/outline';
import type { RoomOfPlan } from '../plan/making';
import type { Sheet, SheetPour } from '../plan/sheet';
import { layerGroups } from '../pours/layers';
import { pourTempC } from '../pours/pourTemp';

/** A loss scale that was learnt, and how well; null where nobody has taught one. */
export interface Learnt {
  scale: number;
  /** Relative. */
  spread: number;
}

/** What is poured at one time: a pour, with those that go in beside it. */
export interface HeatLayer {
  pourIndexes: number[];
  letters: string;
  substance: MeltingSubstance;
  thicknessM: number;
  cavity: HeatCavity;
  /** A stream, or spooned and dripped. */
  how: 'stream' | 'spread';
  /** How warm it is poured. */
  atC: number;
  /** Wait after the layer before that the crafter chose; null where it is left to the pour plan. */
  afterS: number | null;
  tooThickC: number;
  ceilingC: number;
}

/** All that heat asks of a plan, and nothing else: what is the same here has the same times. */
export interface HeatCase {
  layers: HeatLayer[];
  room: RoomOfPlan;
  waterActivity: number;
  moldLearnt: Learnt | null;
  freezerS: number | null;
  /** Cold enough to come out of its mold, and to be cut; the core. */
  unmoldC: number;
  cutC: number | null;
  /** The mold's shape is not known: a usual one stands in. */
  shapeAssumed: boolean;
}

const WALLS: Record<Mold['madeOf'], { substance: Substance; thicknessM: number; flexible: boolean }> = {
  silicone: { substance: SILICONE, thicknessM: 0.003, flexible: true },
  'thin-plastic': { substance: PLASTIC, thicknessM: 0.0008, flexible: true },
  wood: { substance: SOFTWOOD, thicknessM: 0.012, flexible: false },
  'food-container': { substance: PLASTIC, thicknessM: 0.0015, flexible: false },
  steel: { substance: STEEL, thicknessM: 0.0008, flexible: false },
  unknown: { substance: SILICONE, thicknessM: 0.003, flexible: true },
};

/** Tuned against practice: a flexible mold lets go sooner, a thin piece sooner still; cutting wants it cold. */
const UNMOLD_C = { flexible: 32, stiff: 28, thin: 38 } as const;
const THIN_M = 0.009;
const CUT_C = 26;
const CUT_OVER_ROOM_K = 3;

/** @throws RangeError when the sheet has no pour */
export function heatCaseOf(sheet: Sheet, rules: Pick<HouseRules, 'pourCeiling' | 'freezer'>): HeatCase {
  const { mold, making } = sheet;
  const shape = isKnown(mold.shape) ? mold.shape : null;
  const groups = layerGroups(sheet.pours);
  const layers = groups.map((pourIndexes, place): HeatLayer => {
    const pours = pourIndexes.flatMap((index) => sheet.pours[index] ?? []);
    const [first] = pours;
    if (!first) throw new RangeError('a sheet without a pour');
    const ml = pours.reduce((sum, { intoMoldMl, displacedMl }) => sum + intoMoldMl + displacedMl, 0);
    const { cavity, thicknessM } = layerIn(mold, first, ml / sheet.fills);
    const { base, when } = first;
    const ceilingC = ceiling(base).value;
    return {
      pourIndexes,
      letters: pours.map(({ letter }) => letter).join(' and '),
      substance: substanceOf(base),
      thicknessM,
      cavity,
      how: first.way.dropped ? 'spread' : 'stream',
      atC: pourTempC(sheet, pourIndexes[0] ?? 0, rules),
      afterS: place === 0 || when.afterMin === undefined ? null : when.afterMin * 60,
      tooThickC: tooThickC(base),
      ceilingC,
    };
  });
  const wholeM = layers.reduce((sum, { thicknessM }) => sum + thicknessM, 0);
  const top = sheet.pours.at(-1);
  return {
    layers,
    room: making.room,
    waterActivity: top ? waterActivityOf(top.base) : 0.58,
    moldLearnt: mold.taught.at(-1) ?? null,
    freezerS: making.freezerMin === null || rules.freezer === 'never' ? null : making.freezerMin * 60,
    unmoldC:
      wholeM < THIN_M ? UNMOLD_C.thin : WALLS[mold.madeOf].flexible ? UNMOLD_C.flexible : UNMOLD_C.stiff,
    cutC: mold.sliceMm === null ? null : Math.max(CUT_C, making.room.tempC + CUT_OVER_ROOM_K),
    shapeAssumed: shape === null,
  };
}

/** A cavity that is half as deep as it is wide, where the shape is not known. Our own assumption. */
function layerIn(mold: Mold, pour: SheetPour, ml: number): Pick<HeatLayer, 'cavity' | 'thicknessM'> {
  const { substance, thicknessM: wallM } = WALLS[mold.madeOf];
  const wall = { substance, thicknessM: wallM };
  if (!isKnown(mold.shape)) {
    const widthM = Math.cbrt(2 * mold.capacityMl) / 100;
    const areaM2 = widthM ** 2;
    return {
      cavity: { areaM2, perimeterM: 4 * widthM, widthM, wall },
      thicknessM: leastM(ml / 1e6 / areaM2),
    };
  }
  const depth = depthMm(mold.shape);
  const [from, to] = [pour.fromMm ?? 0, pour.toMm ?? depth];
  const middleMm = Math.min(Math.max((from + to) / 2, depth * 0.02), depth * 0.98);
  const areaM2 = areaAtMm2(mold.shape, middleMm) / 1e6;
  const widthM =
    Math.min(
      ...(['length', 'width'] as const).map((axis) => {
        const [a, b] = isKnown(mold.shape) ? spanAtMm(mold.shape, middleMm, axis) : [0, 0];
        return b - a;
      }),
    ) / 1000;
  return {
    cavity: {
      areaM2,
      perimeterM: perimeterMm(outlineAt(mold.shape, middleMm)) / 1000,
      widthM: Math.max(widthM, 0.002),
      wall,
    },
    thicknessM: leastM(ml / 1e6 / areaM2),
  };
}

/** Thinner than this is a spray. */
function leastM(thicknessM: number): number {
  return Math.max(0.0005, thicknessM);
}

function perimeterMm(outline: Outline): number {
  switch (outline.kind) {
    case 'circle':
      return Math.PI * outline.diameterMm;
    case 'rectangle':
      return 2 * (outline.lengthMm + outline.widthMm) - (8 - 2 * Math.PI) * outline.cornerMm;
    case 'rings':
      return outline.rings.reduce((sum, ring) => {
        let length = 0;
        for (let at = 0; at < ring.length; at += 2) {
          const next = at + 2 === ring.length ? 0 : at + 2;
          length += Math.hypot(
            (ring[next] ?? 0) - (ring[at] ?? 0),
            (ring[next + 1] ?? 0) - (ring[at + 1] ?? 0),
          );
        }
        return sum + length;
      }, 0);
  }
}
