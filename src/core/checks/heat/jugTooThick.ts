import { pourLetter } from '../../plan/plan';
import { lengthWords } from '../../pourPlan/lengthWords';
import { showTemperature } from '../../units/showQuantity';
import { type HeatCheck, heatFinding } from './heatCheck';

/** A jug that is too thick to pour before its last cavity is filled. */
export const jugTooThick: HeatCheck = {
  code: 'heat-jug-too-thick',

  run: ({ pourPlan }) =>
    pourPlan.layers.flatMap(({ jugs, tooThickC, atC }) =>
      jugs.flatMap(({ pourIndex, lastC, pourS, name }) =>
        lastC.low >= tooThickC
          ? []
          : [
              heatFinding({
                code: jugTooThick.code,
                severity: lastC.middle < tooThickC ? 'caution' : 'note',
                pourIndex,
                about: name,
                figures: {
                  lowC: lastC.low,
                  middleC: lastC.middle,
                  tooThickC,
                  pourS,
                  atC,
                  likely: lastC.middle < tooThickC ? 1 : 0,
                },
              }),
            ],
      ),
    ),

  say({ pourIndex, figures: { middleC = 0, lowC = 0, tooThickC = 0, pourS = 0, likely = 0 } }, showing) {
    const letter = pourLetter(pourIndex ?? 0);
    return {
      title: `${letter} ${likely ? 'is' : 'may be'} too thick before its last cavity`,
      reason: `In ${lengthWords(pourS, showing.locale)} of pouring its jug falls to ${showTemperature(likely ? middleC : lowC, showing)}; below ${showTemperature(tooThickC, showing)} it no longer runs. Warm it up once in between, 10 s, or pour in two melts.`,
      mendLabel: null,
    };
  },
};
