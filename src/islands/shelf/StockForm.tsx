import { type SubmitEvent, useId, useState } from 'react';
import { isCounted, type Material } from '../../core/materials/material';
import { parseFigure } from '../../core/units/parseFigure';
import { parseMass } from '../../core/units/parseMass';
import { massUnit, type Showing } from '../../core/units/showQuantity';
import { explainFigureFault } from '../../words/en/units/figureFault';
import { explainWeightFault } from '../../words/en/units/weightFault';
import { callApi } from '../shared/api';
import { newId } from '../shared/newId';
import { useShowing } from '../shared/showing';
import type { LotView } from './lotView';

interface Props {
  view: LotView;
  material: Material;
  onSaved(view: LotView): void;
  onClose(): void;
}

const WAYS = { count: 'Counted: this is there', out: 'Gone: take this away', in: 'Found: add this' } as const;
type Way = keyof typeof WAYS;
const PIECES = { unit: 'pieces', least: 0, most: 1e6, whole: true };

/** A count, or something that went or came beside the runs; each is an entry of its own. */
export function StockForm({ view, material, onSaved, onClose }: Props) {
  const showing = useShowing();
  const id = useId();
  const [way, setWay] = useState<Way>('count');
  const [text, setText] = useState('');
  const [note, setNote] = useState('');
  const [problem, setProblem] = useState<string | null>(null);
  const [entryId] = useState(() => newId());
  const [busy, setBusy] = useState(false);
  const isPacking = isCounted(material.kind);

  async function submit(event: SubmitEvent) {
    event.preventDefault();
    const read = readAmount(text, isPacking, showing);
    if (typeof read === 'string') return setProblem(read);
    const edit =
      way === 'count'
        ? { kind: 'count', counted: read, note }
        : { kind: 'correction', change: way === 'out' ? -read : read, note };
    setBusy(true);
    const answer = await callApi<LotView>('POST', `/api/lots/${view.item.id}/entries`, { entryId, edit });
    setBusy(false);
    if (answer.success) onSaved(answer.data);
    else setProblem(answer.error.detail);
  }

  return (
    <form
      className="my-2 flex flex-col gap-2"
      aria-label={`Stock of lot ${view.item.number}`}
      onSubmit={submit}
    >
      <div className="grid items-end gap-2 sm:grid-cols-[1fr_8rem_1fr]">
        <label className="text-sm">
          What happened
          <select
            className="select min-h-11 w-full"
            value={way}
            onChange={({ target }) => setWay(target.value as Way)}
          >
            {Object.entries(WAYS).map(([code, name]) => (
              <option key={code} value={code}>
                {name}
              </option>
            ))}
          </select>
        </label>
        <label className="text-sm">
          Amount, {isPacking ? 'pieces' : massUnit(showing.system)}
          <input
            className={`input min-h-11 w-full ${problem ? 'input-error' : ''}`}
            inputMode="decimal"
            value={text}
            aria-describedby={`${id}-why`}
            onChange={({ target }) => setText(target.value)}
          />
        </label>
        <label className="text-sm">
          Why
          <input
            className="input min-h-11 w-full"
            maxLength={2000}
            value={note}
            onChange={({ target }) => setNote(target.value)}
          />
        </label>
      </div>
      <p id={`${id}-why`} className="text-error text-sm" role={problem ? 'alert' : undefined}>
        {problem}
      </p>
      <div className="flex justify-end gap-2">
        <button type="button" className="btn btn-ghost" onClick={onClose}>
          Close
        </button>
        <button type="submit" className="btn btn-primary" disabled={busy}>
          Write it down
        </button>
      </div>
    </form>
  );
}

function readAmount(text: string, isPacking: boolean, showing: Showing): number | string {
  if (isPacking) {
    const parsed = parseFigure(text, PIECES);
    return parsed.success ? parsed.data : explainFigureFault(parsed.error, PIECES);
  }
  const parsed = parseMass(text, showing.system);
  return parsed.success ? parsed.data : explainWeightFault(parsed.error);
}
