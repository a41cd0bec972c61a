import assert from 'node:assert/strict';
import test from 'node:test';
import highsLoader from 'highs';
import { ingredientsOf, type Pack } from '../../src/core/ingredients/ingredients';
import { mostOfPack } from '../../src/core/materials/packOrder';
import { seededRandom } from '../../src/core/seededRandom';

/**
 * Bounds of ingredients against HiGHS (Q. Huangfu and J. A. J. Hall, 2018), which is told the same in another way: one mixed
 * integer program for the whole mix, with a switch for each place that is above its pack's line.
 */
const highs = await highsLoader();
const LINE = 0.01;

interface Mix {
  packs: (Pack & { inci: string[] })[];
  names: string[];
}

/** Packs from a composition that is there, so that no list contradicts what is known of it. */
function mixOf(random: () => number): Mix {
  const all = Array.from({ length: 12 }, (_, place) => `I${place}`);
  const packs = Array.from({ length: 1 + Math.floor(random() * 4) }, (_, place) => {
    const list = all.filter(() => random() < 0.4).sort(() => random() - 0.5);
    const inci = list.length > 0 ? list : ['I0'];
    const raw = inci.map(() => random() ** 4 + 1e-4);
    const sum = raw.reduce((total, each) => total + each, 0);
    const shares = raw.map((each) => each / sum).sort((a, b) => b - a);
    // Below the line in any order.
    const above = shares.filter((share) => share > LINE);
    const below = shares.filter((share) => share <= LINE).sort(() => random() - 0.5);
    const placed = [...above, ...below];
    const known = new Map(
      inci.flatMap((name, at): [string, number][] => (random() < 0.2 ? [[name, placed[at] ?? 0]] : [])),
    );
    return { name: `P${place}`, massG: 1 + random() * 500, inci, known };
  });
  return { packs, names: [...new Set(packs.flatMap(({ inci }) => inci))] };
}

/**
 * The most of a weighted sum of the mix’s ingredients, by the other solver; null where there is none.
 *
 * @param above an ingredient that stands above the line of a pack
 */
function byHighs({ packs }: Mix, weights: ReadonlyMap<string, number>, above?: string): number | null {
  const wholeG = packs.reduce((sum, { massG }) => sum + massG, 0);
  const [terms, rows, bounds, binaries]: string[][] = [[], [], [], []];
  packs.forEach(({ inci, massG, known }, p) => {
    const x = (j: number) => `x${p}_${j}`;
    const a = (j: number) => `a${p}_${j}`;
    rows?.push(`${inci.map((_, j) => x(j)).join(' + ')} = 1`);
    inci.forEach((name, j) => {
      const weight = ((weights.get(name) ?? 0) * massG) / wholeG;
      if (weight !== 0) terms?.push(`${weight < 0 ? '-' : '+'} ${Math.abs(weight)} ${x(j)}`);
      rows?.push(`${x(j)} - ${LINE} ${a(j)} >= 0`, `${x(j)} - ${1 - LINE} ${a(j)} <= ${LINE}`);
      if (j + 1 < inci.length)
        rows?.push(`${a(j)} - ${a(j + 1)} >= 0`, `${x(j)} - ${x(j + 1)} - ${a(j + 1)} >= -1`);
      const share = known?.get(name);
      bounds?.push(share === undefined ? `0 <= ${x(j)} <= 1` : `${x(j)} = ${share}`);
      binaries?.push(a(j));
    });
  });
  const switches = packs.flatMap(({ inci }, p) =>
    inci.flatMap((name, j) => (name === above ? [`a${p}_${j}`] : [])),
  );
  if (above !== undefined) rows?.push(`${switches.join(' + ')} >= 1`);
  const solved = highs.solve(
    `Maximize\n obj: ${terms?.join(' ') || '0 x0_0'}\nSubject To\n${rows?.map((row, n) => ` r${n}: ${row}`).join('\n')}\nBounds\n${bounds?.join('\n')}\nBinary\n ${binaries?.join(' ')}\nEnd`,
    { mip_rel_gap: 0, mip_abs_gap: 0, primal_feasibility_tolerance: 1e-9 },
  );
  return solved.Status === 'Optimal' ? solved.ObjectiveValue : null;
}

test('bounds of ingredients, and of neighbours’ differences, are those of an independent solver, in 300 random mixes', () => {
  const random = seededRandom(20_261);
  let compared = 0;
  for (let mix = 0; mix < 300; mix++) {
    const of = mixOf(random);
    const { list, contradicted } = ingredientsOf(of.packs);
    assert.deepEqual(contradicted, [], `mix ${mix}`);
    const at = Math.floor(random() * list.length);
    const [one, next] = [list[at], list[at + 1]];
    assert.ok(one);
    const most = byHighs(of, new Map([[one.name, 1]]));
    const least = byHighs(of, new Map([[one.name, -1]]));
    assert.ok(most !== null && least !== null);
    const says = `mix ${mix}, ${one.name}: ${one.least} to ${one.most}, and ${-least} to ${most}`;
    assert.ok(Math.abs(one.most - most) < 1e-6 && Math.abs(one.least + least) < 1e-6, says);
    compared += 2;
    if (!next) continue;
    const signs = new Map([
      [next.name, 1],
      [one.name, -1],
    ]);
    // Below every line it may stand anywhere among such.
    const swap = byHighs(of, signs, next.name);
    if (swap === null || Math.abs(swap) > 1e-6)
      assert.equal(
        one.maySwap,
        swap !== null && swap > 0,
        `mix ${mix}, ${one.name} and ${next.name}: ${swap}`,
      );
    compared++;
  }
  assert.ok(compared > 700, String(compared));
});

test('a pack by hand: halves and thirds, what stands above a known share, and below the line', () => {
  const most = (count: number, known: [number, number][], weights: [number, number][]) =>
    mostOfPack({ count, known: new Map(known) }, new Map(weights));
  const isNear = (actual: number | null, expected: number) =>
    assert.ok(actual !== null && Math.abs(actual - expected) < 1e-9, `${actual}, not ${expected}`);
  isNear(most(1, [], [[0, 1]]), 1);
  isNear(most(3, [], [[2, 1]]), 1 / 3);
  isNear(most(3, [], [[1, 1]]), 1 / 2);
  // The first is a third at the least.
  isNear(most(3, [], [[0, -1]]), -1 / 3);
  // With 0.2 known in the middle, the last is 0.2 at the most, and the first 0.8 at the most.
  isNear(most(3, [[1, 0.2]], [[2, 1]]), 0.2);
  isNear(most(3, [[1, 0.2]], [[0, 1]]), 0.8);
  // Known as half a percent it is below the line: the one after it may be a whole percent.
  isNear(most(3, [[1, 0.005]], [[2, 1]]), 0.01);
  // What is known in a rising order contradicts itself.
  assert.equal(
    most(
      2,
      [
        [0, 0.3],
        [1, 0.7],
      ],
      [[0, 1]],
    ),
    null,
  );
});
