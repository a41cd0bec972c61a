import { type SubmitEvent, useRef, useState } from 'react';
import type { PurchaseLine } from '../../core/purchase/purchase';
import type { Lot } from '../../core/stock/lot';
import { minorUnitsOf, moneyOf, payable } from '../../core/units/money';
import { callApi } from '../shared/api';
import { DayField } from '../shared/DayField';
import { Line } from '../shared/Line';
import { MoneyField } from '../shared/MoneyField';
import { newId } from '../shared/newId';
import { today } from '../shared/today';
import { AmountField } from './AmountField';

interface Props {
  purchaseId: string;
  line: PurchaseLine;
  name: string;
  isCounted: boolean;
  currency: string;
  /** What came of it before. */
  came: number;
  onCame(lots: Lot[]): void;
  onClose(): void;
}

/** What stands on the pack that came: it becomes a lot of the shelf. */
export function ReceiveForm({ purchaseId, line, name, isCounted, currency, came, onCame, onClose }: Props) {
  const lotId = useRef(newId());
  const open = line.amount - came;
  const [amount, setAmount] = useState(open > 0 ? open : line.amount);
  const [number, setNumber] = useState('');
  const [asked, setAsked] = useState(false);
  const [price, setPrice] = useState<string | null | undefined>(undefined);
  const [isPriced, setPriced] = useState(true);
  const [receivedOn, setReceivedOn] = useState(today());
  const [bestBefore, setBestBefore] = useState('');
  const [heldFor, setHeldFor] = useState('');
  const [busy, setBusy] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  const usual =
    line.price === null
      ? null
      : moneyOf(payable((minorUnitsOf(line.price) * amount) / line.amount, currency));

  async function submit(event: SubmitEvent) {
    event.preventDefault();
    setAsked(true);
    if (number.trim() === '' || busy) return;
    setBusy(true);
    const answer = await callApi<Lot[]>('POST', `/api/purchases/${encodeURIComponent(purchaseId)}/lots`, {
      ...{ lotId: lotId.current, materialId: line.materialId, receivedOn, number, amount },
      price: price === undefined ? usual : price,
      bestBefore: bestBefore === '' ? null : bestBefore,
      heldFor: heldFor.trim() === '' ? null : heldFor.trim(),
    });
    setBusy(false);
    if (answer.success) onCame(answer.data);
    else setProblem(answer.error.detail);
  }

  return (
    <form
      className="border-base-300 grid w-full items-start gap-3 rounded-lg border p-3 sm:grid-cols-3"
      aria-label={`What came of ${name}`}
      onSubmit={(event) => void submit(event)}
    >
      <Line label="Lot number, as on the pack" value={number} most={60} needed={asked} onText={setNumber} />
      <AmountField label="Came" amount={amount} isCounted={isCounted} onChange={setAmount} />
      <MoneyField
        label="Price of it"
        value={price === undefined ? usual : price}
        currency={currency}
        none="Not known."
        onChange={setPrice}
        onReadable={setPriced}
      />
      <DayField label="Came on" day={receivedOn} onDay={(day) => setReceivedOn(day || today())} />
      <DayField label="Best before" day={bestBefore} onDay={setBestBefore} />
      <Line
        label="Put aside until (its certificate, a trial)"
        value={heldFor}
        most={200}
        onText={setHeldFor}
      />
      {problem && (
        <p role="alert" className="text-error text-sm sm:col-span-3">
          {problem}
        </p>
      )}
      <p className="flex gap-2 sm:col-span-3">
        <button type="submit" className="btn btn-primary min-h-11" disabled={busy || !isPriced}>
          Put it on the shelf
        </button>
        <button type="button" className="btn btn-ghost min-h-11" onClick={onClose}>
          Close
        </button>
      </p>
    </form>
  );
}
