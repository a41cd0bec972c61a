import { Bell, BellOff, Scale, Volume2, VolumeX } from 'lucide-react';
import type { Sheet } from '../../core/plan/sheet';
import { clockTime, countdown, nextWords, waitWords } from '../../words/en/run/onwardWords';
import { useShowing } from '../shared/showing';
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
  const { waits, next, nowMs, outMs } = seen;
  return (
    <section
      className="plate flex min-h-18 flex-none items-center gap-2 overflow-x-auto px-3 py-1"
      aria-label="Waits"
    >
      {waits.map((wait) => {
        const isOver = wait.toMs <= nowMs;
        const share = Math.min(1, Math.max(0, (nowMs - wait.fromMs) / Math.max(1, wait.toMs - wait.fromMs)));
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
            <span className="font-mono text-2xl leading-none font-semibold">
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
      <p className="min-w-0 flex-1 px-1 leading-tight">
        {next && (
          <>
            <span className="quiet block text-sm">Then by hand</span>
            <strong className="text-lg">{nextWords(next, sheet, nowMs, locale)}</strong>
          </>
        )}
      </p>
      {outMs !== null && (
        <p className="flex-none px-1 text-right leading-tight">
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
    </section>
  );
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
