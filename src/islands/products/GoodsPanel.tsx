import { useEffect, useRef, useState } from 'react';
import { actsOf, packsByPlace, takingsOf } from '../../core/goods/goods';
import type { Goods, GoodsLot } from '../../core/goods/goodsView';
import type { Product } from '../../core/product/product';
import { actWords, goodsInShort, packsWords, takingsWords } from '../../words/en/goods/goodsWords';
import { showDay, showMoment } from '../../words/en/showTime';
import { callApi } from '../shared/api';
import { useShowing } from '../shared/showing';
import { GoodsEditForm } from './GoodsEditForm';
import { PackForm } from './PackForm';

interface Props {
  product: Product;
  start: Goods;
  /** ISO 4217. */
  currency: string;
  isSaved: boolean;
}

/** What of a product was packed, where it stands and what became of it. */
export function GoodsPanel({ product, start, currency, isSaved }: Props) {
  const [goods, setGoods] = useState(start);
  const path = `/api/products/${encodeURIComponent(product.id)}/packs`;
  const parts = JSON.stringify(product.parts);
  const read = useRef(parts);
  useEffect(() => {
    // What is in a pack was changed: other batches can be packed.
    if (!isSaved || read.current === parts) return;
    read.current = parts;
    void callApi<Goods>('GET', path).then((answer) => answer.success && setGoods(answer.data));
  }, [isSaved, parts, path]);
  const { locale } = useShowing();
  const takings = takingsWords(
    goods.lots.map(({ entries }) => takingsOf(entries)),
    currency,
    locale,
  );
  const places = packsByPlace(goods.lots.flatMap(({ entries }) => entries));
  return (
    <section className="plate flex flex-col gap-3 p-4" aria-labelledby="goods-title">
      <h2 id="goods-title" className="font-semibold">
        Packed and in stock
      </h2>
      <p className="text-sm" data-testid="goods-now">
        {places.length === 0 ? 'None in stock.' : `${packsWords(places)}.`}
      </p>
      {takings !== '' && (
        <p className="text-sm" data-testid="goods-takings">
          {takings}
        </p>
      )}
      <PackForm productId={product.id} parts={goods.parts} isSaved={isSaved} onPacked={setGoods} />
      {goods.lots.length > 0 && (
        <ul className="flex flex-col">
          {goods.lots.map((each) => (
            <Packed
              key={each.lot.id}
              goods={each}
              places={goods.places}
              prices={product.prices}
              currency={currency}
              onGoods={setGoods}
            />
          ))}
        </ul>
      )}
    </section>
  );
}

interface PackedProps {
  goods: GoodsLot;
  places: readonly string[];
  prices: Product['prices'];
  currency: string;
  onGoods(goods: Goods): void;
}

function Packed({ goods, places, prices, currency, onGoods }: PackedProps) {
  const { locale } = useShowing();
  const { lot, entries } = goods;
  const [isOpen, setOpen] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  const name = `${lot.number}, packed on ${showDay(lot.boughtOn, locale)}`;
  async function takeBack(actId: string) {
    const answer = await callApi<Goods>(
      'DELETE',
      `/api/goods/${encodeURIComponent(lot.id)}/acts/${encodeURIComponent(actId)}`,
    );
    setProblem(answer.success ? null : answer.error.detail);
    if (answer.success) onGoods(answer.data);
  }
  return (
    <li className="border-base-300 flex flex-wrap items-center gap-x-3 gap-y-1 border-t py-2">
      <div className="min-w-56 flex-1">
        <strong>{lot.number}</strong>{' '}
        <span className="quiet text-sm">
          packed on {showDay(lot.boughtOn, locale)}
          {lot.bestBefore && `, best before ${showDay(lot.bestBefore, locale)}`}
        </span>
        <span className="block text-sm">{goodsInShort(entries)}</span>
      </div>
      <button
        type="button"
        className="btn btn-secondary min-h-11"
        aria-expanded={isOpen}
        aria-label={`Sold, moved, given away: ${name}`}
        onClick={() => setOpen(!isOpen)}
      >
        Sold, moved …
      </button>
      {isOpen && (
        <GoodsEditForm
          goods={goods}
          places={places}
          prices={prices}
          currency={currency}
          onDone={(next) => {
            setOpen(false);
            onGoods(next);
          }}
          onClose={() => setOpen(false)}
        />
      )}
      <details className="w-full text-sm">
        <summary className="inline-flex min-h-11 cursor-pointer items-center underline">
          What became of them, line by line
        </summary>
        <ul>
          {actsOf(entries).map((act) => {
            const told = actWords(act, currency, locale);
            const [first] = act.entries;
            return (
              <li key={act.id} className="flex flex-wrap items-center gap-x-3">
                <span className="quiet">{showMoment(first?.at ?? '', locale)}</span>
                <span className="flex-1">
                  {told}
                  {first?.note && !act.isBack && ` (${first.note})`}
                </span>
                {act.isOpen && (
                  <button
                    type="button"
                    className="btn btn-ghost min-h-11"
                    aria-label={`Take back: ${told}`}
                    onClick={() => void takeBack(act.id)}
                  >
                    Take back
                  </button>
                )}
              </li>
            );
          })}
        </ul>
      </details>
      {problem && (
        <p role="alert" className="text-error w-full text-sm">
          {problem}
        </p>
      )}
    </li>
  );
}
