import { jugGroups } from '../pours/sharedJug';
import type { CarriedLine, RecipeLine, RecipePour } from './recipe';
import type { Amount } from './recipeDose';
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
 * @param jugVolumesMl what each pour takes up in its jug
 */
export function jugContents(recipe: readonly RecipePour[], jugVolumesMl: readonly number[]): RecipePour[] {
  const pours = [...recipe];
  for (const group of jugGroups(recipe)) {
    if (group.length < 2 || !group.some((index) => recipe[index]?.lines.some(isAdded))) continue;
    let baseG = group.map((index) => baseOf(pours[index], jugVolumesMl[index]));
    for (let turn = 0; turn < MOST_TURNS; turn++) {
      const left = group.map((_, place) => baseG.slice(place).reduce((sum, each) => sum + each, 0));
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

function isAdded({ counts }: RecipeLine): boolean {
  return counts === 'added';
}

/** A pour without room for base has none of it here; the sheet says so. */
function baseOf(pour: RecipePour | undefined, volumeMl = 0): number {
  return pour ? Math.max(1e-9, baseMassForVolume(pourSums(pour), volumeMl)) : 1e-9;
}

/** @param left base in the jug before each of the group's pours */
function inJug(recipe: readonly RecipePour[], soFar: readonly number[], left: readonly number[]): RecipePour {
  const own = recipe[soFar.at(-1) ?? 0];
  if (!own) throw new RangeError('a jug without a pour');
  return {
    ...own,
    lines: own.lines.map((line) => (isAdded(line) ? spreadLine(line, left[soFar.length - 1] ?? 1) : line)),
    carried: soFar.slice(0, -1).flatMap((fromPourIndex, place) =>
      (recipe[fromPourIndex]?.lines ?? [])
        .filter((line) => isAdded(line) && !line.leaves)
        .map(
          (line): CarriedLine => ({
            ...spreadLine(line, left[place] ?? 1),
            fromPourIndex,
          }),
        ),
    ),
  };
}

function spreadLine(line: RecipeLine, leftG: number): RecipeLine {
  const { amount, byEye } = line;
  return {
    ...line,
    amount: spread(amount, leftG),
    byEye: byEye?.most ? { most: spread(byEye.most, leftG) } : byEye,
  };
}

/** What was added to so much base, as a share of it. */
function spread({ shareOfBase, fixedG }: Amount, leftG: number): Amount {
  return { shareOfBase: shareOfBase + fixedG / leftG, fixedG: 0 };
}
