import type { FindingCode, Found } from '../../../core/checks/finding';
import type { Showing } from '../../../core/units/showQuantity';
import type { Describe, Described } from './described';

/** One for each code: a finding without words does not compile. A page loads those that it tells. */
const WORDS: { [Code in FindingCode]: () => Promise<Describe<Code>> } = {
  'batch-missed': () => import('./batchMissed').then((words) => words.batchMissed),
  'pour-sizes': () => import('./pourSizes').then((words) => words.pourSizes),
  'pour-ways': () => import('./pourWays').then((words) => words.pourWays),
  'no-jug-to-go-on-in': () => import('./oneJug').then((words) => words.noJugToGoOnIn),
  'jug-of-another-base': () => import('./oneJug').then((words) => words.jugOfAnotherBase),
  'carried-in-jug': () => import('./oneJug').then((words) => words.carriedInJug),
  'too-much-in-jug': () => import('./oneJug').then((words) => words.tooMuchInJug),
  'jug-too-small': () => import('./jugTooSmall').then((words) => words.jugTooSmall),
  'no-room-for-base': () => import('./noRoomForBase').then((words) => words.noRoomForBase),
  'not-computed': () => import('./notComputed').then((words) => words.notComputed),
  'embed-has-no-size': () => import('./embedsFit').then((words) => words.embedHasNoSize),
  'embed-in-itself': () => import('./embedsFit').then((words) => words.embedInItself),
  'embed-too-tall': () => import('./embedsFit').then((words) => words.embedTooTall),
  'embed-out-of-pour': () => import('./embedsFit').then((words) => words.embedOutOfPour),
  'embed-floats': () => import('./embedsFit').then((words) => words.embedFloats),
  'embed-sinks': () => import('./embedsFit').then((words) => words.embedSinks),
  'embed-made-ahead': () => import('./embedsFit').then((words) => words.embedMadeAhead),
  'dose-unreadable': () => import('./doseUnreadable').then((words) => words.doseUnreadable),
  'dose-reads-otherwise': () => import('./doseReadsOtherwise').then((words) => words.doseReadsOtherwise),
  'relation-unresolved': () => import('./relationUnresolved').then((words) => words.relationUnresolved),
  'not-for-skin': () => import('./released').then((words) => words.notForSkin),
  'candle-only': () => import('./released').then((words) => words.candleOnly),
  'food-colour': () => import('./released').then((words) => words.foodColour),
  'over-supplier-limit': () => import('./overSupplierLimit').then((words) => words.overSupplierLimit),
  'fragrance-over-cap': () => import('./caps').then((words) => words.caps),
  'oils-over-cap': () => import('./caps').then((words) => words.caps),
  'liquids-over-cap': () => import('./caps').then((words) => words.caps),
  'additions-over-cap': () => import('./caps').then((words) => words.caps),
  'grit-too-coarse': () => import('./gritTooCoarse').then((words) => words.gritTooCoarse),
  'unfit-for-use': () => import('./unfitForUse').then((words) => words.unfitForUse),
  'unknown-limit': () => import('./unknownLimit').then((words) => words.unknownLimit),
  'vanillin-browns': () => import('./vanillin').then((words) => words.vanillinBrowns),
  'stabiliser-out-of-step': () => import('./vanillin').then((words) => words.stabiliserOutOfStep),
  'dye-bleeds': () => import('./dyeBleeds').then((words) => words.dyeBleeds),
  overdone: () => import('./overdone').then((words) => words.overdone),
  'too-much-colour': () => import('./tooMuchColour').then((words) => words.tooMuchColour),
  'below-working-range': () => import('./belowWorkingRange').then((words) => words.belowWorkingRange),
  'laid-plants': () => import('./laidFits').then((words) => words.laidPlants),
  'laid-without-goes': () => import('./laidFits').then((words) => words.laidWithoutGoes),
  'solids-move': () => import('./solidsMove').then((words) => words.solidsMove),
  'botanical-browns': () => import('./botanicalBrowns').then((words) => words.botanicalBrowns),
  'no-scales': () => import('./scaleFit').then((words) => words.noScales),
  'over-scale-capacity': () => import('./scaleFit').then((words) => words.overScaleCapacity),
  'scale-fit': () => import('./scaleFit').then((words) => words.scaleFit),
  'stock-short': () => import('./stockShort').then((words) => words.stockShort),
  'lot-past-date': () => import('./lotPastDate').then((words) => words.lotPastDate),
  remelted: () => import('./remelted').then((words) => words.remelted),
  allergens: () => import('./allergens').then((words) => words.allergens),
  origins: () => import('./origins').then((words) => words.origins),
  'facts-missing': () => import('./factsMissing').then((words) => words.factsMissing),
  'stand-in-figures': () => import('./standInFigures').then((words) => words.standInFigures),
  'mold-too-hot': () => import('./moldTooHot').then((words) => words.moldTooHot),
  'pour-over-ceiling': () => import('./pourOverCeiling').then((words) => words.pourOverCeiling),
  'freezer-refused': () => import('./freezerRefused').then((words) => words.freezerRefused),
  'needs-mold': () => import('./molds').then((words) => words.needsMold),
  'second-mold-times': () => import('./molds').then((words) => words.secondMoldTimes),
  'usual-mold': () => import('./molds').then((words) => words.usualMold),
  'heat-breaks-through': () => import('./heat/breaksThrough').then((words) => words.breaksThrough),
  'heat-weak-bond': () => import('./heat/weakBond').then((words) => words.weakBond),
  'heat-jug-too-thick': () => import('./heat/jugTooThick').then((words) => words.jugTooThick),
  'heat-grain-moves': () => import('./heat/grainMoves').then((words) => words.grainMoves),
  'heat-freezer-too-long': () => import('./heat/freezer').then((words) => words.freezerTooLong),
  'heat-freezer-tacky': () => import('./heat/freezer').then((words) => words.freezerTacky),
  'heat-freezer-dew': () => import('./heat/freezer').then((words) => words.freezerDew),
  'heat-freezer-dry': () => import('./heat/freezer').then((words) => words.freezerDry),
  'heat-too-late': () => import('./heat/tooLate').then((words) => words.tooLate),
  'heat-sweats': () => import('./heat/sweats').then((words) => words.sweats),
  'heat-points-melt': () => import('./heat/pointsMelt').then((words) => words.pointsMelt),
  'heat-hot-on-skin': () => import('./heat/hotOnSkin').then((words) => words.hotOnSkin),
  'heat-never-out': () => import('./heat/neverOut').then((words) => words.neverOut),
};

/** Puts findings of one code in words. */
type Words = (found: Found, showing: Showing) => Described;

const loaded = new Map<FindingCode, Promise<Words>>();

/** The words of a code; the same promise each time it is asked for. */
export function findingWords(code: FindingCode): Promise<Words> {
  const known = loaded.get(code);
  if (known) return known;
  // The table is keyed by the code, which the compiler can't follow from one to the other.
  // What could not be loaded, as without the server, is told by its code: a page never goes down for it.
  const words = (WORDS[code]() as Promise<Words>).catch(
    (): Words => () => ({ title: spelled(code), reason: '', fixLabel: null }),
  );
  loaded.set(code, words);
  return words;
}

/** Puts a finding of any code in words, once all of them are loaded. */
export async function allFindingWords(): Promise<Words> {
  const codes = Object.keys(WORDS) as FindingCode[];
  const words = new Map<FindingCode, Words>();
  await Promise.all(codes.map(async (code) => words.set(code, await findingWords(code))));
  return (found, showing) => (words.get(found.code) as Words)(found, showing);
}

/** “Over supplier limit”: not well said, but said. */
function spelled(code: FindingCode): string {
  const words = code.replaceAll('-', ' ');
  return words.charAt(0).toUpperCase() + words.slice(1);
}
