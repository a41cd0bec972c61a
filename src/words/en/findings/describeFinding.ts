import type { FindingCode, Found } from '../../../core/checks/finding';
import type { Showing } from '../../../core/units/showQuantity';
import { allergens } from './allergens';
import { belowWorkingRange } from './belowWorkingRange';
import { botanicalBrowns } from './botanicalBrowns';
import { caps } from './caps';
import type { Describe, Described } from './described';
import { doseReadsOtherwise } from './doseReadsOtherwise';
import { doseUnreadable } from './doseUnreadable';
import { dyeBleeds } from './dyeBleeds';
import {
  embedFloats,
  embedHasNoSize,
  embedInItself,
  embedMadeAhead,
  embedOutOfPour,
  embedSinks,
  embedTooTall,
} from './embedsFit';
import { factsMissing } from './factsMissing';
import { freezerRefused } from './freezerRefused';
import { gritTooCoarse } from './gritTooCoarse';
import { breaksThrough } from './heat/breaksThrough';
import { freezerDew, freezerDry, freezerTacky, freezerTooLong } from './heat/freezer';
import { grainMoves } from './heat/grainMoves';
import { hotOnSkin } from './heat/hotOnSkin';
import { jugTooThick } from './heat/jugTooThick';
import { neverOut } from './heat/neverOut';
import { pointsMelt } from './heat/pointsMelt';
import { sweats } from './heat/sweats';
import { tooLate } from './heat/tooLate';
import { weakBond } from './heat/weakBond';
import { jugTooSmall } from './jugTooSmall';
import { lotPastDate } from './lotPastDate';
import { moldTooHot } from './moldTooHot';
import { noRoomForBase } from './noRoomForBase';
import { notComputed } from './notComputed';
import { carriedInJug, jugOfAnotherBase, noJugToGoOnIn, tooMuchInJug } from './oneJug';
import { origins } from './origins';
import { overdone } from './overdone';
import { overSupplierLimit } from './overSupplierLimit';
import { pourOverCeiling } from './pourOverCeiling';
import { pourSizes } from './pourSizes';
import { pourWays } from './pourWays';
import { relationUnresolved } from './relationUnresolved';
import { candleOnly, foodColour, notForSkin } from './released';
import { noScales, overScaleCapacity, scaleFit } from './scaleFit';
import { solidsMove } from './solidsMove';
import { standInFigures } from './standInFigures';
import { stockShort } from './stockShort';
import { tooMuchColour } from './tooMuchColour';
import { unfitForUse } from './unfitForUse';
import { unknownLimit } from './unknownLimit';
import { usualMold } from './usualMold';
import { stabiliserOutOfStep, vanillinBrowns } from './vanillin';

/** One for each code: a finding without words does not compile. */
const DESCRIBE: { [Code in FindingCode]: Describe<Code> } = {
  'pour-sizes': pourSizes,
  'pour-ways': pourWays,
  'no-jug-to-go-on-in': noJugToGoOnIn,
  'jug-of-another-base': jugOfAnotherBase,
  'carried-in-jug': carriedInJug,
  'too-much-in-jug': tooMuchInJug,
  'jug-too-small': jugTooSmall,
  'no-room-for-base': noRoomForBase,
  'not-computed': notComputed,
  'embed-has-no-size': embedHasNoSize,
  'embed-in-itself': embedInItself,
  'embed-too-tall': embedTooTall,
  'embed-out-of-pour': embedOutOfPour,
  'embed-floats': embedFloats,
  'embed-sinks': embedSinks,
  'embed-made-ahead': embedMadeAhead,
  'dose-unreadable': doseUnreadable,
  'dose-reads-otherwise': doseReadsOtherwise,
  'relation-unresolved': relationUnresolved,
  'not-for-skin': notForSkin,
  'candle-only': candleOnly,
  'food-colour': foodColour,
  'over-supplier-limit': overSupplierLimit,
  'fragrance-over-cap': caps,
  'oils-over-cap': caps,
  'liquids-over-cap': caps,
  'additions-over-cap': caps,
  'grit-too-coarse': gritTooCoarse,
  'unfit-for-use': unfitForUse,
  'unknown-limit': unknownLimit,
  'vanillin-browns': vanillinBrowns,
  'stabiliser-out-of-step': stabiliserOutOfStep,
  'dye-bleeds': dyeBleeds,
  overdone,
  'too-much-colour': tooMuchColour,
  'below-working-range': belowWorkingRange,
  'solids-move': solidsMove,
  'botanical-browns': botanicalBrowns,
  'no-scales': noScales,
  'over-scale-capacity': overScaleCapacity,
  'scale-fit': scaleFit,
  'stock-short': stockShort,
  'lot-past-date': lotPastDate,
  allergens,
  origins,
  'facts-missing': factsMissing,
  'stand-in-figures': standInFigures,
  'mold-too-hot': moldTooHot,
  'pour-over-ceiling': pourOverCeiling,
  'freezer-refused': freezerRefused,
  'usual-mold': usualMold,
  'heat-breaks-through': breaksThrough,
  'heat-weak-bond': weakBond,
  'heat-jug-too-thick': jugTooThick,
  'heat-grain-moves': grainMoves,
  'heat-freezer-too-long': freezerTooLong,
  'heat-freezer-tacky': freezerTacky,
  'heat-freezer-dew': freezerDew,
  'heat-freezer-dry': freezerDry,
  'heat-too-late': tooLate,
  'heat-sweats': sweats,
  'heat-points-melt': pointsMelt,
  'heat-hot-on-skin': hotOnSkin,
  'heat-never-out': neverOut,
};

/** Puts a finding in words. */
export function describeFinding(found: Found, showing: Showing): Described {
  // The table is keyed by the code, which the compiler can't follow from one to the other.
  const describe = DESCRIBE[found.code] as (found: Found, showing: Showing) => Described;
  return describe(found, showing);
}
