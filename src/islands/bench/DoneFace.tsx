import { useState } from 'react';
import { isEmptied, isInMold, type TaskState } from '../../core/run/progress';
import { typedWeight } from '../../core/run/typedWeight';
import { weighedMaterial } from '../../core/run/usedMaterials';
import { massUnit } from '../../core/units/showQuantity';
import { weighedLine } from '../../core/work/weighedLine';
import { showAmountOut } from '../../words/en/units/showCount';
import { explainWeightFault } from '../../words/en/units/weightFault';
import { taskName } from '../../words/en/work/taskName';
import { useShowing } from '../shared/showing';
import { BackButton } from './faceParts';
import type { FaceProps } from './faceProps';
import { LargeField } from './LargeField';
import { LotChoice } from './LotChoice';

/** What is ticked: what came, more of it, what it really was, or its tick taken back. */
export function DoneFace(props: FaceProps) {
  const { run, task, tasks, sending, onUndo, onBack } = props;
  const showing = useShowing();
  const [changing, setChanging] = useState<'added' | 'corrected' | null>(null);
  const { sheet } = run.snapshot;
  const counted = weighedLine(sheet, task)?.counted ?? null;
  const { actualG, targetG, tickedG } = task;
  const isWeighed = !task.isLeftOut && actualG !== null && targetG !== null;
  const mayAdd = isWeighed && task.kind === 'weigh-dose' && !isInMold(task, tasks);
  const way = 'btn btn-lg btn-secondary';
  return (
    <section
      className="plate flex min-h-0 flex-1 flex-col items-start justify-center gap-4 overflow-y-auto p-8"
      aria-live="polite"
    >
      <h2 className="text-3xl font-semibold">
        {taskName(task, sheet)} is {task.isLeftOut ? 'left out' : 'ticked'}
      </h2>
      {isWeighed && (
        <p className="text-xl">
          {showAmountOut(counted, actualG, showing)} {counted ? 'went in' : 'was weighed'};{' '}
          {showAmountOut(counted, targetG, showing)} was aimed at.
          {tickedG !== null && ` It was ticked as ${showAmountOut(counted, tickedG, showing)} at first.`}
        </p>
      )}
      {task.note && <p className="quiet text-xl">“{task.note}”</p>}
      {changing && <ChangeForm {...props} kind={changing} onClose={() => setChanging(null)} />}
      {!changing && (
        <div className="flex flex-wrap gap-3">
          {mayAdd && (
            <button type="button" className={way} disabled={sending} onClick={() => setChanging('added')}>
              {counted ? 'More of it went in' : 'Weigh more of it'}
            </button>
          )}
          {isWeighed && (
            <button type="button" className={way} disabled={sending} onClick={() => setChanging('corrected')}>
              It was another weight
            </button>
          )}
          {!isEmptied(task) && (
            <button type="button" className={way} disabled={sending} onClick={onUndo}>
              {task.isLeftOut
                ? 'Put it in after all'
                : tickedG === null
                  ? 'Undo this tick'
                  : 'Undo the last change'}
            </button>
          )}
          <BackButton onBack={onBack} />
        </div>
      )}
    </section>
  );
}

/** More of a dose, or what a weighing really was. */
function ChangeForm({
  run,
  task,
  lots,
  kind,
  sending,
  onTick,
  onClose,
}: FaceProps & { kind: 'added' | 'corrected'; onClose(): void }) {
  const showing = useShowing();
  const { sheet } = run.snapshot;
  const [text, setText] = useState('');
  const [why, setWhy] = useState('');
  const [asked, setAsked] = useState(false);
  const parsed = typedWeight(text, task, sheet, showing.system);
  const massG = parsed.success && parsed.data > 0 ? parsed.data : null;
  const counted = weighedLine(sheet, task)?.counted ?? null;
  const shortG = shortOf(task);
  const fault =
    massG !== null || (!asked && text.trim() === '')
      ? null
      : parsed.success
        ? 'More than nothing: write what the scale shows.'
        : explainWeightFault(parsed.error);
  return (
    <form
      className="flex w-full max-w-2xl flex-col gap-3"
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        setAsked(true);
        if (massG === null) return;
        const lotId = lots.lot ? { lotId: lots.lot.id } : {};
        onTick(
          kind === 'added'
            ? { kind, taskId: task.id, massG, ...lotId }
            : { kind, taskId: task.id, massG, ...lotId, ...(why.trim() ? { note: why.trim() } : {}) },
        );
      }}
    >
      <LargeField
        id="changed-to"
        label={kind === 'added' ? 'More on the scale' : 'It really was'}
        {...(counted ? {} : { unit: massUnit(showing.system) })}
        inputMode="decimal"
        value={text}
        fault={fault}
        says={
          kind === 'added' && shortG !== null
            ? `${showAmountOut(counted, shortG, showing)} brings it to the base in the jug`
            : ''
        }
        onChange={setText}
      />
      <LotChoice
        of={lots}
        name={weighedMaterial(sheet, task)?.name ?? ''}
        targetG={massG ?? 0}
        day={new Date().toISOString().slice(0, 10)}
      />
      {kind === 'corrected' && (
        <label className="text-lg font-semibold">
          Why
          <input
            className="input h-14 w-full text-xl font-normal"
            maxLength={500}
            autoComplete="off"
            value={why}
            onChange={({ target }) => setWhy(target.value)}
          />
        </label>
      )}
      <div className="flex gap-3">
        <button type="submit" className="btn btn-primary btn-lg" disabled={sending}>
          {kind === 'added' ? 'It is in the jug' : 'Correct it'}
        </button>
        <button type="button" className="btn btn-ghost btn-lg" onClick={onClose}>
          Cancel
        </button>
      </div>
    </form>
  );
}

function shortOf({ actualG, targetG }: TaskState): number | null {
  return actualG !== null && targetG !== null && actualG < targetG ? targetG - actualG : null;
}
