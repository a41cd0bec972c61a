import { jugGroups } from '../plan/oneJug';
import type { Sheet, SheetLine, SheetPour } from '../plan/sheet';

/** Where a weighing goes: straight into the jug, into the beaker of actives, or into a cup with its dispersant. */
export const VESSELS = ['jug', 'beaker', 'cup'] as const;
export type Vessel = (typeof VESSELS)[number];

/** One thing to do at the bench. Ids are stable for a sheet: pour letter, then what. */
export type Step = { id: string; pourIndex: number } & (
  | { kind: 'weigh-base' }
  | { kind: 'melt' }
  | { kind: 'weigh-dose'; lineIndex: number; into: Vessel }
  /** Stirs what was weighed into a beaker or a cup, and adds it to the jug. */
  | { kind: 'stir-in'; lineIndexes: number[]; from: Exclude<Vessel, 'jug'> }
  /** Sets pieces into what was poured, or shares a filling out before it is. */
  | { kind: 'set-embeds'; embedIndexes: number[] }
  | { kind: 'pour' }
);

/** Common practice, no source: colour first, then fragrance once it has cooled a little, grit and petals last. */
const ORDER = ['colorant', 'actives', 'additive', 'dispersant', 'fragrance', 'solids'] as const;

function turnOf({ material }: SheetLine): (typeof ORDER)[number] {
  if (material.kind !== 'additive') return material.kind;
  if (material.role === 'grit' || material.role === 'botanical') return 'solids';
  return material.role === 'active' ? 'actives' : 'additive';
}

/** The steps of a sheet in the order of the work. */
export function stepsOf({ pours }: Pick<Sheet, 'pours'>): Step[] {
  const heads = new Set(jugGroups(pours).map(([head]) => head));
  return pours.flatMap((pour, pourIndex) => stepsOfPour(pour, pourIndex, heads.has(pourIndex)));
}

/** Less is no weighing. */
const LEAST_G = 1e-6;

interface Placed {
  line: SheetLine;
  lineIndex: number;
  id: string;
}

function stepsOfPour(pour: SheetPour, pourIndex: number, isJugOfItsOwn: boolean): Step[] {
  const step = (what: string) => ({ id: `${pour.letter}/${what}`, pourIndex });
  const placed = pour.lines
    .map((line, lineIndex) => ({ line, lineIndex, id: lineStep(pour.lines, lineIndex) }))
    .filter(({ line }) => line.addG > LEAST_G);
  const weigh = (into: Vessel, { lineIndex, id }: Placed): Step => ({
    ...step(id),
    kind: 'weigh-dose',
    lineIndex,
    into,
  });
  const stirIn = (from: Exclude<Vessel, 'jug'>, id: string, lines: Placed[]): Step => ({
    ...step(id),
    kind: 'stir-in',
    lineIndexes: lines.map(({ lineIndex }) => lineIndex),
    from,
  });

  const actives = placed.filter((each) => turnOf(each.line) === 'actives');
  const oneBeaker = actives.length > 1;
  const doses = [...new Set(placed.map(({ line }) => line.doseIndex))]
    .map((doseIndex) => placed.filter(({ line }) => line.doseIndex === doseIndex))
    .filter(([first]) => !(oneBeaker && first && turnOf(first.line) === 'actives'))
    .map((lines) => {
      const isWetted = lines.some(({ line }) => line.wets);
      const steps = lines.map((line) => weigh(isWetted ? 'cup' : 'jug', line));
      const [first] = lines;
      return {
        turn: first ? ORDER.indexOf(turnOf(first.line)) : 0,
        steps: isWetted && first ? [...steps, stirIn('cup', `${first.id}-stirred`, lines)] : steps,
      };
    });
  const beaker = {
    turn: ORDER.indexOf('actives'),
    steps: oneBeaker
      ? [...actives.map((each) => weigh('beaker', each)), stirIn('beaker', 'beaker', actives)]
      : [],
  };
  const embeds = (what: string, isFilling: boolean): Step[] => {
    const embedIndexes = pour.embeds
      .filter(({ perPiece }) => (perPiece === null) === isFilling)
      .map(({ embedIndex }) => embedIndex);
    return embedIndexes.length > 0 ? [{ ...step(what), kind: 'set-embeds', embedIndexes }] : [];
  };
  const melt: Step[] = isJugOfItsOwn
    ? [
        { ...step('base'), kind: 'weigh-base' },
        { ...step('melt'), kind: 'melt' },
      ]
    : [];
  return [
    ...melt,
    ...[...doses, beaker].sort((a, b) => a.turn - b.turn).flatMap(({ steps }) => steps),
    ...embeds('filling', true),
    { ...step('pour'), kind: 'pour' },
    ...embeds('embeds', false),
  ];
}

/** `dose-3` for the first line of the third dose, then `dose-3-2`. */
function lineStep(lines: readonly SheetLine[], lineIndex: number): string {
  const { doseIndex } = lines[lineIndex] ?? { doseIndex: 0 };
  const place = lines.slice(0, lineIndex).filter((line) => line.doseIndex === doseIndex).length;
  return place === 0 ? `dose-${doseIndex + 1}` : `dose-${doseIndex + 1}-${place + 1}`;
}
