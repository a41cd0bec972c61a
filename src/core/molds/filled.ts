import { barsPerCavity, cavitiesOf, type SlicedMold } from './bars';
import type { Mold } from './mold';

export type FilledMold = SlicedMold & Pick<Mold, 'cavities' | 'copies' | 'capacityMl'>;

/**
 * The mold of a plan, and the one that takes what goes beyond it in every round. Both are filled to the same share of their
 * capacity, with the pours in the same proportions, so a cavity of the second counts as so many of the first.
 */
export interface Molds<M extends FilledMold = FilledMold> {
  mold: M;
  secondMold?: M | null | undefined;
}

/** Closer to a whole number of cavities is one. */
const CRUMB = 1e-9;

function snapped(count: number): number {
  const nearest = Math.round(count);
  return Math.abs(count - nearest) <= CRUMB * Math.max(1, nearest) ? nearest : count;
}

/** What a cavity of the second mold holds of one of the first; 1 where there is none. */
export function secondShare({ mold, secondMold }: Molds): number {
  return secondMold ? secondMold.capacityMl / mold.capacityMl : 1;
}

/** How many cavities of the first mold a round comes to. */
export function roundFills(molds: Molds): number {
  const { mold, secondMold } = molds;
  return cavitiesOf(mold) + (secondMold ? cavitiesOf(secondMold) * secondShare(molds) : 0);
}

/** Cavities that are filled, over all rounds; the last of either may be filled in part. */
export interface CavitiesFilled {
  first: number;
  second: number;
}

/** The cavities that so many fills are: in each round the first mold, then the second. */
export function cavitiesFilled(molds: Molds, fills: number): CavitiesFilled {
  const { mold, secondMold } = molds;
  if (!secondMold) return { first: fills, second: 0 };
  const perRound = roundFills(molds);
  const rounds = Math.floor(snapped(fills / perRound));
  const rest = Math.max(0, fills - rounds * perRound);
  const cavities = cavitiesOf(mold);
  const beyond = rest > cavities * (1 + CRUMB) ? (rest - cavities) / secondShare(molds) : 0;
  return {
    first: rounds * cavities + snapped(Math.min(rest, cavities)),
    second: rounds * cavitiesOf(secondMold) + snapped(beyond),
  };
}

/** The molds that something is poured into: the second only where something goes beyond the first. */
export function moldsFilled<M extends FilledMold>(molds: Molds<M>, fills: number): M[] {
  const { mold, secondMold } = molds;
  return secondMold && cavitiesFilled(molds, fills).second > 0 ? [mold, secondMold] : [mold];
}

/** All of them, of either mold. */
export function cavityCount(molds: Molds, fills: number): number {
  const { first, second } = cavitiesFilled(molds, fills);
  return first + second;
}

/** How many pieces so many fills are; a last one in part where its cavity is. */
export function piecesOf(molds: Molds, fills: number): number {
  return piecesIn(molds, fills, (cavities) => cavities);
}

/** Pieces that come out, one of a last cavity in part among them. */
export function piecesMadeOf(molds: Molds, fills: number): number {
  return piecesIn(molds, fills, Math.ceil);
}

/** Pieces that are whole. */
export function wholePiecesOf(molds: Molds, fills: number): number {
  return piecesIn(molds, fills, Math.floor);
}

function piecesIn(molds: Molds, fills: number, counted: (cavities: number) => number): number {
  const { mold, secondMold } = molds;
  const { first, second } = cavitiesFilled(molds, fills);
  const ofSecond = secondMold ? counted(second) * barsPerCavity(secondMold) : 0;
  return counted(first) * barsPerCavity(mold) + ofSecond;
}

/**
 * How many cavities are filled for so many pieces: whole ones, so that a last loaf may give more bars than are asked for.
 * Those of a second mold count as so many of the first.
 */
export function fillsFor(pieces: number, molds: Molds): number {
  const { mold, secondMold } = molds;
  const bars = barsPerCavity(mold);
  if (!secondMold) return Math.ceil(pieces / bars);
  const ofFirst = cavitiesOf(mold) * bars;
  const secondBars = barsPerCavity(secondMold);
  const perRound = ofFirst + cavitiesOf(secondMold) * secondBars;
  const rounds = Math.floor(pieces / perRound);
  const rest = pieces - rounds * perRound;
  const first = Math.ceil(Math.min(rest, ofFirst) / bars);
  const second = Math.ceil(Math.max(0, rest - first * bars) / secondBars);
  return rounds * roundFills(molds) + first + second * secondShare(molds);
}
