import { memo, useMemo, useRef, useState } from 'react';
import type { Sheet } from '../../../core/plan/sheet';
import { later } from '../../../core/schedule/clock';
import type { PourPlan } from '../../../core/schedule/pourPlan';
import { showClock } from '../../../words/en/showClock';
import { elapsedWords } from '../../../words/en/showTime';
import { taskWords } from '../../../words/en/work/taskWords';
import { useShowing } from '../../shared/showing';
import { useWidth } from '../../shared/useWidth';
import { ClockLane } from './ClockLane';
import { HandsLane } from './HandsLane';
import { JugLane } from './JugLane';
import { MoldLane } from './MoldLane';
import { type Strip, scaleOf } from './strip';
import type { TimeScale } from './timeScale';

interface Props {
  /** The sheet that the pour plan is of. */
  sheet: Sheet;
  pourPlan: PourPlan;
  begins: string | null;
  pourIndex: number;
  /** Of each pour, min: a wait that was chosen and is not worked out yet. */
  pendingMin: readonly (number | null)[];
  onWait(pourIndex: number, afterMin: number | null): void;
  onOpen(pourIndex: number): void;
}

/** Narrower than this a minute can't be told from the next, px. */
const LEAST_PX_PER_MIN = 4;

/** The pour plan to scale: what binds hands, what is in each jug, and what the mold does meanwhile. */
export const TimeStrip = memo(function TimeStrip(props: Props) {
  const { sheet, pourPlan, begins, pourIndex, pendingMin, onWait, onOpen } = props;
  const showing = useShowing();
  const lane = useRef<HTMLDivElement>(null);
  const now = useMemo(() => scaleOf(pourPlan), [pourPlan]);
  // While a pour is held, the ground under it keeps still.
  const [held, setHeld] = useState<TimeScale | null>(null);
  const strip: Strip = {
    scale: held ?? now,
    widthPx: useWidth(lane),
    locale: showing.locale,
    moment: (seconds) =>
      begins === null
        ? elapsedWords(seconds)
        : showClock(later(begins, seconds, sheet.making.clock?.zone), showing.locale),
    said: (task) => taskWords(task, sheet, showing),
    onOpen,
  };
  const melts = pourPlan.tasks.filter(({ kind }) => kind === 'melt');
  const jugs = new Map(melts.map(({ jugs: [jug] }) => [jug?.id ?? '', jug ?? null]));
  return (
    // biome-ignore lint/a11y/useSemanticElements: a drawing that scrolls is no set of fields
    // biome-ignore lint/a11y/noNoninteractiveTabindex: what scrolls must be reached by the keyboard
    <div className="overflow-x-auto" role="group" aria-label="The pour plan to scale" tabIndex={0}>
      <div className="relative pl-24" style={{ minWidth: 96 + strip.scale.lengthMin * LEAST_PX_PER_MIN }}>
        <ClockLane strip={strip} begins={begins} />
        <HandsLane strip={strip} tasks={pourPlan.tasks} />
        {[...jugs].map(([id, jug]) => (
          <JugLane key={id} strip={strip} jug={jug} tasks={pourPlan.tasks} />
        ))}
        <MoldLane
          strip={strip}
          pourPlan={pourPlan}
          lane={lane}
          pourIndex={pourIndex}
          pendingMin={pendingMin}
          onWait={onWait}
          onHold={(isHeld) => setHeld(isHeld ? now : null)}
        />
      </div>
    </div>
  );
});
