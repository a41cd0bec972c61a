import type { PlanEdit } from '../checks/planEdit';
import { waterActivityOf } from '../heat/substanceOf';
import type { Base } from '../materials/base';
import type { Material } from '../materials/material';
import { wettingIn } from '../plan/houseWetting';
import type { Sheet, SheetLine } from '../plan/sheet';
import type { BondMade, PouredLayer } from '../run/outcome';

/** One way to make it otherwise next time. */
export interface Change {
  edits: PlanEdit[];
  /** Name of what is taken off the shelf for it; null where nothing is. */
  takes: string | null;
}

/** So warm a pour melts into a skin that has gone cold. Common practice, no source. */
const HOT_ENOUGH_C = 57;
/** A window shorter than that is no moment to aim at. Our own assumption. */
const SHORTEST_WINDOW_S = 60;
/** Cooler than what a mold bears by so much. Our own assumption. */
const BELOW_MOLD_K = 3;
/** What stays in a jug until somebody weighs it. Common practice, no source. */
const USUAL_JUG_LOSS = 0.03;
/** So many other bases are offered. */
const MOST_BASES = 2;

/** The upper pour into the middle of its window, or hot enough for a cold skin. */
export function sooner(bond: BondMade, sheet: Sheet, ceilingC: number): Change[] {
  const { earliestS, latestS, tempC } = bond;
  const pourIndex = abovePour(bond, sheet);
  if (pourIndex === null) return [];
  return [
    ...(latestS - earliestS > SHORTEST_WINDOW_S ? [waiting(pourIndex, earliestS, latestS)] : []),
    ...(tempC < HOT_ENOUGH_C - 1 && HOT_ENOUGH_C <= ceilingC ? [heatedTo(pourIndex, HOT_ENOUGH_C)] : []),
  ];
}

/** The upper pour onto a thicker skin. */
export function later(bond: BondMade, sheet: Sheet): Change[] {
  const { earliestS, latestS } = bond;
  const pourIndex = abovePour(bond, sheet);
  return pourIndex === null
    ? []
    : [waiting(pourIndex, earliestS, Math.max(earliestS + SHORTEST_WINDOW_S, latestS))];
}

export function hotter({ pourIndexes: [pourIndex], ceilingC }: PouredLayer, atC: number): Change[] {
  return pourIndex === undefined || atC > ceilingC ? [] : [heatedTo(pourIndex, atC)];
}

export function coolerForMold({ pourIndexes: [pourIndex] }: PouredLayer, mostC: number): Change[] {
  return pourIndex === undefined ? [] : [heatedTo(pourIndex, Math.floor(mostC - BELOW_MOLD_K))];
}

export function withoutFreezer(): Change[] {
  return [{ edits: [{ kind: 'set-freezer', freezerMin: null }], takes: null }];
}

export function jugAllowance(): Change[] {
  return [{ edits: [{ kind: 'set-jug-loss', jugLossFraction: USUAL_JUG_LOSS }], takes: null }];
}

/** A powder in a paste of what stays in, or of alcohol where that is what the shelf has. */
export function wetted(pourIndex: number, { doseIndex }: SheetLine, shelf: readonly Material[]): Change[] {
  const wetIn = wettingIn(shelf, false) ?? wettingIn(shelf, true);
  if (!wetIn) return [];
  const takes = shelf.find(({ id }) => id === wetIn.dispersantId)?.name ?? null;
  return [{ edits: [{ kind: 'set-wetting', pourIndex, doseIndex, wetIn }], takes }];
}

/** Each piece in one of what the shelf has, where the plan has nothing to wrap it in. */
export function wrapped({ packaging }: Sheet, shelf: readonly Material[]): Change[] {
  const first =
    packaging.length === 0 && shelf.find(({ kind, archived }) => kind === 'packaging' && !archived);
  if (!first) return [];
  const packed = { materialId: first.id, count: 1, forPieces: 1 };
  return [{ edits: [{ kind: 'add-packaging', packed }], takes: first.name }];
}

/** Another base that draws no water from air of this humidity, for all that is poured of the last one. */
export function drierBase({ pours }: Sheet, humidity: number, shelf: readonly Material[]): Change[] {
  const last = pours.at(-1);
  return last ? otherBase(pours, last.base, shelf, (base) => waterActivityOf(base) > humidity) : [];
}

/** Another base that holds what is stirred into this pour. */
export function holdingBase({ pours }: Sheet, pourIndex: number, shelf: readonly Material[]): Change[] {
  const pour = pours[pourIndex];
  if (!pour || pour.base.suspension === true) return [];
  return otherBase(pours, pour.base, shelf, ({ suspension }) => suspension === true, pourIndex);
}

/** Bases that look alike: of its own kind first, then by name. */
function otherBase(
  pours: Sheet['pours'],
  instead: Base,
  shelf: readonly Material[],
  isFit: (base: Base) => boolean,
  only: number | null = null,
): Change[] {
  const fit = shelf.filter(
    (each): each is Base =>
      each.kind === 'base' &&
      !each.archived &&
      each.id !== instead.id &&
      each.look === instead.look &&
      isFit(each),
  );
  const other = (base: Base) => (base.baseKind === instead.baseKind ? 0 : 1);
  return fit
    .sort((a, b) => other(a) - other(b) || a.name.localeCompare(b.name))
    .slice(0, MOST_BASES)
    .map(({ id: baseId, name: takes }) => ({
      takes,
      edits: pours.flatMap(({ base }, pourIndex): PlanEdit[] =>
        (only === null ? base.id === instead.id : only === pourIndex)
          ? [{ kind: 'set-base', pourIndex, baseId }]
          : [],
      ),
    }));
}

function abovePour({ above }: BondMade, { pours }: Sheet): number | null {
  const pourIndex = pours.findIndex(({ letter }) => above.startsWith(letter));
  return pourIndex < 0 ? null : pourIndex;
}

/** Nearer to the first moment than to the last: what is early can wait. */
function waiting(pourIndex: number, earliestS: number, latestS: number): Change {
  const afterMin = Math.max(1, Math.round((earliestS + Math.min(latestS - earliestS, 600) / 2) / 60));
  return { edits: [{ kind: 'set-when', pourIndex, afterMin }], takes: null };
}

function heatedTo(pourIndex: number, atC: number): Change {
  return { edits: [{ kind: 'set-when', pourIndex, atC }], takes: null };
}
