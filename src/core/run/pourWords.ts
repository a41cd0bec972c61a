import type { HouseRules } from '../houseRules/houseRules';
import { type Showing, showTemperature } from '../units/showQuantity';

/** Common practice, no source: bare cavities take 44 to 60 °C, thin plastic the cooler end. */
const BARE_C = { from: 44, to: 60 };

/** How to pour: into bare cavities, or by the house rule onto a layer that has set. */
export function pourWords(pourIndex: number, rules: HouseRules, showing: Showing): string {
  const temperature = (tempC: number) => showTemperature(tempC, showing);
  const at =
    pourIndex === 0
      ? `Pour at ${temperature(BARE_C.from)} to ${temperature(BARE_C.to)}, thin plastic at the cool end`
      : rules.pourCeiling === 'touch'
        ? 'Spritz the layer below and pour when the jug feels warm, not hot'
        : `Spritz the layer below and pour at ${temperature(Number(rules.pourCeiling))} or a little less`;
  return `Stir slowly for a minute. ${at}. Spritz the top; no flame near the alcohol.`;
}

/** What is done when it has set, by the house rules. */
export function afterWords(rules: HouseRules): string {
  const freezer = {
    brief: 'The freezer for ten minutes at most, after the skin, and only for a low-sweat base.',
    never: 'No freezer and no fridge.',
    freely: 'The freezer for hours if need be, not overnight.',
  }[rules.freezer];
  const wrap =
    rules.wrap === 'same-day'
      ? 'Wrap the same day.'
      : 'A low-sweat bar may lie open; wrap any other the same day.';
  return `${freezer} ${wrap}`;
}
