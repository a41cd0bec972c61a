import { type SubmitEvent, useRef, useState } from 'react';
import type { GoodsEdit } from '../../core/goods/goods';
import type { Goods, GoodsLot } from '../../core/goods/goodsView';
import type { Product } from '../../core/product/product';
import { GOODS_USES } from '../../core/stock/stock';
import { minorUnitsOf, moneyOf } from '../../core/units/money';
import { parseFigure } from '../../core/units/parseFigure';
import { GOODS_EDITS, placeWords } from '../../words/en/goods/goodsWords';
import { callApi } from '../shared/api';
import { Choice } from '../shared/Choice';
import { Line } from '../shared/Line';
import { MoneyField } from '../shared/MoneyField';
import { newId } from '../shared/newId';
import { WholeField } from './WholeField';

interface Props {
  goods: GoodsLot;
  /** Where packs stand or stood. */
  places: readonly string[];
  prices: Product['prices'];
  /** ISO 4217. */
  currency: string;
  onDone(goods: Goods): void;
  onClose(): void;
}

const KINDS = [GOODS_USES[0], 'moved', ...GOODS_USES.slice(1)] as const;
const MOST = 100_000;
/** Of the choice of a place that is told by a name; the workshop itself has none. */
const [WORKSHOP, ANOTHER] = ['', ' another'];

/** What became of packs of a lot. */
export function GoodsEditForm(props: Props) {
  const { goods, places, prices, currency, onDone, onClose } = props;
  const { lot, places: stands } = goods;
  const actId = useRef(newId());
  const [kind, setKind] = useState<GoodsEdit['kind']>('sold');
  const [text, setText] = useState('1');
  const [chosenFrom, setFrom] = useState<string | null>(null);
  const [to, setTo] = useState<string | null>(null);
  const [name, setName] = useState('');
  const [note, setNote] = useState('');
  const [typedPaid, setPaid] = useState<string | null | undefined>(undefined);
  const [isPaidRead, setPaidRead] = useState(true);
  const [asked, setAsked] = useState(false);
  const [busy, setBusy] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  const comes = kind === 'returned';
  const fromPlaces = comes ? [WORKSHOP, ...places] : stands.map(({ place }) => place ?? WORKSHOP);
  const from = fromPlaces.find((place) => place === chosenFrom) ?? fromPlaces[0] ?? WORKSHOP;
  const there = stands.find(({ place }) => (place ?? WORKSHOP) === from)?.packs ?? 0;
  const rule = { unit: '', least: 1, most: comes ? MOST : Math.max(1, there), whole: true };
  const packs = parseFigure(text, rule);
  const listed = prices.retail ?? prices.wholesale;
  const usual =
    kind === 'sold' && listed !== null && packs.success ? moneyOf(minorUnitsOf(listed) * packs.data) : null;
  const paid = typedPaid === undefined ? usual : typedPaid;
  const others = [...(from === WORKSHOP ? [] : [WORKSHOP]), ...places.filter((place) => place !== from)];
  const chosenTo = [...others, ANOTHER].find((place) => place === to) ?? others[0] ?? ANOTHER;
  const placeTo = chosenTo === ANOTHER ? name.trim() : chosenTo;
  const lacksName = kind === 'moved' && chosenTo === ANOTHER && placeTo === '';

  async function submit(event: SubmitEvent) {
    event.preventDefault();
    setAsked(true);
    if (!packs.success || busy || lacksName) return;
    setBusy(true);
    const where = (place: string) => (place === WORKSHOP ? null : place);
    const said = { packs: packs.data, note: note.trim() };
    const edit = ((): GoodsEdit => {
      if (kind === 'moved') return { kind, ...said, from: where(from), to: where(placeTo) };
      if (kind === 'sold' || kind === 'returned')
        return { kind, ...said, place: where(from), ...(paid === null ? {} : { paid }) };
      return { kind, ...said, place: where(from) };
    })();
    const answer = await callApi<Goods>('POST', `/api/goods/${encodeURIComponent(lot.id)}/acts`, {
      actId: actId.current,
      edit,
    });
    setBusy(false);
    if (answer.success) onDone(answer.data);
    else setProblem(answer.error.detail);
  }

  return (
    <form
      className="border-base-300 flex w-full flex-wrap items-start gap-3 rounded-lg border p-3"
      aria-label={`What became of ${lot.number}`}
      onSubmit={(event) => void submit(event)}
    >
      <WholeField label="Packs" text={text} rule={rule} className="w-24" onText={setText} />
      <Choice
        label="What became of them"
        className="w-44"
        value={kind}
        onChange={(next) => {
          setKind(next as GoodsEdit['kind']);
          setPaid(undefined);
          setPaidRead(true);
        }}
      >
        {KINDS.map((each) => (
          <option key={each} value={each}>
            {GOODS_EDITS[each]}
          </option>
        ))}
      </Choice>
      {(fromPlaces.length > 1 || kind === 'moved') && (
        <Choice label={comes ? 'To' : 'Where they stood'} className="w-44" value={from} onChange={setFrom}>
          {fromPlaces.map((place) => (
            <option key={place} value={place}>
              {placeWords(place === WORKSHOP ? null : place)}
            </option>
          ))}
        </Choice>
      )}
      {kind === 'moved' && (
        <Choice label="Moved to" className="w-44" value={chosenTo} onChange={setTo}>
          {others.map((place) => (
            <option key={place} value={place}>
              {place === WORKSHOP ? 'the workshop' : place}
            </option>
          ))}
          <option value={ANOTHER}>another place …</option>
        </Choice>
      )}
      {kind === 'moved' && chosenTo === ANOTHER && (
        <Line
          label="Its name (a market box, a shop)"
          value={name}
          most={60}
          needed={asked}
          className="w-56"
          onText={setName}
        />
      )}
      {(kind === 'sold' || kind === 'returned') && (
        <MoneyField
          key={kind}
          label={kind === 'sold' ? 'Paid for all of them' : 'Paid back for all of them'}
          className="w-44"
          value={paid}
          currency={currency}
          none="Not said."
          onChange={setPaid}
          onReadable={setPaidRead}
        />
      )}
      <Line label="Note" value={note} most={2000} className="min-w-40 flex-1" onText={setNote} />
      {problem && (
        <p role="alert" className="text-error w-full text-sm">
          {problem}
        </p>
      )}
      <p className="flex w-full gap-2">
        <button
          type="submit"
          className="btn btn-primary min-h-11"
          disabled={busy || !packs.success || !isPaidRead}
        >
          Save
        </button>
        <button type="button" className="btn btn-ghost min-h-11" onClick={onClose}>
          Close
        </button>
      </p>
    </form>
  );
}
