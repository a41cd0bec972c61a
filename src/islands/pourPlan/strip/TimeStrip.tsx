import { type KeyboardEvent, memo, useEffect, useMemo, useRef, useState } from 'react';
import type { Sheet } from '../../../core/plan/sheet';
import { later } from '../../../core/schedule/clock';
import type { PourPlan } from '../../../core/schedule/pourPlan';
import { showClock } from '../../../words/en/showClock';
import { elapsedWords } from '../../../words/en/showTime';
import { KIND_NAMES } from '../../../words/en/work/taskKinds';
import type { taskWords } from '../../../words/en/work/taskWords';
import { useShowing } from '../../shared/showing';
import { useWidth } from '../../shared/useWidth';
import { ClockLane } from './ClockLane';
import { HandsLane } from './HandsLane';
import { JugLane } from './JugLane';
import { MoldLane } from './MoldLane';
import { type Strip, scaleOf, type ToldBlock } from './strip';
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
  const [told, setTold] = useState<ToldBlock | null>(null);
  const { inWords, load } = useTaskWords(setTold);
  const strip: Strip = {
    scale: held ?? now,
    widthPx: useWidth(lane),
    locale: showing.locale,
    moment: (seconds) =>
      begins === null
        ? elapsedWords(seconds)
        : showClock(later(begins, seconds, sheet.making.clock?.zone), showing.locale),
    said: (task) => (inWords ? inWords(task, sheet, showing) : KIND_NAMES[task.kind]),
    onOpen,
    onTell: setTold,
  };
  const melts = pourPlan.tasks.filter(({ kind }) => kind === 'melt');
  const jugs = new Map(melts.map(({ jugs: [jug] }) => [jug?.id ?? '', jug ?? null]));
  return (
    // biome-ignore lint/a11y/useSemanticElements: a drawing that scrolls is no set of fields
    <div
      className="overflow-x-auto"
      role="group"
      aria-label="The pour plan to scale; arrows go through it"
      // biome-ignore lint/a11y/noNoninteractiveTabindex: what scrolls must be reached by the keyboard
      tabIndex={0}
      onKeyDown={goToBlock}
      onFocus={load}
      onPointerEnter={load}
    >
      <div className="relative pl-24" style={{ minWidth: 96 + strip.scale.lengthMin * LEAST_PX_PER_MIN }}>
        {told && (
          <p
            role="status"
            className="bg-neutral text-neutral-content pointer-events-none absolute top-0 left-0 z-10 rounded px-2 text-xs whitespace-nowrap"
            style={{ marginLeft: `min(${told.from * 100}%, 55%)` }}
          >
            {told.words}
          </p>
        )}
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

/** Tasks in all their words, loaded once the strip is gone to; what is told by then is told anew. */
function useTaskWords(setTold: (change: (told: ToldBlock | null) => ToldBlock | null) => void) {
  const [inWords, setInWords] = useState<typeof taskWords | null>(null);
  useEffect(() => {
    const words = inWords && document.activeElement?.getAttribute('title');
    if (words) setTold((told) => told && { ...told, words });
  }, [inWords, setTold]);
  const load = () => {
    if (!inWords)
      void import('../../../words/en/work/taskWords').then((words) => setInWords(() => words.taskWords));
  };
  return { inWords, load };
}

const STEPS: Record<string, number> = { ArrowLeft: -1, ArrowRight: 1 };

/** From block to block in the order of their beginnings. */
function goToBlock({ key, target, currentTarget }: KeyboardEvent<HTMLElement>): void {
  const step = STEPS[key];
  const isBlock = target instanceof HTMLElement && target.dataset.from !== undefined;
  if (step === undefined || !(isBlock || target === currentTarget)) return;
  const blocks = [...currentTarget.querySelectorAll<HTMLElement>('[data-from]')].toSorted(
    (a, b) => Number(a.dataset.from) - Number(b.dataset.from),
  );
  blocks[isBlock ? blocks.indexOf(target) + step : 0]?.focus();
}
