import type { RefObject } from 'react';
import type { PourPlan } from '../../../core/schedule/pourPlan';
import type { ScheduledTask } from '../../../core/schedule/scheduledTask';
import { pourLetters } from '../../../words/en/work/pourLetters';
import { KIND_NAMES } from '../../../words/en/work/taskKinds';
import { Block } from './Block';
import { Lane } from './Lane';
import { PourWindow } from './PourWindow';
import type { Strip } from './strip';

/** What is done to the bars afterwards binds hands, and stands there. */
const LOOKS: Partial<Record<ScheduledTask['kind'], string>> = {
  skin: 'h-5 border border-dashed border-current',
  set: 'h-5 border-t border-current',
  freezer: 'h-5 border border-double border-current',
  unmold: 'h-5 bg-base-300',
  wash: 'h-5 bg-base-300',
};

interface Props {
  strip: Strip;
  pourPlan: PourPlan;
  lane: RefObject<HTMLDivElement | null>;
  pourIndex: number;
  /** Of each pour, min: a wait that was chosen and is not worked out yet. */
  pendingMin: readonly (number | null)[];
  onWait(pourIndex: number, afterMin: number | null): void;
  onHold(isHeld: boolean): void;
}

/** What the mold does, with the window of each pour and the pour itself. */
export function MoldLane({ strip, pourPlan, lane, pourIndex, pendingMin, onWait, onHold }: Props) {
  const { scale, moment, said } = strip;
  const pours = pourPlan.tasks.filter(({ kind, load }) => kind === 'pour' && load === 0);
  const first = pourPlan.layers.map(({ pourIndexes }) =>
    pours.find((task) => task.round === 0 && task.pourIndexes[0] === pourIndexes[0]),
  );
  return (
    <Lane label="Mold" high="h-11">
      <div ref={lane} className="absolute inset-0">
        {pourPlan.tasks
          .filter(({ kind }) => kind in LOOKS)
          .map((task) => (
            <Block
              key={task.id}
              strip={strip}
              fromS={task.fromS}
              toS={task.toS}
              title={`${moment(task.fromS)}: ${said(task)}`}
              className={`${LOOKS[task.kind] ?? ''} top-6`}
            >
              {task.kind === 'skin'
                ? `skin ${pourLetters(task.pourIndexes)}`
                : KIND_NAMES[task.kind].toLowerCase()}
            </Block>
          ))}
        {pours
          .filter((task) => task.round > 0)
          .map((task) => (
            <span
              key={task.id}
              className="border-base-content absolute top-0 border-l-2 pl-0.5 text-xs leading-5 font-bold"
              style={{ left: `${scale.at(task.fromS) * 100}%` }}
              title={`${moment(task.fromS)}: ${said(task)}`}
            >
              {pourLetters(task.pourIndexes)}
            </span>
          ))}
        {pourPlan.layers.map((layer, index) => {
          const own = first[index];
          if (!own) return null;
          return (
            <PourWindow
              key={layer.letters}
              strip={strip}
              layer={layer}
              own={own}
              before={first[index - 1]}
              lettersBefore={pourPlan.layers[index - 1]?.letters ?? ''}
              nextOpensS={nextOpensS(pourPlan, index, own.fromS)}
              lane={lane}
              isSelected={layer.pourIndexes.includes(pourIndex)}
              pendingMin={pendingMin[layer.pourIndexes[0] ?? 0] ?? null}
              onWait={onWait}
              onHold={onHold}
            />
          );
        })}
      </div>
    </Lane>
  );
}

/** When the window of the next layer opens at the earliest; it begins on this pour. */
function nextOpensS({ layers }: PourPlan, index: number, atS: number): number {
  const window = layers[index + 1]?.window;
  return window ? atS + window.earliest.low : Number.POSITIVE_INFINITY;
}
