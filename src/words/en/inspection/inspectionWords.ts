import type { Dried, Inspection } from '../../../core/inspection/inspection';
import type { Declarable, WeightRule } from '../../../core/inspection/netWeight';
import { type Showing, showMass, showPercent } from '../../../core/units/showQuantity';
import { lengthWords } from '../lengthWords';
import { counted } from '../plural';
import { FAULT_NAMES } from './faultNames';

/** How pieces were sorted: “10 good, 1 second, 1 scrap”. */
export function sortedWords({ pieces: { good, second, scrap, remelt } }: Pick<Inspection, 'pieces'>): string {
  return [
    `${good} good`,
    second > 0 ? counted(second, 'second', 'seconds') : '',
    scrap > 0 ? `${scrap} scrap` : '',
    remelt > 0 ? `${remelt} to melt again` : '',
  ]
    .filter((words) => words !== '')
    .join(', ');
}

/** What was wrong, and in which pours: “Layers part in B (2)”. */
export function faultsWords({ faults }: Pick<Inspection, 'faults'>, letters: readonly string[]): string {
  return faults
    .map(({ fault, pourIndexes, pieces }) => {
      const where = pourIndexes.map((index) => letters[index] ?? '').join(', ');
      return `${FAULT_NAMES[fault]}${where ? ` in ${where}` : ''}${pieces === null ? '' : ` (${pieces})`}`;
    })
    .join('; ');
}

/** What pieces weighed: “4 weighed, 98.2 g on average”. */
export function weightsWords({ weightsG }: Pick<Inspection, 'weightsG'>, showing: Showing): string {
  if (weightsG.length === 0) return '';
  const meanG = weightsG.reduce((sum, each) => sum + each, 0) / weightsG.length;
  return `${weightsG.length} weighed, ${showMass(meanG, showing)} on average`;
}

const RULE_NAMES: Record<WeightRule, string> = { eu: 'EU, average weight', us: 'US, net weight' };

/** What may be declared by a rule, and what holds it down. */
export function declarableWords(told: Declarable, showing: Showing): { title: string; sentence: string } {
  const mass = (massG: number) => showMass(massG, showing);
  const { rule, netG, sample, weighed, meanG, leastG, mayLackG, heldBy } = told;
  const short =
    weighed < sample ? ` Weigh ${sample - weighed} more: ${sample} of such a batch are weighed.` : '';
  if (netG === null || mayLackG === null)
    return {
      title: `${RULE_NAMES[rule]}: –`,
      sentence: `No figure of the rule is known for such a weight.${short}`,
    };
  const why =
    heldBy === 'mean'
      ? `the mean of ${weighed} is ${mass(meanG)}`
      : `the mean of ${weighed} is ${mass(meanG)}, but the lightest weighs ${mass(leastG)}`;
  return {
    title: `${RULE_NAMES[rule]}: ${showMass(netG, showing)}`,
    sentence: `${why.charAt(0).toUpperCase()}${why.slice(1)}; one may lack ${mass(mayLackG)}.${short}`,
  };
}

/** What drying did: “1.2 % lighter after 14 days”. */
export function driedWords({ fraction, lengthS }: Dried, locale: string): string {
  return `${showPercent(Math.abs(fraction), locale)} ${fraction < 0 ? 'heavier' : 'lighter'} after ${lengthWords(lengthS, locale)}`;
}
