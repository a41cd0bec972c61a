import { overshoot } from '../../core/run/overshoot';
import { showMass } from '../../core/units/showQuantity';
import { useShowing } from '../shared/showing';
import { OverLimits } from './faceParts';
import type { FaceProps } from './faceProps';
import type { Weighing } from './useWeighing';

/** More than was aimed at, or than a limit lets in: what to do, or why it stays. */
export function TooMuch({ weighing, ...props }: FaceProps & { weighing: Weighing }) {
  const { run, task, tasks, rules, over, sending, onTick } = props;
  const showing = useShowing();
  const { weighedG, why, setWhy } = weighing;
  const beyond =
    weighedG !== null && over.length === 0 ? overshoot(run.snapshot, tasks, task, weighedG, rules) : null;
  const isOver = weighedG !== null && (over.length > 0 || beyond !== null);
  const moreG = beyond?.moreBaseG ?? null;
  return (
    <>
      <OverLimits {...props} />
      {isOver && why === null && (
        <p className="my-1 flex flex-wrap items-center gap-3 text-lg">
          {beyond && <span>Take it out, or:</span>}
          {beyond && moreG !== null && (
            <button
              type="button"
              className="btn btn-secondary btn-lg"
              disabled={sending}
              onClick={() => onTick({ kind: 'topped-up', taskId: beyond.baseTaskId, massG: moreG })}
            >
              Weigh {showMass(moreG, showing)} more base
            </button>
          )}
          <button type="button" className="btn btn-secondary btn-lg" onClick={() => setWhy('')}>
            Leave it, and say why
          </button>
        </p>
      )}
      {isOver && why !== null && (
        <div className="my-1 flex flex-wrap items-center gap-3">
          <label htmlFor="why-it-stays" className="text-lg font-semibold">
            Why it stays
          </label>
          <input
            id="why-it-stays"
            className="input h-14 flex-1 text-xl"
            maxLength={500}
            autoComplete="off"
            // biome-ignore lint/a11y/noAutofocus: it was just asked for.
            autoFocus
            value={why}
            onChange={({ target }) => setWhy(target.value)}
          />
          <button type="button" className="btn btn-ghost min-h-12" onClick={() => setWhy(null)}>
            Not now
          </button>
        </div>
      )}
    </>
  );
}
