import { ombreDoses } from '../colour/ombre';
import { hexOf } from '../colour/rgb';
import { tintLight, USUAL_MM } from '../colour/tint';
import { dropMass } from '../materials/defaults';
import { fail, ok, type Result } from '../result';
import { writeFigure } from '../units/writeQuantity';
import { goOnInJug } from './goOnInJug';
import { makeSheet } from './makeSheet';
import { counting, dose, type Plan, type PlanFile, type Pour, retyped } from './plan';
import type { SheetPour } from './sheet';

/** Pours that go from pale to deep in one colorant. */
export interface OmbreWish {
  colorantId: string;
  fromIndex: number;
  toIndex: number;
  /** Doses of the first and the last, as they are said. */
  first: string;
  last: string;
  /** All from one jug, with more added before each pour. */
  oneJug: boolean;
  /** What is counted, or weighed to a step of the scale. */
  in: 'drops' | { stepG: number };
}

export interface OmbreRung {
  pourIndex: number;
  /** Drops or grams that are added before this pour. */
  add: number;
  ofBase: number;
  hex: string;
}

export type OmbreFault =
  | 'no-colorant'
  | 'too-few-pours'
  | 'first-unread'
  | 'last-unread'
  | 'not-deeper'
  | 'no-sheet';

/**
 * Doses in equal visible steps between two that are said, each rounded to what can be measured. Where all go on in one
 * jug, a dose is what is added before its pour.
 */
export function ombrePlan(
  file: PlanFile,
  wish: OmbreWish,
): Result<{ plan: Plan; rungs: OmbreRung[] }, OmbreFault> {
  const colorant = file.materials.find(({ id }) => id === wish.colorantId);
  if (colorant?.kind !== 'colorant') return fail('no-colorant');
  const places = placesOf(wish);
  if (places.length < 2 || wish.toIndex >= file.plan.pours.length) return fail('too-few-pours');
  for (const [text, fault] of [
    [wish.first, 'first-unread'],
    [wish.last, 'last-unread'],
  ] as const)
    if (dose(colorant.id, text).means === null) return fail(fault);

  // What the ends are told as is what their pours hold.
  const shape = withDoses(
    file.plan,
    wish,
    (place) => (place === wish.toIndex ? wish.last : wish.first),
    'content',
  );
  const ends = poursOf(file, shape);
  const [from, to] = [wish.fromIndex, wish.toIndex].map((index) => shareIn(ends?.[index], colorant.id));
  const palest = ends?.[wish.fromIndex];
  if (from === undefined || to === undefined || !palest) return fail('no-sheet');
  if (!(to > from)) return fail('not-deeper');

  const thicknessMm =
    palest.fromMm === null || palest.toMm === null ? USUAL_MM : Math.max(1, palest.toMm - palest.fromMm);
  const lightAt = (ofBase: number) => tintLight(palest.base.look, [{ colorant, ofBase }], thicknessMm);
  const wanted = ombreDoses(places.length, from, to, lightAt);
  const unitG = wish.in === 'drops' ? dropMass(colorant).value : wish.in.stepG;
  return measured(file, shape, wish, wanted, unitG, (ofBase) => hexOf(lightAt(ofBase)));
}

/** Base weights move a little with the doses in them, so the shares are set twice from the same counts. */
const TURNS = 3;

