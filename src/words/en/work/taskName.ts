import { meltedName } from '../../../core/plan/baseParts';
import { type Sheet, weighedLines } from '../../../core/plan/sheet';
import type { Task } from '../../../core/work/task';
import { weighedLine } from '../../../core/work/weighedLine';
import { pourLetters } from './pourLetters';
import { KIND_NAMES } from './taskKinds';

/** A task in a word or two, with its pour where there are several. */
export function taskName(task: Task, { pours }: Pick<Sheet, 'pours'>): string {
  const pour = pours[task.pourIndexes[0] ?? 0];
  const weighed = pour ? weighedLines(pour) : [];
  const letter = pours.length > 1 && task.pourIndexes.length > 0 ? `${pourLetters(task.pourIndexes)}: ` : '';
  const load = task.loads > 1 ? ` ${task.load + 1} of ${task.loads}` : '';
  return `${letter}${what()}${load}`;

  function what(): string {
    switch (task.kind) {
      case 'weigh-base':
        return `${/\+\d+$/.test(task.id) ? 'More ' : ''}${pour ? meltedName(pour) : ''}`;
      case 'weigh-dose':
        return weighedLine({ pours }, task)?.material.name ?? '';
      case 'stir-in':
        return `${task.from === 'beaker' ? 'Beaker' : 'Cup'} into the jug`;
      case 'lay':
        return `Lay ${task.lineIndexes.map((index) => weighed[index]?.material.name).join(', ')}`;
      case 'inclusions':
        return (pour?.embeds ?? [])
          .filter(({ embedIndex }) => task.embedIndexes.includes(embedIndex))
          .map(({ name }) => name)
          .join(', ');
      default:
        return KIND_NAMES[task.kind];
    }
  }
}
