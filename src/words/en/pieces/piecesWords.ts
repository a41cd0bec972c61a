import type { Aside, AsideOf, WasteReason } from '../../../core/pieces/aside';
import type { Cut, CutWay } from '../../../core/pieces/cut';
import type { MassKept } from '../../../core/run/massKept';
import { type Showing, showMass } from '../../../core/units/showQuantity';
import { counted } from '../plural';

export const CUT_WAY_NAMES: Record<CutWay, string> = {
  equal: 'Equal bars',
  'score-lines': 'Along score lines',
  'by-eye': 'Chunks by eye',
};

export const ASIDE_NAMES: Record<AsideOf, string> = {
  ends: 'Ends',
  trimmed: 'Cut off',
  'left-over': 'Left in the jug',
  drips: 'Drips and overpour',
  pieces: 'Pieces',
};

export const WASTE_NAMES: Record<WasteReason, string> = {
  dropped: 'Dropped on the floor',
  'dye-pockets': 'Pockets of dye',
  scorched: 'Scorched',
  spoilt: 'Spoilt',
  other: 'Something else',
};

/** “1 block into 8, equal bars; 12 g of crumbs”. */
export function cutWords({ of, how, count, into, weightsG, lossG }: Cut, showing: Showing): string {
  const what = of === 'blocks' ? counted(count, 'block', 'blocks') : counted(count, 'piece', 'pieces');
  const crumbs = lossG > 0 ? `; ${showMass(lossG, showing)} of crumbs` : '';
  const sumG = weightsG.reduce((sum, each) => sum + each, 0);
  const weighed =
    weightsG.length > 0
      ? `; ${weightsG.length} weighed, ${showMass(sumG / weightsG.length, showing)} on average`
      : '';
  return `${what} into ${into}, ${CUT_WAY_NAMES[how].toLowerCase()}${weighed}${crumbs}`;
}

/** “210 g of ends of A: into the jar “White ends””. */
export function asideWords(
  { of, pieces, pourIndexes, massG, to }: Aside,
  letters: readonly string[],
  showing: Showing,
): string {
  const mass = showMass(massG, showing);
  const what =
    of === 'pieces' && pieces !== null
      ? `${counted(pieces, 'piece', 'pieces')}, ${mass}`
      : `${ASIDE_NAMES[of]}, ${mass}`;
  const from = pourIndexes.length > 0 ? `, of ${pourIndexes.map((index) => letters[index]).join(', ')}` : '';
  return `${what}${from}: ${whereWords(to)}`;
}

function whereWords(to: Aside['to']): string {
  switch (to.is) {
    case 'jar':
      return `into the jar “${to.name}”`;
    case 'pieces':
      return 'kept to be set in';
    case 'sample':
      return `a sample, kept at “${to.place}”`;
    case 'waste':
      return `thrown away: ${WASTE_NAMES[to.reason].toLowerCase()}`;
  }
}

/** Where all that went in has gone, and what nobody told of: “1,020 g went in; 210 g in jars, 810 g not told of”. */
export function massKeptWords(kept: MassKept, showing: Showing): string {
  const parts: [number, string][] = [
    [kept.toJarsG, 'in jars'],
    [kept.keptPiecesG, 'in pieces that are kept'],
    [kept.samplesG, 'in samples'],
    [kept.wasteG, 'thrown away'],
    [kept.crumbsG, 'lost in cutting'],
    [kept.restG, 'in the bars, on the jugs’ walls and dried off'],
  ];
  const told = parts
    .filter(([massG]) => massG > 0.05)
    .map(([massG, where]) => `${showMass(massG, showing)} ${where}`);
  return `${showMass(kept.inG, showing)} went in: ${told.join(', ')}.`;
}
