import type { HouseRules } from '../houseRules/houseRules';
import { moldsFilled } from '../molds/filled';
import type { Mold } from '../molds/mold';
import type { Sheet } from '../plan/sheet';
import { layerGroups } from '../pours/layers';
import { pourTempC } from '../pours/pourTemp';
import type { Check, Found } from './finding';

/** From memory: thin plastic goes soft from about here, where nobody has told of its own figure. */
const THIN_PLASTIC_C = 60;
const BELOW_K = 3;

/** A pour that is hotter than its mold bears. */
export const moldTooHot: Check = (sheet, { rules }) =>
  moldsFilled(sheet, sheet.fills).flatMap((mold) => tooHotFor(mold, sheet, rules));

function tooHotFor(mold: Mold, sheet: Sheet, rules: HouseRules): Found[] {
  const mostC = mold.highestC ?? (mold.madeOf === 'thin-plastic' ? THIN_PLASTIC_C : null);
  if (mostC === null) return [];
  return layerGroups(sheet.pours).flatMap((pourIndexes): Found[] => {
    const atC = pourTempC(sheet, pourIndexes[0] ?? 0, rules);
    return atC <= mostC
      ? []
      : pourIndexes.map((pourIndex) => ({
          code: 'mold-too-hot',
          severity: 'stop',
          pourIndex,
          doseIndexes: [],
          about: mold.name,
          atC,
          coolerC: Math.floor(mostC - BELOW_K),
          mostC,
          assumed: mold.highestC === null,
          fix: [{ kind: 'set-when', pourIndex, atC: Math.floor(mostC - BELOW_K) }],
        }));
  });
}
