import { useEffect, useRef, useState } from 'react';
import { isBarcode } from '../../core/product/barcode';
import type { Product } from '../../core/product/product';
import { callApi } from '../shared/api';
import { DeskHeader } from '../shared/DeskHeader';
import { Line } from '../shared/Line';
import { RecordProblem } from '../shared/RecordProblem';
import type { StoredItem } from '../shared/saveQueue';
import { withShowing } from '../shared/showing';
import { useSaveQueue } from '../shared/useSaveQueue';
import { DeleteProduct } from './DeleteProduct';
import { LabelPanel, type RunChoice } from './LabelPanel';
import { PackCostPanel } from './PackCostPanel';
import { LabelFields, type Named, PackFields, WordFields } from './ProductFields';

interface Props {
  start: StoredItem<Product>;
  plans: Named[];
  packaging: Named[];
  runs: RunChoice[];
  /** Runs whose label is asked for. */
  chosen: string[];
  /** ISO 4217. */
  currency: string;
}

const QUIET_MS = 500;
const IN_ONE_GO_MS = 1500;

/** A product with its label beside it, saved a moment after each change. */
function ProductDesk({ start, plans, packaging, runs, chosen, currency }: Props) {
  const [product, setProduct] = useState(start.item);
  const [past, setPast] = useState<Product[]>([]);
  const [runIds, setRunIds] = useState(chosen);
  const { queue, state } = useSaveQueue<Product, StoredItem<Product>>(start, (item, revision) =>
    callApi('PUT', `/api/products/${encodeURIComponent(item.id)}`, { item, revision }, { keepalive: true }),
  );
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  const fault = faultOf(product);
  const shown = fault === null ? product : queue.wanted();
  useEffect(() => {
    if (fault !== null) return;
    queue.want(product);
    timer.current = setTimeout(() => void queue.flush(), QUIET_MS);
    return () => clearTimeout(timer.current);
  }, [product, fault, queue]);
  const typed = useRef({ what: '', atMs: 0 });
  const change = (part: Partial<Product>) => {
    const now = { what: Object.keys(part).join(), atMs: Date.now() };
    // What is typed in one go is one step back.
    const goesOn = now.what === typed.current.what && now.atMs - typed.current.atMs < IN_ONE_GO_MS;
    typed.current = now;
    if (!goesOn) setPast([...past, product]);
    setProduct({ ...product, ...part });
  };
  const undo = () => {
    const before = past.at(-1);
    if (!before) return;
    setPast(past.slice(0, -1));
    typed.current = { what: '', atMs: 0 };
    setProduct(before);
  };
  return (
    <div className="flex flex-col gap-3">
      <DeskHeader
        title={product.name || 'Without a name'}
        state={state.kind}
        fault={fault}
        canUndo={past.length > 0}
        onUndo={undo}
      />
      {'problem' in state && (
        <RecordProblem
          problem={state.problem}
          onKeepMine={() => void queue.keepMine(state.problem.revision ?? queue.revision())}
          onTakeTheirs={() => {
            const theirs = state.problem.current as Product;
            queue.takeTheirs(theirs, state.problem.revision ?? 0);
            setProduct(theirs);
            setPast([]);
          }}
        />
      )}
      <div className="grid items-start gap-4 lg:grid-cols-[24rem_1fr]">
        <div className="flex flex-col gap-3">
          <section className="plate flex flex-col gap-2 p-4" aria-labelledby="pack-title">
            <h2 id="pack-title" className="font-semibold">
              The pack
            </h2>
            <Line label="Name" value={product.name} most={80} needed onText={(name) => change({ name })} />
            <PackFields product={product} plans={plans} packaging={packaging} onChange={change} />
          </section>
          <section className="plate flex flex-col gap-2 p-4" aria-labelledby="words-title">
            <h2 id="words-title" className="font-semibold">
              What it says
            </h2>
            <WordFields product={product} onChange={change} />
          </section>
          <section className="plate flex flex-col gap-2 p-4" aria-labelledby="cut-title">
            <h2 id="cut-title" className="font-semibold">
              Rules and size
            </h2>
            <LabelFields product={product} onChange={change} />
          </section>
        </div>
        <div className="flex flex-col gap-3">
          <LabelPanel
            product={shown}
            isSaved={state.kind === 'saved' && fault === null}
            {...{ runs, runIds }}
            onRuns={setRunIds}
          />
          <PackCostPanel product={shown} runIds={runIds} currency={currency} />
          <DeleteProduct id={product.id} />
        </div>
      </div>
    </div>
  );
}

/** Why a product can't be saved as it stands; null where it can. */
function faultOf({ name, words, barcode }: Product): string | null {
  if (name.trim() === '') return 'Not saved: it needs a name.';
  if (words.some(({ language }) => language.trim() === '')) return 'Not saved: say which language it is.';
  if (barcode !== null && !isBarcode(barcode))
    return 'Not saved: a number of goods has 8, 12 or 13 digits, and its last one checks the others.';
  return null;
}

export default withShowing(ProductDesk);
