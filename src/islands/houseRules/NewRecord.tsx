import { type SubmitEvent, useId, useState } from 'react';
import type { Result } from '../../core/result';
import type { ApiProblem } from '../shared/api';

interface Props<Key extends string, Item> {
  /** “New jug”. */
  title: string;
  /** “Add the jug”. */
  action: string;
  labels: Record<Key, string>;
  /** The record that texts say, or why they do not, with the field's label before it. */
  read(texts: Record<Key, string>): Result<Item, string>;
  /** Answers the problem, or null when it is added. */
  add(item: Item): Promise<ApiProblem | null>;
}

/** A few fields that make a record; what is wrong with them stands below. */
export function NewRecord<Key extends string, Item>({ title, action, labels, read, add }: Props<Key, Item>) {
  const id = useId();
  const keys = Object.keys(labels) as Key[];
  const nothing = Object.fromEntries(keys.map((key) => [key, ''])) as Record<Key, string>;
  const [texts, setTexts] = useState(nothing);
  const [problem, setProblem] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);

  async function submit(event: SubmitEvent) {
    event.preventDefault();
    const item = read(texts);
    if (!item.success) return setProblem(item.error);
    setBusy(true);
    const refused = await add(item.data);
    setBusy(false);
    setProblem(refused?.detail ?? null);
    if (!refused) setTexts(nothing);
  }
  return (
    <form className="mt-2 grid grid-cols-2 items-end gap-2" aria-label={title} onSubmit={submit}>
      {keys.map((key) => (
        <label key={key} className="text-xs">
          {labels[key]}
          <input
            className="input min-h-11 w-full"
            value={texts[key]}
            maxLength={60}
            aria-describedby={id}
            onChange={({ target }) => setTexts({ ...texts, [key]: target.value })}
          />
        </label>
      ))}
      <p id={id} className="text-error col-span-2 text-sm" role={problem ? 'alert' : undefined}>
        {problem}
      </p>
      <button type="submit" className="btn btn-secondary col-start-2 justify-self-end" disabled={busy}>
        {action}
      </button>
    </form>
  );
}
