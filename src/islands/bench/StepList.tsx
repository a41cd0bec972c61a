import { Check, Circle, CircleDot } from 'lucide-react';
import { useRef } from 'react';
import type { Run } from '../../core/run/run';
import type { StepState } from '../../core/run/runState';
import { type Showing, showMass } from '../../core/units/showQuantity';
import { stepName } from './stepName';

interface Props {
  run: Run;
  steps: StepState[];
  at: number;
  showing: Showing;
  onLook(place: number): void;
  onGiveUp(): void;
}

/** Steps done and to come, each with the weight that is aimed at now. */
export function StepList({ run, steps, at, showing, onLook, onGiveUp }: Props) {
  const sure = useRef<HTMLDialogElement>(null);
  return (
    <nav className="plate flex min-h-0 flex-col p-3" aria-label="Steps">
      <h1 className="text-lg leading-tight font-semibold">{run.sheet.planName}</h1>
      <p className="quiet mb-2 text-sm">
        {run.sheet.pieces} {run.sheet.pieces === 1 ? 'piece' : 'pieces'}, version {run.planVersion}
      </p>
      <ol className="flex min-h-0 flex-1 flex-col gap-1 overflow-y-auto">
        {steps.map((step, place) => {
          const isHere = place === at;
          const weightG = step.actualG ?? step.targetG;
          const Icon = step.doneAt ? Check : isHere ? CircleDot : Circle;
          return (
            <li key={step.id}>
              <button
                type="button"
                aria-current={isHere ? 'step' : undefined}
                className={`flex min-h-12 w-full cursor-pointer items-center gap-2 rounded-lg px-2 text-left ${isHere ? 'live font-semibold' : 'hover:bg-base-200'}`}
                onClick={() => onLook(place)}
              >
                <Icon size={20} className="shrink-0" aria-hidden="true" />
                <span className="flex-1 leading-tight">
                  {stepName(step, run.sheet)}
                  <span className="sr-only">{step.doneAt ? ', ticked' : ''}</span>
                </span>
                {weightG !== null && <span className="whitespace-nowrap">{showMass(weightG, showing)}</span>}
              </button>
            </li>
          );
        })}
      </ol>
      <button
        type="button"
        className="btn btn-ghost btn-sm min-h-11"
        onClick={() => sure.current?.showModal()}
      >
        Give this run up
      </button>
      <dialog ref={sure} className="modal" aria-labelledby="give-up-title">
        <div className="modal-box plate shadow-none">
          <h2 id="give-up-title" className="text-xl font-semibold">
            Give this run up?
          </h2>
          <p className="my-3">
            It leaves the bench and does not go into the Logbook. What was weighed stays on record.
          </p>
          <form method="dialog" className="modal-action">
            <button type="submit" className="btn btn-primary">
              Keep on
            </button>
            <button type="submit" className="btn btn-error btn-outline" onClick={onGiveUp}>
              Give it up
            </button>
          </form>
        </div>
      </dialog>
    </nav>
  );
}
