import { pourLetter } from '../../plan/plan';
import { showTemperature } from '../../units/showQuantity';
import { type HeatCheck, heatFinding } from './heatCheck';

/** A layer that has carried for longer has gone cold: more heat is what joins the next one to it. Our own assumption. */
const FRESH_S = 20 * 60;

/** A pour that is hotter than the house rule, onto a layer that has only just got its skin. */
export const hotOnSkin: HeatCheck = {
  code: 'heat-hot-on-skin',

  run: ({ sheet, pourPlan, rules }) => {
    if (rules.pourCeiling === 'touch') return [];
    const ruleC = Number(rules.pourCeiling);
    return pourPlan.layers.flatMap(({ pourIndexes, atC, afterS }, place) => {
      const [pourIndex = 0] = pourIndexes;
      const below = pourPlan.layers[place - 1];
      const isSaid = sheet.pours[pourIndex]?.when.atC !== undefined;
      if (!below || !isSaid || atC <= ruleC || afterS - below.skin.middle > FRESH_S) return [];
      return [
        heatFinding({
          code: hotOnSkin.code,
          severity: 'caution',
          pourIndex,
          figures: { atC, ruleC },
          mend: [{ edit: 'set-when', pourIndex, atC: null }],
        }),
      ];
    });
  },

  say({ pourIndex, figures: { atC = 0, ruleC = 0 } }, showing) {
    return {
      title: `${pourLetter(pourIndex ?? 0)} at ${showTemperature(atC, showing)} goes onto a fresh skin`,
      reason: `The house rule is ${showTemperature(ruleC, showing)} at the most on a set layer: hotter, it may melt through. Where the layer below has gone cold it is the way to join it.`,
      mendLabel: `Pour it at ${showTemperature(ruleC, showing)}`,
    };
  },
};
