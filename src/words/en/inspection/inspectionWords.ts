import type { Inspection } from '../../../core/inspection/inspection';
import { type Showing, showMass } from '../../../core/units/showQuantity';
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
