import { Plus } from 'lucide-react';
import { type SubmitEvent, useState } from 'react';
import type { Purchase, PurchaseLine } from '../../core/purchase/purchase';
import { Line } from '../shared/Line';
import { useMake } from '../shared/useMake';

interface Props {
  /** What it begins with. */
  lines: PurchaseLine[];
  label: string;
}

/** A new purchase of a supplier. */
export default function NewPurchase({ lines, label }: Props) {
  const [name, setName] = useState('');
  const [asked, setAsked] = useState(false);
  const { busy, problem, make } = useMake<Purchase>('purchases');
  function submit(event: SubmitEvent) {
    event.preventDefault();
    setAsked(true);
    if (name.trim() !== '') void make({ name, lines, orderedOn: null, postage: null, note: '' });
  }
  return (
    <form className="flex flex-wrap items-end gap-3" aria-label={label} onSubmit={submit}>
      <Line label="Supplier" value={name} most={120} needed={asked} className="w-60" onText={setName} />
      <button type="submit" className="btn btn-primary min-h-11" disabled={busy}>
        <Plus size={20} aria-hidden="true" />
        {label}
      </button>
      {problem && (
        <p role="alert" className="text-error text-sm">
          {problem}
        </p>
      )}
    </form>
  );
}
