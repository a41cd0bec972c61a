import { certainMinor } from '../../core/cost/bounds';
import type { PackCost, PackLine } from '../../core/cost/pack';
import type { Product } from '../../core/product/product';
import { boundsWords } from '../../words/en/cost/costWords';
import { listed } from '../../words/en/plural';
import { PriceRow } from '../shared/PriceRow';
import { useShowing } from '../shared/showing';
import { useAsked } from '../shared/useAsked';

const BY: Record<PackLine['by'], string> = {
  run: 'as they really cost',
  plan: 'as planned',
  shelf: 'packaging',
};

interface Props {
  product: Product;
  runIds: readonly string[];
  /** The cost as the page came. */
  first: PackCost | null;
  currency: string;
}

/** What one pack costs, and what it sells for by the house's rules. */
export function PackCostPanel({ product: { parts, packaging, ...rest }, runIds, first, currency }: Props) {
  const { locale } = useShowing();
  const { answer: cost, problem } = useAsked(
    '/api/pack-cost',
    { product: { ...rest, parts, packaging }, runs: runIds },
    first,
  );
  const missing = (cost?.lines ?? []).flatMap((line) =>
    certainMinor(line.cost) === null ? [line.name] : [],
  );
  return (
    <section className="plate flex flex-col gap-2 p-4" aria-labelledby="pack-cost" aria-busy={cost === null}>
      <h2 id="pack-cost" className="font-semibold">
        What a pack costs
      </h2>
      {problem && (
        <p role="alert" className="text-error text-sm">
          {problem.detail}
        </p>
      )}
      {cost && (
        <>
          <dl className="grid max-w-lg grid-cols-[1fr_auto] gap-x-3 text-sm">
            {cost.lines.flatMap(({ name, count, by, cost: of }) => [
              <dt key={`${by} ${name}`}>
                {count} × {name} <span className="quiet">{BY[by]}</span>
              </dt>,
              <dd key={`${by} ${name} costs`} className="text-right">
                {boundsWords(of, currency, locale)}
              </dd>,
            ])}
            <dt className="font-semibold">Together</dt>
            <dd className="text-right font-semibold">{boundsWords(cost.total, currency, locale)}</dd>
          </dl>
          {missing.length > 0 && (
            <p className="text-warning text-sm">
              What {listed(missing)} {missing.length === 1 ? 'costs is' : 'cost is'} not known for certain:
              type prices at their lots on the{' '}
              <a className="link" href="/shelf">
                shelf
              </a>
              ; hands are known once a batch was made.
            </p>
          )}
          {(cost.listed.retail || cost.listed.wholesale) && (
            <div className="text-sm" data-testid="listed-prices">
              {cost.listed.retail && (
                <PriceRow name="Your retail price" price={cost.listed.retail} currency={currency} />
              )}
              {cost.listed.wholesale && (
                <PriceRow name="Your wholesale price" price={cost.listed.wholesale} currency={currency} />
              )}
            </div>
          )}
          {cost.prices && (
            <div className="text-sm">
              <p className="quiet">By the house’s margin:</p>
              <PriceRow name="Retail" price={cost.prices.retail} currency={currency} />
              <PriceRow name="Wholesale" price={cost.prices.wholesale} currency={currency} />
            </div>
          )}
          {!cost.prices && missing.length === 0 && (
            <p className="text-warning text-sm">Margin and fees together leave nothing of a price.</p>
          )}
          <p className="quiet text-xs">
            Margin, tax and fees:{' '}
            <a className="link" href="/house-rules#money">
              house rules
            </a>
            .
          </p>
        </>
      )}
    </section>
  );
}
