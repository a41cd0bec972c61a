import type { Found } from '../finding';
import { PLAIN } from '../plain';
import type { HeatCheck } from './heatCheck';

/** A layer that has carried for longer has gone cold: more heat is what joins the next one to it. Our own assumption. */
const FRESH_S = 20 * 60;

/** A pour that is hotter than the house rule, onto a layer that has only just got its skin. */
export const hotOnSkin: HeatCheck = ({ sheet, pourPlan, rules }) => {
  if (rules.pourCeiling === 'touch') return [];
  const ruleC = Number(rules.pourCeiling);
  return pourPlan.layers.flatMap(({ pourIndexes, atC, afterS }, place): Found[] => {
    const [pourIndex = 0] = pourIndexes;
    const below = pourPlan.layers[place - 1];
    const isSaid = sheet.pours[pourIndex]?.when.atC !== undefined;
    if (!below || !isSaid || atC <= ruleC || afterS - below.skin.middle > FRESH_S) return [];
    return [
      {
        ...PLAIN,
        code: 'heat-hot-on-skin',
        severity: 'caution',
        pourIndex,
        atC,
        ruleC,
        fix: [{ kind: 'set-when', pourIndex, atC: null }],
      },
    ];
  });
};
