import { useState } from 'react';
import { type Purchase, purchaseState } from '../../core/purchase/purchase';
import type { Lot } from '../../core/stock/lot';
import { minorUnitsOf } from '../../core/units/money';
import { showMoney } from '../../core/units/showQuantity';
import { PURCHASE_STATES } from '../../words/en/purchase/purchaseWords';
import { DayField } from '../shared/DayField';
import { DeleteRecord } from '../shared/DeleteRecord';
import { DeskHead } from '../shared/DeskHead';
import { Line } from '../shared/Line';
import { MoneyField } from '../shared/MoneyField';
import type { StoredItem } from '../shared/saveQueue';
import { useShowing, withShowing } from '../shared/showing';
import { today } from '../shared/today';
import { useDesk } from '../shared/useDesk';
import type { Orderable } from './orderable';
import { PurchaseLines } from './PurchaseLines';

interface Props {
  start: StoredItem<Purchase>;
  came: Lot[];
  materials: Orderable[];
  /** ISO 4217. */
  currency: string;
}

/** What is ordered of a supplier, and what came of it. */
function PurchaseDesk({ start, came, materials, currency }: Props) {
  const { locale } = useShowing();
  const desk = useDesk(start, '/api/purchases', faultOf);
  const { item: purchase, change } = desk;
  const [lots, setLots] = useState(came);
  const prices = purchase.lines.map(({ price }) => price);
  const sum = [...prices, purchase.postage].reduce(
    (total, price) => total + (price === null ? 0 : minorUnitsOf(price)),
    0,
  );
  const unknown = prices.filter((price) => price === null).length;
  return (
    <div className="flex flex-col gap-3">
      <DeskHead title={purchase.name || 'Without a supplier'} desk={desk} />
      <section
        className="plate grid items-start gap-3 p-4 sm:grid-cols-[1fr_auto_10rem]"
        aria-label="The purchase"
      >
        <Line label="Supplier" value={purchase.name} most={120} needed onText={(name) => change({ name })} />
        <Ordered day={purchase.orderedOn} onDay={(orderedOn) => change({ orderedOn })} />
        <MoneyField
          label="Postage of all of it"
          value={purchase.postage}
          currency={currency}
          none="None, or not known yet."
          onChange={(postage) => change({ postage })}
        />
        <Line
          label="Note"
          value={purchase.note}
          most={2000}
          className="sm:col-span-3"
          onText={(note) => change({ note })}
        />
      </section>
      <p className="text-sm" data-testid="purchase-state">
        <strong>{PURCHASE_STATES[purchaseState(purchase, lots)]}</strong>
        {purchase.lines.length > 0 && (
          <>
            ; {unknown > 0 && 'at least '}
            {showMoney(sum, currency, locale)} with its postage
            {unknown > 0 && `, and ${unknown} without a price`}
          </>
        )}
      </p>
      <PurchaseLines
        purchase={purchase}
        isSaved={desk.state === 'saved' && desk.fault === null}
        {...{ lots, materials, currency }}
        onChange={(lines) => change({ lines })}
        onCame={setLots}
      />
      {lots.length === 0 && <DeleteRecord id={purchase.id} what="purchase" path="purchases" />}
    </div>
  );
}

function Ordered({ day, onDay }: { day: string | null; onDay(day: string | null): void }) {
  return day === null ? (
    <button type="button" className="btn btn-primary mt-4 min-h-11" onClick={() => onDay(today())}>
      It is ordered today
    </button>
  ) : (
    <DayField label="Ordered on" day={day} onDay={(next) => onDay(next === '' ? null : next)} />
  );
}

/** Why it can't be saved as it stands; null where it can. */
function faultOf({ name }: Purchase): string | null {
  return name.trim() === '' ? 'Not saved: say who it is ordered from.' : null;
}

export default withShowing(PurchaseDesk);
