import { type Fillings, meltOfFillings } from '../pours/leastMelt';
import { jugGroups } from '../pours/sharedJug';
import type { RecipePour } from './recipe';
import type { Amount } from './recipeDose';
import type { CarriedLine, RecipeLine } from './recipeLine';
import { baseMassForVolume, pourSums } from './solvePour';

const MOST_TURNS = 60;
const SETTLED = 1e-13;

/**
 * What the jugs hold whose pours go on in them. A dose is added to the whole jug before its pour, so it is shared by
 * that pour and by all that follow: with R the base that is still in the jug, s · R + f of it makes s + f / R of base
 * in each of them. A dose that is told as the content of its pour is taken as it is told.
 *
 * The base weights that R sums up follow from the doses again, so the two are brought to agree in turns.
 *
 * Where more is melted than the pours take, R has that too, up to the last of them.
 *
 * @param jugVolumesMl what each pour takes up in its jug
 */
export function jugContents(
  recipe: readonly RecipePour[],
  jugVolumesMl: readonly number[],
  fillings: Fillings,
): RecipePour[] {
  const pours = [...recipe];
  for (const group of jugGroups(recipe)) {
    if (!group.some((index) => recipe[index]?.lines.some(isAdded))) continue;
    let baseG = group.map((index) => baseOf(pours[index], jugVolumesMl[index]));
    if (group.length === 1 && !isMeltedBeyond(baseG, fillings)) continue;
    for (let turn = 0; turn < MOST_TURNS; turn++) {
      const ofPoursG = baseG.reduce((sum, each) => sum + each, 0);
      const overG = meltOfFillings(ofPoursG, fillings) - ofPoursG;
      const left = group.map((_, place) => ({
        forPoursG: baseG.slice(place).reduce((sum, each) => sum + each, 0),
        overG,
      }));
      group.forEach((index, place) => {
        pours[index] = inJug(recipe, group.slice(0, place + 1), left);
      });
      const next = group.map((index) => baseOf(pours[index], jugVolumesMl[index]));
      const moved = Math.max(...next.map((each, place) => Math.abs(each / (baseG[place] ?? each) - 1)));
      baseG = next;
      if (!(moved > SETTLED)) break;
    }
  }
  return pours;
}

/** What a pour of its own takes may be less than melts well. */
function isMeltedBeyond([baseG = 0]: readonly number[], fillings: Fillings): boolean {
  return meltOfFillings(baseG, fillings) > baseG;
}

function isAdded({ counts }: RecipeLine): boolean {
  return counts === 'added';
}

/** A pour without room for base has none of it here; the sheet says so. */
function baseOf(pour: RecipePour | undefined, volumeMl = 0): number {
  return pour ? Math.max(1e-9, baseMassForVolume(pourSums(pour), volumeMl)) : 1e-9;
}

/** Base in a jug: for the pours that are still to come, and what will be left over. */
interface Left {
  forPoursG: number;
  overG: number;
}

/** @param left in the jug before each of the group's pours */
function inJug(recipe: readonly RecipePour[], soFar: readonly number[], left: readonly Left[]): RecipePour {
  const own = recipe[soFar.at(-1) ?? 0];
  if (!own) throw new RangeError('a jug without a pour');
  return {
    ...own,
    lines: own.lines.map((line) => (isAdded(line) ? spreadLine(line, left[soFar.length - 1]) : line)),
    carried: soFar.slice(0, -1).flatMap((fromPourIndex, place) =>
      (recipe[fromPourIndex]?.lines ?? [])
        .filter((line) => isAdded(line) && !line.leaves)
        .map(
          (line): CarriedLine => ({
            ...spreadLine(line, left[place]),
            fromPourIndex,
          }),
        ),
    ),
  };
}

function spreadLine(line: RecipeLine, left: Left = { forPoursG: 1, overG: 0 }): RecipeLine {
  const { amount, byEye, isEach } = line;
  const jugG = isEach ? left.forPoursG : left.forPoursG + left.overG;
  return {
    ...line,
    amount: spread(amount, jugG),
    byEye: byEye?.most ? { most: spread(byEye.most, jugG) } : byEye,
  };
}

/** What was added to so much base, as a share of it. */
function spread({ shareOfBase, fixedG }: Amount, jugG: number): Amount {
  return { shareOfBase: shareOfBase + fixedG / jugG, fixedG: 0 };
}
