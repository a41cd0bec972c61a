import type { ScheduledTask } from '../../../core/schedule/scheduledTask';
import { pourLetters } from '../../../words/en/work/pourLetters';
import { KIND_NAMES } from '../../../words/en/work/taskKinds';
import { Block } from './Block';
import { Lane } from './Lane';
import type { Strip } from './strip';

/** Whatever follows sooner than this is one stretch of work. */
const BETWEEN_S = 20;

/** What binds hands. */
export function HandsLane({ strip, tasks }: { strip: Strip; tasks: readonly ScheduledTask[] }) {
  const { moment } = strip;
  return (
    <Lane label="Hands" high="h-5">
      {stretches(tasks).map(({ fromS, toS, names }) => (
        <Block
          key={fromS}
          strip={strip}
          fromS={fromS}
          toS={toS}
          title={`Hands from ${moment(fromS)} to ${moment(toS)}: ${names.join(', ')}`}
          shorter={names.length > 1 ? [`${names[0]} …`] : []}
          className="bg-primary text-primary-content"
        >
          {names.join(', ')}
        </Block>
      ))}
    </Lane>
  );
}

/** Stretches that bind hands, run together where one follows the other. */
function stretches(tasks: readonly ScheduledTask[]) {
  const found: { fromS: number; toS: number; names: string[] }[] = [];
  for (const { hands, kind, pourIndexes, fromS, toS } of tasks) {
    if (!hands) continue;
    const letters = pourIndexes.length > 0 ? ` ${pourLetters(pourIndexes)}` : '';
    const name = `${KIND_NAMES[kind].toLowerCase()}${letters}`;
    const before = found.at(-1);
    if (before && fromS <= before.toS + BETWEEN_S) {
      before.toS = Math.max(before.toS, toS);
      before.names.push(name);
    } else found.push({ fromS, toS, names: [name] });
  }
  return found;
}
