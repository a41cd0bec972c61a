import type { ScheduledTask, TaskJug } from '../../../core/schedule/scheduledTask';
import { pourLetters } from '../../../words/en/work/pourLetters';
import { KIND_NAMES } from '../../../words/en/work/taskKinds';
import { Block } from './Block';
import { Lane } from './Lane';
import type { Strip } from './strip';

const LOOKS: Partial<Record<ScheduledTask['kind'], string>> = {
  melt: 'hatch-melt border border-current',
  'stir-in': 'bg-base-300',
  cool: 'border border-dashed border-current',
  rewarm: 'hatch-melt border border-current',
};

/** What is in a jug, from its melt to its pour. */
export function JugLane({
  strip,
  jug,
  tasks,
}: {
  strip: Strip;
  /** null for jugs that the workshop has not told of. */
  jug: TaskJug | null;
  tasks: readonly ScheduledTask[];
}) {
  const { moment, said, onOpen } = strip;
  return (
    <Lane label={jug?.name ?? 'Jugs'} high="h-5">
      {tasks
        .filter((task) => task.kind in LOOKS && isIn(task, jug))
        .map((task) => (
          <Block
            key={task.id}
            strip={strip}
            fromS={task.fromS}
            toS={task.toS}
            title={`${moment(task.fromS)}: ${said(task)}`}
            className={LOOKS[task.kind] ?? ''}
            onClick={() => onOpen(task.pourIndexes[0] ?? 0)}
          >
            {task.kind === 'melt'
              ? `melt ${pourLetters(task.pourIndexes)}`
              : KIND_NAMES[task.kind].toLowerCase()}
          </Block>
        ))}
    </Lane>
  );
}

function isIn({ jugs }: ScheduledTask, jug: TaskJug | null): boolean {
  return jug === null ? jugs.length === 0 : jugs.some(({ id }) => id === jug.id);
}
