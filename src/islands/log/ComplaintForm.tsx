import { useState } from 'react';
import type { RunEvent } from '../../core/run/run';

interface Props {
  sending: boolean;
  /** Answers whether it was added. */
  onAdd(event: RunEvent): Promise<boolean>;
}

const EMPTY = { words: '', from: '', done: '' };

/** What came back from whoever used a bar, and what was done about it. */
export function ComplaintForm({ sending, onAdd }: Props) {
  const [texts, setTexts] = useState(EMPTY);
  const [asked, setAsked] = useState(false);
  const isMissing = texts.words.trim() === '';
  const field = (key: keyof typeof EMPTY, label: string, most: number) => (
    <label className="block">
      <span className="block text-sm font-semibold">{label}</span>
      <input
        className={`input min-h-11 w-full ${key === 'words' && asked && isMissing ? 'input-error' : ''}`}
        maxLength={most}
        autoComplete="off"
        value={texts[key]}
        aria-invalid={key === 'words' && asked && isMissing}
        onChange={({ target }) => setTexts({ ...texts, [key]: target.value })}
      />
    </label>
  );
  return (
    <details className="mt-3">
      <summary className="flex min-h-11 cursor-pointer items-center font-semibold">
        A complaint or a reaction
      </summary>
      <form
        className="flex flex-col gap-2"
        noValidate
        onSubmit={(event) => {
          event.preventDefault();
          setAsked(true);
          if (isMissing) return;
          const { words, from, done } = texts;
          void onAdd({ kind: 'complained', words: words.trim(), from: from.trim(), done: done.trim() }).then(
            (added) => {
              if (!added) return;
              setTexts(EMPTY);
              setAsked(false);
            },
          );
        }}
      >
        {field('words', 'What was said', 4000)}
        {field('from', 'By whom, where known', 200)}
        {field('done', 'What was done', 4000)}
        {asked && isMissing && (
          <p role="alert" className="text-error text-sm">
            Write what was said.
          </p>
        )}
        <p className="quiet text-sm">
          A reaction of the skin: ask that the bar is not used any more, and that a doctor is asked. Local
          rules may want it reported.
        </p>
        <button type="submit" className="btn btn-secondary min-h-11 self-start" disabled={sending}>
          Add it to this batch
        </button>
      </form>
    </details>
  );
}
