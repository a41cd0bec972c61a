import { createElement } from 'react';
import { renderToStaticMarkup } from 'react-dom/server';
import { NO_MOLD_ID } from '../core/molds/noMold';
import type { FromShelf } from '../core/stock/fromShelf';
import { type Showing, showMass } from '../core/units/showQuantity';
import { keptOfPlans } from '../server/keptOfPlans';
import type { PlanCounts } from '../server/planCounts';
import type { PlanView } from '../server/views';
import { USE_NAMES } from '../words/en/plan/useNames';
import { listed } from '../words/en/plural';
import { OpenCounts } from './OpenCounts';
import { thumbnail } from './thumbnail';

interface Props {
  view: PlanView;
  counts: PlanCounts;
  /** null where there is no sheet. */
  fromShelf: FromShelf | null;
  /** Of the materials of a piece, in words; null where nobody knows. */
  cost: string | null;
  showing: Showing;
  /** With the button of its menu: see PlanMenu. */
  hasMenu: boolean;
}

const KEPT = keptOfPlans<{ of: PlanView['sheet']; key: string; markup: Buffer }>();

/**
 * What a card shows of a plan, as markup: drawn once, for as long as what it shows is the same. Kept as bytes: a text that
 * was put together from thousands of parts takes several times as much.
 */
export function planCardMarkup(props: Props): string {
  const { view, counts, fromShelf, cost, showing, hasMenu } = props;
  const { stored, sheet, fault } = view;
  const key = JSON.stringify([stored.id, stored.version, fault, counts, fromShelf, cost, showing, hasMenu]);
  const known = KEPT.get(stored.plan);
  if (known && known.of === sheet && known.key === key) return known.markup.toString();
  const markup = renderToStaticMarkup(createElement(PlanCardBody, props));
  KEPT.set(stored.plan, { of: sheet, key, markup: Buffer.from(markup) });
  return markup;
}

function PlanCardBody({ view, counts, fromShelf, cost, showing, hasMenu }: Props) {
  const { stored, file, sheet, fault } = view;
  const { plan } = stored;
  const drawn = thumbnail(sheet ? { sheet } : file && { mold: file.mold }, showing.locale);
  return (
    <>
      <a href={`/plans/${stored.id}`} className="flex flex-1 flex-col gap-2 rounded-lg">
        <span
          className="flex h-24 items-center justify-center"
          aria-hidden="true"
          // biome-ignore lint/security/noDangerouslySetInnerHtml: markup of our own, drawn by React
          dangerouslySetInnerHTML={{ __html: drawn }}
        />
        <span className="text-lg leading-tight font-semibold">{plan.name}</span>
        <span className="quiet text-sm">
          {USE_NAMES[plan.use]} · {amountOf(view, showing)}
          {cost !== null && `, ${cost} of materials`}
        </span>
        <span className="text-sm">
          {fault === null ? (
            <OpenCounts counts={counts} planId={stored.id} />
          ) : (
            <strong className="text-error">Can’t be shown: {fault}</strong>
          )}{' '}
          <span className="quiet">· version {stored.version}</span>
        </span>
        {fromShelf && (
          <span className={`text-sm ${hasMenu ? 'pr-11' : ''}`}>
            <OfShelf fromShelf={fromShelf} isInMold={plan.moldId !== NO_MOLD_ID} />
          </span>
        )}
      </a>
      {hasMenu && (
        <button
          type="button"
          className="btn btn-ghost btn-square absolute right-1 bottom-1 min-h-11 min-w-11 text-xl leading-none"
          aria-label={`More for ${plan.name}`}
          data-menu-of={stored.id}
        >
          ⋯
        </button>
      )}
    </>
  );
}

/** “10 × Loaf mold, 98.4 g each”. */
function amountOf({ stored: { plan }, file, sheet }: PlanView, showing: Showing): string {
  if (plan.moldId === NO_MOLD_ID)
    return `${sheet ? showMass(sheet.totals.jugG, showing) : ''} in the jug, no mold yet`;
  const each = sheet ? `, ${showMass(sheet.totals.pieceG, showing)} each` : '';
  return `${sheet?.pieces ?? plan.pieces} × ${file?.mold.name ?? 'no mold'}${each}`;
}

function OfShelf({ fromShelf, isInMold }: { fromShelf: FromShelf; isInMold: boolean }) {
  const { batches, shortOf, pieces, notCounted } = fromShelf;
  return (
    <>
      {batches < 1 ? (
        <span className="text-warning font-semibold">
          {isInMold ? `${shortOf} makes only ${pieces}` : `${shortOf} is too little`}
        </span>
      ) : (
        notCounted.length === 0 && <span className="text-success font-semibold">The shelf has all of it</span>
      )}{' '}
      {notCounted.length > 0 && <span className="quiet">Without a lot: {listed(notCounted)}</span>}
    </>
  );
}
