import { type SubmitEvent, useState } from 'react';
import { isEmptied, isInMold } from '../../core/run/progress';
import type { TaskState } from '../../core/run/taskStates';
import { typedWeight } from '../../core/run/typedWeight';
import { weighedMaterial } from '../../core/run/usedMaterials';
import type { CountedOut } from '../../core/units/counting';
import { massUnit, type Showing, showMass } from '../../core/units/showQuantity';
import { weighedLine } from '../../core/work/weighedLine';
import { countParts, showAmountOut } from '../../words/en/units/showCount';
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

interface ChangeProps {
  kind: 'added' | 'corrected';
  onClose(): void;
}

/** More of a dose, typed or by the scale that is followed, or what a weighing really was. */
function ChangeForm({ run, task, lots, scale, kind, sending, onTick, onClose }: FaceProps & ChangeProps) {
  const showing = useShowing();
  const { sheet } = run.snapshot;
  const [text, setText] = useState('');
  const [why, setWhy] = useState('');
  const [asked, setAsked] = useState(false);
  const cameG = useMoreOnScale(scale);
  const parsed = typedWeight(text, task, sheet, showing.system);
  const typedG = parsed.success && parsed.data > 0 ? parsed.data : null;
  const isLive = kind === 'added' && text.trim() === '' && cameG !== null;
  const massG = isLive ? cameG : typedG;
  const counted = weighedLine(sheet, task)?.counted ?? null;
  const fault =
    massG !== null || (!asked && text.trim() === '')
      ? null
      : parsed.success
        ? 'More than nothing: write what the scale shows.'
        : explainWeightFault(parsed.error);

  function change(event: SubmitEvent) {
    event.preventDefault();
    setAsked(true);
    if (massG === null) return;
    const of = { taskId: task.id, massG, ...(lots.lot ? { lotId: lots.lot.id } : {}) };
    if (kind === 'added') onTick({ kind, ...of }, isLive ? scale.instrument : null);
    else onTick({ kind, ...of, ...(why.trim() ? { note: why.trim() } : {}) });
  }

  return (
    <form className="flex w-full max-w-2xl flex-col gap-3" noValidate onSubmit={change}>
      <LargeField
        id="changed-to"
        label={kind === 'added' ? 'More on the scale' : 'It really was'}
        unit={counted ? countParts(counted, task.targetG ?? 0, showing).unit : massUnit(showing.system)}
        inputMode="decimal"
        value={text}
        fault={fault}
        says={kind === 'added' ? moreSaid(task, isLive ? massG : null, counted, showing) : ''}
        isAsked
        onChange={setText}
      />
      <LotChoice of={lots} name={weighedMaterial(sheet, task)?.name ?? ''} targetG={massG ?? 0} />
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

/** Less on a scale is nothing yet, g. */
const NOTHING_G = 0.02;

/** What came onto the scale since this was opened, g; null while that is nothing. */
function useMoreOnScale({ loadG }: FaceProps['scale']): number | null {
  const [zeroG, setZeroG] = useState(loadG);
  if (loadG !== null && (zeroG === null || loadG < zeroG - NOTHING_G)) setZeroG(loadG);
  const moreG = loadG === null || zeroG === null ? 0 : loadG - zeroG;
  return moreG > NOTHING_G ? Number(moreG.toFixed(3)) : null;
}

/** What came by the scale, or what would bring a dose to the base in its jug. */
function moreSaid(
  { actualG, targetG }: TaskState,
  cameG: number | null,
  counted: CountedOut | null,
  showing: Showing,
): string {
  if (cameG !== null) return `${showMass(cameG, showing)} more stands on the scale`;
  return actualG !== null && targetG !== null && actualG < targetG
    ? `${showAmountOut(counted, targetG - actualG, showing)} brings it to the base in the jug`
    : '';
}
