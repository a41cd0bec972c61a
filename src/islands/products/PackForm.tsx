import { type SubmitEvent, useRef, useState } from 'react';
import { firstOut, type Goods, mostPacks, type PackablePart } from '../../core/goods/goodsView';
import { parseFigure } from '../../core/units/parseFigure';
import { counted, listed } from '../../words/en/plural';
import { showMoment } from '../../words/en/showTime';
import { callApi } from '../shared/api';
import { Choice } from '../shared/Choice';
import { DayField } from '../shared/DayField';
import { newId } from '../shared/newId';
import { useShowing } from '../shared/showing';
import { today } from '../shared/today';
import { WholeField } from './WholeField';

interface Props {
  productId: string;
  parts: readonly PackablePart[];
  /** What is packed is what was saved. */
  isSaved: boolean;
  onPacked(goods: Goods): void;
}

/** Which batches are packed, and how many packs. */
export function PackForm({ productId, parts, isSaved, onPacked }: Props) {
  const { locale } = useShowing();
  const lotId = useRef(newId());
  const [chosen, setChosen] = useState<Record<string, string>>({});
  const [typed, setTyped] = useState<string | null>(null);
  const [packedOn, setPackedOn] = useState(today());
  const [busy, setBusy] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  const runOf = (part: PackablePart) => chosen[part.planId] ?? firstOut(part);
  const most = mostPacks(parts.map((part) => ({ part, runId: runOf(part) })));
  const lacking = parts.filter((part) => firstOut(part) === null);
  if (lacking.length > 0)
    return (
      <p className="quiet text-sm">
        Nothing to pack: no finished batch of {listed(lacking.map(({ planName }) => planName))} has good
        pieces left for a pack.
      </p>
    );
  const rule = { unit: '', least: 1, most: Math.max(1, most), whole: true };
  const text = typed ?? String(rule.most);
  const packs = parseFigure(text, rule);

  async function submit(event: SubmitEvent) {
    event.preventDefault();
    if (!packs.success || busy || !isSaved) return;
    setBusy(true);
    const answer = await callApi<Goods>('POST', `/api/products/${encodeURIComponent(productId)}/packs`, {
      lotId: lotId.current,
      packs: packs.data,
      runIds: parts.map(runOf),
      packedOn,
    });
    setBusy(false);
    setProblem(answer.success ? null : answer.error.detail);
    if (!answer.success) return;
    lotId.current = newId();
    setTyped(null);
    setChosen({});
    onPacked(answer.data);
  }

  return (
    <form
      className="flex flex-wrap items-start gap-3"
      aria-label="Pack"
      onSubmit={(event) => void submit(event)}
    >
      {parts.map((part) => (
        <Choice
          key={part.planId}
          label={parts.length > 1 ? `Batch of ${part.planName}` : 'Of batch'}
          className="w-56"
          value={runOf(part) ?? ''}
          onChange={(id) => setChosen({ ...chosen, [part.planId]: id })}
        >
          {part.runs
            .filter(({ free }) => free >= part.pieces)
            .map(({ id, code, finishedAt, free }) => (
              <option key={id} value={id}>
                {code ?? showMoment(finishedAt, locale)}: {counted(free, 'piece', 'pieces')} left
              </option>
            ))}
        </Choice>
      ))}
      <WholeField label="Packs" text={text} rule={rule} className="w-24" onText={setTyped} />
      <DayField label="Packed on" day={packedOn} onDay={(day) => setPackedOn(day || today())} />
      <button
        type="submit"
        className="btn btn-primary mt-4 min-h-11"
        disabled={busy || !isSaved || !packs.success}
      >
        Pack {packs.success ? packs.data : ''}
      </button>
      {problem && (
        <p role="alert" className="text-error w-full text-sm">
          {problem}
        </p>
      )}
    </form>
  );
}
