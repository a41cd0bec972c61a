import { cavitiesFilled, cavityCount, secondShare } from '../molds/filled';
import { cavityOf, rememberingCavityOf } from './cavity';
import type { PlacedEmbed } from './displaced';
import { displacedMl } from './displaced';
import type { Filling } from './filling';
import { CLOSE_ML, layOut, type SizedPour, slotsOf } from './layOut';
import type { PlanFile } from './plan';
import type { RecipePour } from './recipe';
import type { SizeFault } from './sizeFault';

/** Where a pour lies in one cavity, over the middle of its floor. Heights are null where the shape is not known. */
export interface PourRoom {
  /** What it takes up, with what is set into it. */
  volumeMl: number;
  /** What is set into it takes so much of that. */
  displacedMl: number;
  /** Of that, what fills a share of the room; pieces, and what is laid, are the same in any cavity. */
  fillingMl: number;
  fromMm: number | null;
  toMm: number | null;
  /** Height of its surface's plane over the middle; a wedge may not reach the middle. */
  surfaceMm: number | null;
}

/**
 * What is set into a pour takes so much of its room, mL, in so many cavities, which together hold as much as `fills` of the
 * first: fillings go with the room, pieces with the cavities.
 */
export function displacedIn(
  { displacedMl: allMl, fillingMl }: Pick<PourRoom, 'displacedMl' | 'fillingMl'>,
  { fills, cavities }: { fills: number; cavities: number },
): number {
  return fills === cavities ? allMl * fills : (allMl - fillingMl) * cavities + fillingMl * fills;
}

const SETTLED_ML = 1e-6;

const MOST_TURNS = 24;

/**
 * The volume of every pour in one cavity. Pours are laid down in their order; those that are said in parts, and the
 * rest, share what the others leave of the fill. What is set into a pour takes up some of its room.
 *
 * A level only rises with the size of a part, so one search finds it; where no size depends on the level below, it is
 * a division. Pieces that stand out of their pour reach into others by heights, which follow from the volumes, so the
 * two are brought to agree in turns.
 */
export function pourVolumes(
  { plan, mold, secondMold }: Pick<PlanFile, 'plan' | 'mold' | 'secondMold'>,
  recipe: readonly SizedPour[],
  filling: Filling,
): { rooms: PourRoom[]; faults: SizeFault[] } {
  const leans = plan.pours.some(({ way }) => way?.lean !== undefined);
  // Level, a figure is quicker worked out than looked up.
  const cavity = leans ? rememberingCavityOf(mold) : cavityOf(mold);
  const slots = slotsOf(plan.pours);
  const embeds = recipe.map((pour) => pour.embeds);
  const hasEmbeds = embeds.some((each) => each.length > 0);
  const molds = { mold, secondMold };
  const cavities = cavityCount(molds, filling.fills);
  const perFill = cavities / filling.fills;
  const laid = recipe.map((pour) => laidMl(pour) / cavities);
  let displaced = laid;
  let fillings = recipe.map(() => 0);
  const lie = () =>
    layOut(
      plan,
      mold,
      recipe,
      filling,
      slots,
      displaced.map((each, index) =>
        displacedIn({ displacedMl: each, fillingMl: fillings[index] ?? 0 }, { fills: 1, cavities: perFill }),
      ),
      cavity,
    );
  let found = lie();
  for (let turn = 0; hasEmbeds && turn < MOST_TURNS; turn++) {
    const next = displacedMl(embeds, found.lying).map((each, index) => each + (laid[index] ?? 0));
    const moved = Math.max(...next.map((each, index) => Math.abs(each - (displaced[index] ?? 0))));
    if (moved < SETTLED_ML) break;
    displaced = next;
    fillings = found.lying.map(({ volumeMl }, index) => fillingShare(embeds[index] ?? []) * volumeMl);
    found = lie();
  }
  const rooms = found.lying.map(
    ({ volumeMl, fromMm, toMm, surfaceMm }, index): PourRoom => ({
      volumeMl,
      displacedMl: displaced[index] ?? 0,
      fillingMl: fillings[index] ?? 0,
      fromMm,
      toMm,
      surfaceMm,
    }),
  );
  // What is set into a cavity of the second mold must fit there too.
  const least = cavitiesFilled(molds, filling.fills).second > 0 ? Math.min(1, secondShare(molds)) : 1;
  const outgrown = rooms.flatMap((room, pourIndex): SizeFault[] => {
    const offMl = displacedIn(room, { fills: least, cavities: 1 }) - room.volumeMl * least;
    return offMl > CLOSE_ML ? [{ code: 'embeds-outgrow', pourIndex, offMl, offMm: null }] : [];
  });
  return { rooms, faults: [...outgrown, ...found.faults] };
}

/** The share of a pour's room that its fillings take. */
function fillingShare(embeds: readonly PlacedEmbed[]): number {
  return embeds.reduce((sum, { embed }) => sum + (embed.as === 'filling' ? embed.ofRoom : 0), 0);
}

/** What is laid into a pour takes up some of its room; on its skin it lies above. */
function laidMl({ laid }: Pick<RecipePour, 'laid'>): number {
  let sum = 0;
  for (const { amount, densityGPerMl, leaves, laid: own } of laid)
    if (!leaves && own.where !== 'on-skin') sum += amount.fixedG / densityGPerMl;
  return sum;
}
