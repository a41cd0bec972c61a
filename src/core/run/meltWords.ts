import type { HouseRules } from '../houseRules/houseRules';
import { type Showing, showTemperature } from '../units/showQuantity';

/** How to melt, by the house rule. Common practice, no source: small cubes, and stop while a few lumps are left. */
export function meltWords(meltIn: HouseRules['meltIn'], ceilingC: number, showing: Showing): string {
  const how =
    meltIn === 'microwave'
      ? 'melt in short bursts, stirring between'
      : 'melt over hot, not boiling water, stirring now and then';
  return `Cut to 1 cm cubes and ${how}. Stop while a few lumps are left. Never above ${showTemperature(ceilingC, showing)}.`;
}
