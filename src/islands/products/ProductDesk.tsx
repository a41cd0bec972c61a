import { useState } from 'react';
import type { PackCost } from '../../core/cost/pack';
import type { Goods } from '../../core/goods/goodsView';
import type { WholeLabel } from '../../core/label/labelFaults';
import { isBarcode } from '../../core/product/barcode';
import type { Product } from '../../core/product/product';
import { DeleteRecord } from '../shared/DeleteRecord';
import { DeskHead } from '../shared/DeskHead';
import { Line } from '../shared/Line';
import { pageData } from '../shared/pageData';
import type { StoredItem } from '../shared/saveQueue';
import { withShowing } from '../shared/showing';
import { useDesk } from '../shared/useDesk';
import { GoodsPanel } from './GoodsPanel';
import { LabelFields } from './LabelFields';
import { LabelPanel, type RunChoice } from './LabelPanel';
import { PackCostPanel } from './PackCostPanel';
import { type Named, PackFields, PriceFields, WordFields } from './ProductFields';

interface Props {
  /** Runs whose label is asked for. */
  chosen: string[];
  /** ISO 4217. */
  currency: string;
}

/** What the page brings along. */
export interface ProductPageRecords {
  start: StoredItem<Product>;
  plans: Named[];
  packaging: Named[];
  runs: RunChoice[];
  /** What came with the page; null where it couldn't be worked out. */
  first: { label: WholeLabel | null; cost: PackCost | null };
  goods: Goods;
}

function ProductDesk(props: Props) {
  const [records] = useState(() => pageData<ProductPageRecords>('product'));
  return <Desk {...props} {...records} />;
}

/** A product with its label beside it, saved a moment after each change. */
function Desk(props: Props & ProductPageRecords) {
  const { start, plans, packaging, runs, chosen, first, goods, currency } = props;
  const desk = useDesk(start, '/api/products', faultOf);
  const { item: product, saved: shown, change } = desk;
  const [runIds, setRunIds] = useState(chosen);
  return (
    <div className="flex flex-col gap-3">
      <DeskHead title={product.name || 'Without a name'} desk={desk} />
      <div className="grid items-start gap-4 lg:grid-cols-[24rem_1fr]">
        <div className="flex flex-col gap-3">
          <section className="plate flex flex-col gap-2 p-4" aria-labelledby="pack-title">
            <h2 id="pack-title" className="font-semibold">
              The pack
            </h2>
            <Line label="Name" value={product.name} most={80} needed onText={(name) => change({ name })} />
            <PackFields product={product} plans={plans} packaging={packaging} onChange={change} />
            <PriceFields product={product} currency={currency} onChange={change} />
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
            isSaved={desk.state === 'saved' && desk.fault === null}
            {...{ runs, runIds }}
            first={first.label}
            onRuns={setRunIds}
          />
          <GoodsPanel
            product={shown}
            start={goods}
            currency={currency}
            isSaved={desk.state === 'saved' && desk.fault === null}
          />
          <PackCostPanel product={shown} runIds={runIds} first={first.cost} currency={currency} />
          <DeleteRecord id={product.id} what="product" path="products" />
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