function measured(
  file: PlanFile,
  shape: Plan,
  wish: OmbreWish,
  wanted: readonly number[],
  unitG: number,
  colourAt: (ofBase: number) => string,
): Result<{ plan: Plan; rungs: OmbreRung[] }, OmbreFault> {
  const places = placesOf(wish);
  const jugShape = wish.oneJug
    ? places.slice(1).reduce((each, place) => (goesOn(each, place) ? goOnInJug(each, place) : each), shape)
    : shape;
  let plan = shape;
  let units: number[] | null = null;
  let shares: number[] = [];
  for (let turn = 0; turn < TURNS; turn++) {
    const pours = poursOf(file, plan);
    if (!pours) return fail('no-sheet');
    const baseG = places.map((place) => pours[place]?.baseG ?? 0);
    const stirredG = places.map((_, rung) =>
      wish.oneJug ? baseG.slice(rung).reduce((sum, each) => sum + each, 0) : (baseG[rung] ?? 0),
    );
    units ??= countUnits(wanted, stirredG, unitG, wish.oneJug);
    shares = sharesOf(units, stirredG, unitG, wish.oneJug);
    const texts = units.map((count) => textOf(wish, count, unitG));
    plan = withDoses(jugShape, wish, (place) => texts[place - wish.fromIndex] ?? wish.first, 'added');
  }
  const perUnit = wish.in === 'drops' ? 1 : unitG;
  const rungs = places.map((pourIndex, rung) => ({
    pourIndex,
    add: (units?.[rung] ?? 0) * perUnit,
    ofBase: shares[rung] ?? 0,
    hex: colourAt(shares[rung] ?? 0),
  }));
  return ok({ plan, rungs });
}

/** How many drops or steps go in before each pour. */
function countUnits(
  wanted: readonly number[],
  stirredG: readonly number[],
  unitG: number,
  oneJug: boolean,
): number[] {
  let inJug = 0;
  return wanted.map((share, rung) => {
    const count = Math.max(0, Math.round(((share - (oneJug ? inJug : 0)) * (stirredG[rung] ?? 0)) / unitG));
    inJug += (count * unitG) / (stirredG[rung] ?? 1);
    return count;
  });
}

function sharesOf(
  units: readonly number[],
  stirredG: readonly number[],
  unitG: number,
  oneJug: boolean,
): number[] {
  let inJug = 0;
  return units.map((count, rung) => {
    const added = (count * unitG) / (stirredG[rung] ?? 1);
    inJug += added;
    return oneJug ? inJug : added;
  });
}

function textOf({ in: unit }: OmbreWish, count: number, unitG: number): string {
  return unit === 'drops'
    ? `${count} ${count === 1 ? 'drop' : 'drops'}`
    : `${writeFigure(count * unitG, 4)} g`;
}

function placesOf({ fromIndex, toIndex }: OmbreWish): number[] {
  return Array.from({ length: Math.max(0, toIndex - fromIndex + 1) }, (_, rung) => fromIndex + rung);
}

function withDoses(
  plan: Plan,
  wish: OmbreWish,
  textAt: (pourIndex: number) => string,
  counts: 'content' | 'added',
): Plan {
  const baseId = plan.pours[wish.fromIndex]?.baseId;
  return {
    ...plan,
    pours: plan.pours.map((pour, index): Pour => {
      if (index < wish.fromIndex || index > wish.toIndex) return pour;
      const text = textAt(index);
      const has = pour.doses.some(({ materialId }) => materialId === wish.colorantId);
      const doses = has
        ? pour.doses.map((each) =>
            each.materialId === wish.colorantId ? counting(retyped(each, text), counts) : each,
          )
        : [
            { ...dose(wish.colorantId, text), id: `${pour.id}-${wish.colorantId}`.slice(0, 64) },
            ...pour.doses,
          ];
      const { sameJug: _, ...way } = pour.way ?? {};
      const goesOn = wish.oneJug && index > wish.fromIndex && pour.baseId === baseId;
      const next = goesOn ? { ...way, sameJug: true as const } : way;
      const { way: __, ...rest } = pour;
      return Object.keys(next).length > 0 ? { ...rest, doses, way: next } : { ...rest, doses };
    }),
  };
}

function goesOn({ pours }: Plan, place: number): boolean {
  return pours[place]?.way?.sameJug === true;
}

function poursOf(file: PlanFile, plan: Plan): readonly SheetPour[] | null {
  const made = makeSheet({ ...file, plan });
  return made.success ? made.data.pours : null;
}

function shareIn(pour: SheetPour | undefined, materialId: string): number | undefined {
  return pour?.lines.find(({ material, wets }) => material.id === materialId && !wets)?.ofBase;
}
