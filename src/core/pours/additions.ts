import type { DosedMaterial } from '../materials/material';

/**
 * Where a weighing goes: straight into the jug, into the beaker of actives, into a cup with its dispersant, or into a dish
 * from which it is laid.
 */
export const VESSELS = ['jug', 'beaker', 'cup', 'dish'] as const;
export type Vessel = (typeof VESSELS)[number];
export type MixingVessel = Extract<Vessel, 'beaker' | 'cup'>;

/** As much of a line as decides when it goes in. */
interface AddedLine {
  doseIndex: number;
  material: DosedMaterial;
  addG: number;
  wets: boolean;
}

/** One thing that is done to a jug before its pour. `id` is stable for a sheet: `dose-3`, `dose-3-2`, `beaker`. */
export type Addition = { id: string } & (
  | { kind: 'weigh'; lineIndex: number; into: Vessel }
  /** What was weighed into a beaker or a cup is stirred and added to the jug. */
  | { kind: 'stir-in'; lineIndexes: number[]; from: MixingVessel }
);

/** Less is no weighing, g. */
export const LEAST_G = 1e-6;

/** Common practice, no source: colour first, then fragrance once it has cooled a little, grit and petals last. */
const ORDER = ['colorant', 'actives', 'additive', 'dispersant', 'fragrance', 'solids'] as const;

function turnOf({ material }: AddedLine): (typeof ORDER)[number] {
  if (material.kind !== 'additive') return material.kind;
  if (material.role === 'grit' || material.role === 'botanical') return 'solids';
  return material.role === 'active' ? 'actives' : 'additive';
}

interface Placed {
  line: AddedLine;
  lineIndex: number;
  id: string;
}

/**
 * What is added to a jug before a pour, in the order of the work: several actives together in one beaker, a powder with
 * what wets it in a cup, everything else straight into the jug.
 */
export function additionsBefore(lines: readonly AddedLine[]): Addition[] {
  const placed = lines
    .map((line, lineIndex) => ({ line, lineIndex, id: lineId(lines, lineIndex) }))
    .filter(({ line }) => line.addG > LEAST_G);
  const weigh = (into: Vessel, { lineIndex, id }: Placed): Addition => ({
    id,
    kind: 'weigh',
    lineIndex,
    into,
  });
  const stirIn = (from: MixingVessel, id: string, all: Placed[]): Addition => ({
    id,
    kind: 'stir-in',
    lineIndexes: all.map(({ lineIndex }) => lineIndex),
    from,
  });
  const actives = placed.filter(({ line }) => turnOf(line) === 'actives');
  const oneBeaker = actives.length > 1;
  const doses = [...new Set(placed.map(({ line }) => line.doseIndex))]
    .map((doseIndex) => placed.filter(({ line }) => line.doseIndex === doseIndex))
    .filter(([first]) => !(oneBeaker && first && turnOf(first.line) === 'actives'))
    .map((all) => {
      const isWetted = all.some(({ line }) => line.wets);
      const weighings = all.map((each) => weigh(isWetted ? 'cup' : 'jug', each));
      const [first] = all;
      return {
        turn: first ? ORDER.indexOf(turnOf(first.line)) : 0,
        additions: isWetted && first ? [...weighings, stirIn('cup', `${first.id}-stirred`, all)] : weighings,
      };
    });
  const beaker = {
    turn: ORDER.indexOf('actives'),
    additions: oneBeaker
      ? [...actives.map((each) => weigh('beaker', each)), stirIn('beaker', 'beaker', actives)]
      : [],
  };
  return [...doses, beaker].sort((a, b) => a.turn - b.turn).flatMap(({ additions }) => additions);
}

/** `dose-3` for the first line of the third dose, then `dose-3-2`. */
function lineId(lines: readonly AddedLine[], lineIndex: number): string {
  const { doseIndex } = lines[lineIndex] ?? { doseIndex: 0 };
  const place = lines.slice(0, lineIndex).filter((line) => line.doseIndex === doseIndex).length;
  return place === 0 ? `dose-${doseIndex + 1}` : `dose-${doseIndex + 1}-${place + 1}`;
}
