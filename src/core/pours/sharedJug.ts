import type { DosedMaterial } from '../materials/material';

/** A line as far as its jug needs it. */
interface JugLine {
  doseIndex: number;
  material: Pick<DosedMaterial, 'id' | 'name'>;
  massG: number;
  wets: boolean;
  leaves: boolean;
  /** Added to the whole jug, its share of base is that of the whole jug. */
  counts?: 'content' | 'added';
}

interface JugPour {
  base: { id: string };
  baseG: number;
  lines: readonly JugLine[];
  way: { sameJug?: true | undefined };
}

/** What is done to a jug before one pour. */
export interface JugTurn {
  /** Base to melt; nothing where the pour goes on in the jug of the one before. */
  meltG: number;
  /** What is added of each line, g. Below zero, so much too much is in the jug already. */
  addG: number[];
  /** What the pour before had, and this one does not: it stays in the jug. */
  carried: { doseIndex: number; material: Pick<DosedMaterial, 'id' | 'name'> }[];
}

/** Places of the pours that share a jug, in the order they are poured. Only pours of one base can. */
export function jugGroups(pours: readonly Pick<JugPour, 'base' | 'way'>[]): number[][] {
  const groups: number[][] = [];
  pours.forEach(({ base, way }, index) => {
    const before = groups.at(-1);
    if (before && way.sameJug && pours[index - 1]?.base.id === base.id) before.push(index);
    else groups.push([index]);
  });
  return groups;
}

/**
 * What to melt and add before each pour, given what has left the jug already.
 *
 * All of a jug's base is melted at first. Before pour k it still holds R, the base of k and of all that follow, at the
 * strength c of the pour before; to bring a line to its strength, (c_k − c_{k−1}) · R is added. What is poured leaves at
 * the strength that it then has, so the sums over the pours are the sums of the sheet.
 *
 * @param meltOf base to melt for pours that take so much
 */
export function jugTurns(
  pours: readonly JugPour[],
  meltOf: (baseG: number) => number = (baseG) => baseG,
): JugTurn[] {
  const turns: JugTurn[] = [];
  for (const group of jugGroups(pours)) {
    let left = meltOf(group.reduce((sum, index) => sum + (pours[index]?.baseG ?? 0), 0));
    let before: { keys: Map<string, number>; pour: JugPour } | null = null;
    for (const index of group) {
      const pour = pours[index];
      if (!pour) continue;
      const remaining = left;
      const strengths = strengthsOf(pour);
      const addG = pour.lines.map((line, place) => {
        if (line.counts === 'added') return (line.massG / pour.baseG) * remaining;
        if (line.leaves) return 0;
        const key = strengths.keys[place] ?? '';
        return ((strengths.of.get(key) ?? 0) - (before?.keys.get(key) ?? 0)) * remaining;
      });
      // What leaves the hot base again only wets what is added now.
      pour.lines.forEach((line, place) => {
        if (!line.leaves || line.counts === 'added') return;
        const wetted = pour.lines.findIndex(({ doseIndex, wets }) => doseIndex === line.doseIndex && !wets);
        const whole = pour.lines[wetted]?.massG ?? 0;
        addG[place] = whole > 0 ? (line.massG * (addG[wetted] ?? 0)) / whole : line.massG;
      });
      const carried: JugTurn['carried'] = before
        ? before.pour.lines.filter(
            (line, place) =>
              line.counts !== 'added' &&
              !line.leaves &&
              line.massG > 0 &&
              !strengths.of.has(keysOf(before?.pour.lines ?? [])[place] ?? ''),
          )
        : [];
      turns.push({
        meltG: before === null ? remaining : 0,
        addG,
        carried: carried.map(({ doseIndex, material }) => ({ doseIndex, material })),
      });
      before = { keys: strengths.of, pour };
      left -= pour.baseG;
    }
  }
  return turns;
}

function strengthsOf({ lines, baseG }: JugPour) {
  const keys = keysOf(lines);
  const of = new Map<string, number>();
  lines.forEach(({ massG }, place) => {
    of.set(keys[place] ?? '', massG / baseG);
  });
  return { keys, of };
}

/** A material may be in a pour twice; the first of it goes on as the first. */
function keysOf(lines: readonly JugLine[]): string[] {
  const seen = new Map<string, number>();
  return lines.map(({ material, wets }) => {
    const name = `${material.id} ${wets}`;
    const count = seen.get(name) ?? 0;
    seen.set(name, count + 1);
    return `${name} ${count}`;
  });
}
