import type { Finding } from '../../core/checks/finding';
import type { HouseRules } from '../../core/houseRules/houseRules';
import type { OverLimit } from '../../core/run/overLimits';
import type { Run, RunEvent } from '../../core/run/run';
import type { JugReading, Touch } from '../../core/run/said';
import type { TaskState } from '../../core/run/taskStates';
import type { LotsOfTask } from './useLots';
import type { OnwardNow } from './useOnward';
import type { LiveScale } from './useScale';
import type { LiveThermometer } from './useThermometer';

/** What the face of a task shows, and what is done on it. */
export interface FaceProps {
  run: Run;
  task: TaskState;
  /** All of the run, to name what must come first. */
  tasks: readonly TaskState[];
  typed: string;
  /** The rest of the run by the clock. */
  seen: OnwardNow;
  scale: LiveScale;
  thermometer: LiveThermometer;
  /** The lots of what it weighs. */
  lots: LotsOfTask;
  touches: readonly Touch[];
  readings: readonly JugReading[];
  rules: HouseRules;
  sending: boolean;
  /** What was found about this very task. */
  cautions: Finding[];
  /** Limits that its jug passes by what was really weighed, or is typed. */
  over: OverLimit[];
  onType(text: string): void;
  /** @param instrument what it was read from */
  onTick(event: RunEvent, instrument?: string | null): void;
  onUndo(): void;
  /** Turns to another task. */
  onLook(taskId: string): void;
  /** Back to the task in hand; null when this is it. */
  onBack: (() => void) | null;
}
