import { Bell, BellOff, Scale, Volume2, VolumeX } from 'lucide-react';
import type { Sheet } from '../../core/plan/sheet';
import type { OnwardTask } from '../../core/run/onward';
import { clockTime, countdown, nextWords, waitWords } from '../../words/en/run/onwardWords';
import { useShowing } from '../shared/showing';
import { nextOther, OtherRuns } from './OtherRuns';
import type { Calls } from './useCalls';
import type { OnwardNow } from './useOnward';
import type { LiveScale } from './useScale';

interface Props {
  sheet: Sheet;
  seen: OnwardNow;
  /** The task that is shown. */
  at: string | null;
  calls: Calls;
  scale: LiveScale;
  onLook(taskId: string): void;
}

/** What passes by itself, each with its countdown; what hands are asked for next; when the bars come out. */
export function Waits({ sheet, seen, at, calls, scale, onLook }: Props) {
  const { locale } = useShowing();
  const { waits, nowMs, outMs } = seen;
  const asked = nextByHand(seen, sheet);
  return (
    <section className="plate flex-none px-3 py-1" aria-label="Waits">
      <OtherRuns seen={seen} />
      <div className="flex min-h-16 items-center gap-2">
        <div className="flex min-w-0 gap-2 overflow-x-auto">
          {waits.map((wait) => {
            const isOver = wait.toMs <= nowMs;
            const share = Math.min(
              1,
              Math.max(0, (nowMs - wait.fromMs) / Math.max(1, wait.toMs - wait.fromMs)),
            );
            return (
              <button
                key={wait.id}
                type="button"
                data-wait={wait.id}
                aria-current={wait.id === at ? 'step' : undefined}
                className={`relative flex min-h-14 flex-none cursor-pointer flex-col items-start justify-center overflow-hidden rounded-lg border-2 px-3 ${isOver ? 'live border-primary' : 'border-base-300'}`}
                onClick={() => onLook(wait.id)}
              >
                <span className="text-sm leading-tight">{waitWords(wait, sheet, isOver)}</span>
                <span className="font-mono text-xl leading-none font-semibold">
                  {isOver ? `${countdown(nowMs - wait.toMs)} ago` : countdown(wait.toMs - nowMs)}
                </span>
                <span
                  aria-hidden="true"
                  className="bg-primary absolute bottom-0 left-0 h-1"
                  style={{ width: `${(share * 100).toFixed(1)}%` }}
                />
              </button>
            );
          })}
        </div>
        <p className="min-w-24 flex-1 px-1 leading-tight lg:min-w-36">
          {asked && (
            <>
              <span className="quiet block truncate text-sm">
                Then by hand{asked.of === null ? '' : `, ${asked.of}`}
              </span>
              <strong className="text-lg">{nextWords(asked.task, asked.sheet, nowMs, locale)}</strong>
            </>
          )}
        </p>
        {outMs !== null && (
          <p className={`flex-none px-1 text-right leading-tight ${waits.length > 1 ? 'max-xl:hidden' : ''}`}>
            <span className="quiet block text-sm">Bars out about</span>
            <strong className="text-lg">{clockTime(outMs, locale)}</strong>
          </p>
        )}
        <button
          type="button"
          aria-expanded={scale.isDrawerOpen}
          aria-label="Scale and thermometer"
          title="Scale and thermometer"
          className="btn btn-ghost size-12 flex-none p-0"
          onClick={scale.toggleDrawer}
        >
          <Scale size={22} aria-hidden="true" />
        </button>
        <Switch
          isOn={calls.rings}
          name="Ring when a wait is over"
          onPress={calls.toggleRings}
          on={Bell}
          off={BellOff}
        />
        {calls.canSpeak && (
          <Switch
            isOn={calls.speaks}
            name="Read aloud"
            onPress={calls.toggleSpeaks}
            on={Volume2}
            off={VolumeX}
          />
        )}
      </div>
    </section>
  );
}

/** What hands are asked for after the task in hand, in this run or another; `of` names the other. */
function nextByHand(
  seen: OnwardNow,
  sheet: Sheet,
): { task: OnwardTask; sheet: Sheet; of: string | null } | null {
  const { next } = seen;
  const other = nextOther(seen);
  if (other && (!next || other.task.fromMs < next.fromMs)) {
    const { sheet: ofOther } = other.other.run.snapshot;
    return { task: other.task, sheet: ofOther, of: ofOther.planName };
  }
  return next && { task: next, sheet, of: null };
}

function Switch({
  isOn,
  name,
  onPress,
  on: On,
  off: Off,
}: {
  isOn: boolean;
  name: string;
  onPress(): void;
  on: typeof Bell;
  off: typeof Bell;
}) {
  const Icon = isOn ? On : Off;
  return (
    <button
      type="button"
      role="switch"
      aria-checked={isOn}
      aria-label={name}
      title={`${name}: ${isOn ? 'on' : 'off'}`}
      className="btn btn-ghost size-12 flex-none p-0"
      onClick={onPress}
    >
      <Icon size={22} aria-hidden="true" />
    </button>
  );
}
