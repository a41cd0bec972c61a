import { CircleCheck, Download, OctagonAlert, TriangleAlert } from 'lucide-react';
import { useState } from 'react';
import { isStop, type WholeLabel } from '../../core/label/labelFaults';
import type { Product } from '../../core/product/product';
import { heightWords, labelFaultWords } from '../../words/en/label/labelFaultWords';
import { RULE_SOURCES } from '../../words/en/label/labelNames';
import { Choice } from '../shared/Choice';
import { saveFrom } from '../shared/saveFile';
import { useShowing } from '../shared/showing';
import { useAsked } from '../shared/useAsked';
import { LabelDrawing } from './LabelDrawing';

/** A finished run that a label can be of. */
export interface RunChoice {
  id: string;
  planId: string;
  plan: string;
  /** Its code and its day. */
  name: string;
}

interface Props {
  product: Product;
  isSaved: boolean;
  runs: readonly RunChoice[];
  /** Those that were chosen. */
  runIds: readonly string[];
  /** The label as the page came. */
  first: WholeLabel | null;
  onRuns(runIds: string[]): void;
}

/** The label as it would be printed, what is missing on it, and its prints. */
export function LabelPanel({ product, isSaved, runs, runIds, first, onRuns }: Props) {
  const { locale } = useShowing();
  const { answer: label, problem } = useAsked('/api/labels', { product, runs: runIds }, first);
  const choose = (planId: string, id: string) =>
    onRuns([
      ...runIds.filter((each) => runs.find((run) => run.id === each)?.planId !== planId),
      ...(id === '' ? [] : [id]),
    ]);
  const query = new URLSearchParams(runIds.map((id) => ['run', id]));
  return (
    <section
      className="plate flex flex-col gap-3 p-4"
      aria-labelledby="label-title"
      aria-busy={label === null}
    >
      <h2 id="label-title" className="font-semibold">
        Label
      </h2>
      {product.parts.map(({ planId }) => {
        const own = runs.filter((run) => run.planId === planId);
        return (
          own.length > 1 && (
            <Choice
              key={planId}
              label={product.parts.length > 1 ? `Of which batch, ${own[0]?.plan ?? ''}` : 'Of which batch'}
              className="max-w-sm"
              value={runIds.find((id) => own.some((run) => run.id === id)) ?? ''}
              onChange={(id) => choose(planId, id)}
            >
              <option value="">the last one</option>
              {own.map(({ id, name }) => (
                <option key={id} value={id}>
                  {name}
                </option>
              ))}
            </Choice>
          )
        );
      })}
      {problem && (
        <p role="alert" className="text-error text-sm">
          {problem.detail}
        </p>
      )}
      {label === null && !problem && <p className="quiet text-sm">Setting the label …</p>}
      {label && (
        <>
          <div className="flex flex-wrap items-start gap-3">
            {label.set.pieces.map((piece, place) => (
              <LabelDrawing
                // biome-ignore lint/suspicious/noArrayIndexKey: front and back, in this order
                key={place}
                piece={piece}
                name={`Label of ${product.name}, ${piece.places.map(({ side }) => side).join(' and ')}, ${piece.widthMm} by ${piece.heightMm} mm`}
              />
            ))}
          </div>
          <ul className="flex flex-col gap-1 text-sm" aria-label="What the label lacks" aria-live="polite">
            {label.faults.length === 0 && (
              <li className="flex gap-2">
                <CircleCheck size={18} className="text-success shrink-0" aria-hidden="true" />
                Everything is on it.
              </li>
            )}
            {label.faults.map((fault) => {
              const [Icon, colour] = isStop(fault)
                ? ([OctagonAlert, 'text-error'] as const)
                : ([TriangleAlert, 'text-warning'] as const);
              return (
                <li key={JSON.stringify(fault)} className="flex gap-2">
                  <Icon size={18} className={`${colour} shrink-0`} aria-hidden="true" />
                  {labelFaultWords(fault, locale)}
                </li>
              );
            })}
          </ul>
          <p className="quiet text-xs">
            {heightWords(label.set.heights, locale)} {RULE_SOURCES[product.rules]}, from memory: guidance,
            which your local law and authority go before.
          </p>
          <Prints product={product} isSaved={isSaved} query={query} isWhole={label.isWhole} />
        </>
      )}
    </section>
  );
}

interface PrintProps {
  product: Product;
  isSaved: boolean;
  query: URLSearchParams;
  isWhole: boolean;
}

/** The label as PDF, alone or on sheets of stickers. */
function Prints({ product, isSaved, query, isWhole }: PrintProps) {
  const [count, setCount] = useState('10');
  const [first, setFirst] = useState('1');
  const [busy, setBusy] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  const id = encodeURIComponent(product.id);
  const sheet = new URLSearchParams([['of', product.id], ['count', count], ['first', first], ...query]);
  async function print(path: string) {
    setBusy(true);
    setProblem(await saveFrom(path, `${product.name}.pdf`));
    setBusy(false);
  }
  const button = (words: string, path: string) => (
    <button
      type="button"
      className="btn btn-secondary min-h-11"
      disabled={busy || !isSaved}
      onClick={() => void print(path)}
    >
      <Download size={18} aria-hidden="true" />
      {words}
    </button>
  );
  const number = (label: string, value: string, set: (value: string) => void) => (
    <label className="flex flex-col">
      <span className="quiet text-xs">{label}</span>
      <input
        className="input input-sm pointer-coarse:min-h-11 w-20"
        inputMode="numeric"
        value={value}
        onChange={({ target }) => set(target.value)}
      />
    </label>
  );
  return (
    <div className="flex flex-wrap items-end gap-3">
      {button('One label, PDF', `/api/labels/${id}/label.pdf?${query}`)}
      {number('How many', count, setCount)}
      {number('First free label', first, setFirst)}
      {button('On a sheet of stickers, PDF', `/api/labels/sheet.pdf?${sheet}`)}
      {problem && (
        <p role="alert" className="text-error w-full text-sm">
          {problem}
        </p>
      )}
      {!isWhole && (
        <p className="quiet w-full text-xs">Something is missing: print it to try it, not to sell with it.</p>
      )}
    </div>
  );
}
