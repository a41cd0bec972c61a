import type { Burst } from '../../../core/heat/melt';
import type { HouseRules } from '../../../core/houseRules/houseRules';
import { type Showing, showNumber, showPercent, showTemperature } from '../../../core/units/showQuantity';

/** How to melt, by the house rule. Common practice, no source: small cubes, and stop while a few lumps are left. */
export function meltWords(meltIn: HouseRules['meltIn'], ceilingC: number, showing: Showing): string {
  const how =
    meltIn === 'microwave'
      ? 'melt in short bursts, stirring between'
      : 'melt over hot, not boiling water, stirring now and then';
  return `Cut to 1 cm cubes and ${how}. Stop while a few lumps are left. Never above ${showTemperature(ceilingC, showing)}.`;
}

/** Bursts as one would say them: like ones together. */
export function burstWords(bursts: readonly Burst[], locale: string): string {
  const said: { words: string; times: number }[] = [];
  for (const { lengthS, power } of bursts) {
    if (lengthS === 0) continue;
    const words = `${showNumber(lengthS, 0, locale)} s${power < 1 ? ` at ${showPercent(power, locale, 0)} power` : ''}`;
    const before = said.at(-1);
    if (before?.words === words) before.times++;
    else said.push({ words, times: 1 });
  }
  if (said.length === 0) return 'in short bursts, stir between';
  return `bursts of ${said.map(({ words, times }) => (times > 1 ? `${times} × ${words}` : words)).join(', ')}, stir between`;
}
