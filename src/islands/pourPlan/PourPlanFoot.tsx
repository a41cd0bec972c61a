import { memo, useRef } from 'react';
import type { Sheet } from '../../core/plan/sheet';
import { jugGroups } from '../../core/pours/sharedJug';
import { beginsAt, later } from '../../core/schedule/clock';
import type { JugRules } from '../../core/work/loads';
import { lengthWords, rangeWords } from '../../words/en/lengthWords';
import { showClock, showClockDay } from '../../words/en/showClock';
import { useShowing } from '../shared/showing';
import { useStable } from '../shared/useStable';
import { DETAILS, type Detail } from './details';
import { TimeStrip } from './strip/TimeStrip';
import type { PourPlanView } from './usePourPlan';

interface Props {
  sheet: Sheet | null;
  rules: JugRules;
  view: PourPlanView;
  pourIndex: number;
  open: Detail | null;
  onOpen(detail: Detail | null): void;
  onPour(pourIndex: number): void;
  onWait(pourIndex: number, afterMin: number | null): void;
  /** To a rehearsal, or a trial batch. */
  onTry(): void;
}

/** The foot of the plan: when to melt, pour, wait and unmold. */
export const PourPlanFoot = memo(function PourPlanFoot(props: Props) {
  const { sheet, rules, view, pourIndex, open, onOpen, onPour, onWait, onTry } = props;
  const { pourPlan, isCurrent } = view;
  const openCurves = useStable((index: number) => {
    onPour(index);
    onOpen('curves');
  });
  const pendingMin = useSame(
    (isCurrent ? [] : (sheet?.pours ?? [])).map(({ when }) => when.afterMin ?? null),
  );
  const begins = sheet && pourPlan ? beginsAt(pourPlan, sheet.making.clock) : null;
  return (
    <section
      className="plate px-3 py-1.5"
      aria-labelledby="pour-plan-title"
      aria-busy={view.state.kind === 'working'}
    >
      <div className="mb-1 flex flex-wrap items-center gap-x-3">
        <h2 id="pour-plan-title" className="font-semibold">
          Pour plan
        </h2>
        <p className="min-h-5 text-sm max-xl:order-last max-xl:w-full">
          {sheet && pourPlan ? <Summary sheet={sheet} view={view} begins={begins} /> : null}
        </p>
        <Progress view={view} />
        <div className="ml-auto flex flex-wrap">
          {(Object.keys(DETAILS) as Detail[]).map((each) => (
            <button
              key={each}
              type="button"
              className={`btn btn-sm px-2 text-xs pointer-coarse:min-h-11 ${open === each ? 'btn-primary' : 'btn-ghost'}`}
              aria-pressed={open === each}
              onClick={() => onOpen(open === each ? null : each)}
            >
              {DETAILS[each]}
            </button>
          ))}
          <button
            type="button"
            className="btn btn-sm btn-ghost px-2 text-xs pointer-coarse:min-h-11"
            title="A rehearsal, or a few pieces"
            disabled={sheet === null}
            onClick={onTry}
          >
            Try it
          </button>
        </div>
      </div>
      {sheet === null && <p className="quiet text-sm">None until the stop above is mended.</p>}
      {sheet !== null && pourPlan === null && (
        <p
          className="quiet flex items-center text-sm"
          role="status"
          style={{ height: stripPx(sheet, rules) }}
        >
          Working out when to melt, pour and wait …
        </p>
      )}
      {sheet &&
        pourPlan &&
        pourPlan.layers.flatMap(({ pourIndexes }) => pourIndexes).length === sheet.pours.length && (
          <div className={isCurrent ? '' : 'opacity-60'} style={{ minHeight: stripPx(sheet, rules) }}>
            <TimeStrip
              sheet={view.ofSheet ?? sheet}
              pourPlan={pourPlan}
              begins={begins}
              pourIndex={pourIndex}
              pendingMin={pendingMin}
              onWait={onWait}
              onOpen={openCurves}
            />
          </div>
        )}
    </section>
  );
});

