import { type SubmitEvent, useState } from 'react';
import { moreBaseFor } from '../../core/run/moreBase';
import { moreOfDoses } from '../../core/run/moreOfDoses';
import { parseMass } from '../../core/units/parseMass';
import { massUnit, showMass } from '../../core/units/showQuantity';
import { explainWeightFault } from '../../words/en/units/weightFault';
import { taskName } from '../../words/en/work/taskName';
import { useShowing } from '../shared/showing';
import type { FaceProps } from './faceProps';
import { LargeField } from './LargeField';

/** Before it is poured: what its jug may still get more of, colours, doses that are short, and base. */
export function MoreIn(props: FaceProps) {
  const { run, task, tasks, onLook } = props;
  const showing = useShowing();
  const { sheet } = run.snapshot;
  const [isMelting, setMelting] = useState(false);
  if (task.kind !== 'stir-in' && task.kind !== 'pour') return null;
  const baseTaskId = moreBaseFor(run.snapshot, tasks, task);
  const way = 'btn btn-secondary btn-lg';
  return (
    <>
      <ul className="my-2 flex flex-wrap gap-3" aria-label="More into the jug">
        {moreOfDoses(task, tasks, sheet).map(({ task: dose, shortG }) => (
          <li key={dose.id}>
            <button type="button" className={way} onClick={() => onLook(dose.id)}>
              {shortG === null
                ? `Too pale? More of ${taskName(dose, sheet)}`
                : `${showMass(shortG, showing)} more of ${taskName(dose, sheet)}`}
            </button>
          </li>
        ))}
        {baseTaskId !== null && !isMelting && (
          <li>
            <button type="button" className={way} onClick={() => setMelting(true)}>
              Melt a little more
            </button>
          </li>
        )}
      </ul>
      {baseTaskId !== null && isMelting && (
        <MeltMore {...props} baseTaskId={baseTaskId} onClose={() => setMelting(false)} />
      )}
    </>
  );
}

/** More base becomes a weighing of its own; the doses that it leaves short are told once it is weighed. */
function MeltMore({
  baseTaskId,
  sending,
  onTick,
  onClose,
}: FaceProps & { baseTaskId: string; onClose(): void }) {
  const showing = useShowing();
  const [text, setText] = useState('');
  const [asked, setAsked] = useState(false);
  const parsed = parseMass(text, showing.system);
  const massG = parsed.success && parsed.data > 0 ? parsed.data : null;
  const fault =
    massG !== null || (!asked && text.trim() === '')
      ? null
      : parsed.success
        ? 'More than nothing: write how much to melt.'
        : explainWeightFault(parsed.error);

  function melt(event: SubmitEvent) {
    event.preventDefault();
    setAsked(true);
    if (massG !== null) onTick({ kind: 'topped-up', taskId: baseTaskId, massG });
  }

  return (
    <form className="my-2 flex flex-wrap items-end gap-3" noValidate onSubmit={melt}>
      <LargeField
        id="melt-more"
        label="How much more base"
        unit={massUnit(showing.system)}
        inputMode="decimal"
        value={text}
        fault={fault}
        isAsked
        says="its doses are asked for after it"
        onChange={setText}
      />
      <button type="submit" className="btn btn-primary btn-lg" disabled={sending}>
        Weigh it
      </button>
      <button type="button" className="btn btn-ghost btn-lg" onClick={onClose}>
        Cancel
      </button>
    </form>
  );
}