const STRIP_PX = 86;
const LANE_PX = 22;

/** Room for the strip with a jug of its own for each melt: what stands above it does not move when it comes. */
function stripPx({ pours }: Sheet, { jugs }: JugRules): number {
  return STRIP_PX + LANE_PX * Math.max(1, Math.min(jugGroups(pours).length, jugs.length));
}

function Summary({ sheet, view, begins }: { sheet: Sheet; view: PourPlanView; begins: string | null }) {
  const showing = useShowing();
  const { pourPlan } = view;
  if (!pourPlan) return null;
  const { done, handsS, tasks, rounds, roundsInAll } = pourPlan;
  const { locale } = showing;
  const hardens = tasks.some(({ kind }) => kind === 'harden');
  const hands = `${lengthWords(handsS, locale)} of it hands on`;
  const more = roundsInAll > rounds ? ` The first ${rounds} of ${roundsInAll} rounds are listed.` : '';
  if (pourPlan.never !== null)
    return (
      <strong className="text-warning">
        It does not get cold enough to {pourPlan.never === 'cut' ? 'be cut' : 'come out'} in this room: see
        the checks.
      </strong>
    );
  if (begins === null)
    return (
      <>
        Done in <strong>{rangeWords(done, locale)}</strong>, {hands}
        {hardens ? ', then it hardens' : ''}.{more}
      </>
    );
  const { clock } = sheet.making;
  // Reckoned back from an end, it begins the earlier the less is known.
  if (clock?.at === 'finish' && pourPlan.samples === 0)
    return (
      <>
        Begin some time before <strong>{showClockDay(begins, locale)}</strong>, {hands}.{more}
      </>
    );
  // It begins at a whole minute, so that its late end is a little before the time that was set.
  const lateEnd = clock?.at === 'finish' ? clock.time : later(begins, done.high, clock?.zone);
  return (
    <>
      {clock?.at === 'finish' ? 'Begin by ' : 'Begin '}
      <strong>{showClockDay(begins, locale)}</strong>, done between{' '}
      <strong>
        {showClock(later(begins, done.low, clock?.zone), locale, begins)} and{' '}
        {showClock(lateEnd, locale, begins)}
      </strong>
      , {hands}.{more}
    </>
  );
}

function Progress({ view: { state, cancel, again, pourPlan } }: { view: PourPlanView }) {
  switch (state.kind) {
    case 'working':
      return (
        <span className="flex items-center gap-2 text-xs" role="status">
          {pourPlan === null || state.of === 0 ? 'working …' : `ranges ${state.done} of ${state.of}`}
          <progress
            className="progress w-16"
            value={state.of === 0 ? undefined : state.done}
            max={state.of || 1}
            aria-label="How far the pour plan is"
          />
          <button
            type="button"
            className="btn btn-ghost btn-xs pointer-coarse:min-h-11 pointer-coarse:min-w-11"
            onClick={cancel}
          >
            Stop
          </button>
        </span>
      );
    case 'stopped':
      return (
        <span className="flex items-center gap-2 text-xs" role="status">
          Stopped: what is shown may be without its ranges.
          <button type="button" className="btn btn-secondary btn-xs pointer-coarse:min-h-11" onClick={again}>
            Go on
          </button>
        </span>
      );
    case 'fault':
      return (
        <span className="text-error text-sm" role="alert">
          There is no pour plan: {state.reason}. Check the room, and the temperatures of the bases on the
          Shelf.{' '}
          <button type="button" className="btn btn-secondary btn-xs pointer-coarse:min-h-11" onClick={again}>
            Try again
          </button>
        </span>
      );
    default:
      return null;
  }
}

/** The list as it was, where it holds the same: what is memoised by it stays as it is. */
function useSame<Item>(list: readonly Item[]): readonly Item[] {
  const kept = useRef(list);
  const isSame =
    kept.current.length === list.length && kept.current.every((item, place) => item === list[place]);
  if (!isSame) kept.current = list;
  return kept.current;
}
