import { useState } from 'react';
import type { HouseChoices, Jug, Scale } from '../../core/houseRules/houseRules';
import type { InstrumentCheck } from '../../core/run/instrumentCheck';
import type { FigureRule } from '../../core/units/parseFigure';
import { callApi } from '../shared/api';
import { DeskHeader } from '../shared/DeskHeader';
import { FigureField } from '../shared/FigureField';
import { MoneyField } from '../shared/MoneyField';
import { RecordProblem } from '../shared/RecordProblem';
import type { StoredItem } from '../shared/saveQueue';
import { withShowing } from '../shared/showing';
import { useSaveQueue } from '../shared/useSaveQueue';
import { ChoiceFields } from './ChoiceFields';
import { CurrencyField } from './CurrencyField';
import { FIGURES } from './figures';
import { InstrumentChecks } from './InstrumentChecks';
import { Jugs } from './Jugs';

import { PricingFields } from './PricingFields';
import { Scales } from './Scales';
import { SellingFields } from './SellingFields';
import { SpareMold } from './SpareMold';

interface Props {
  start: StoredItem<HouseChoices>;
  jugs: StoredItem<Jug>[];
  scales: StoredItem<Scale>[];
  checks: InstrumentCheck[];
  /** The mold book. */
  molds: { id: string; name: string }[];
}

const BATCHES: FigureRule = { unit: '', least: 0.1, most: 1000 };

/** Every choice of the workshop with its reason, saved at each change; below them what it works with. */
function HouseRulesForm({ start, jugs, scales, checks, molds }: Props) {
  const [choices, setChoices] = useState(start.item);
  const { queue, state } = useSaveQueue<HouseChoices, StoredItem<HouseChoices>>(start, (item, revision) =>
    callApi('PUT', '/api/house-rules', { item, revision }),
  );
  /** What the choices were before each change of this page, the last at the end. */
  const [past, setPast] = useState<HouseChoices[]>([]);
  function choose(next: HouseChoices) {
    setChoices(next);
    queue.want(next);
    void queue.flush();
  }
  function change(part: Partial<HouseChoices>) {
    const before = queue.wanted();
    setPast([...past, before]);
    choose({ ...before, ...part });
  }
  function undo() {
    const before = past.at(-1);
    if (!before) return;
    setPast(past.slice(0, -1));
    choose(before);
  }
  function takeTheirs(theirs: HouseChoices, revision: number) {
    queue.takeTheirs(theirs, revision);
    setPast([]);
    setChoices(theirs);
  }

  return (
    <div className="flex max-w-5xl flex-col gap-3">
      <DeskHeader title="House rules" state={state.kind} canUndo={past.length > 0} onUndo={undo} />
      {'problem' in state && (
        <RecordProblem
          problem={state.problem}
          onKeepMine={() => void queue.keepMine(state.problem.revision ?? queue.revision())}
          onTakeTheirs={() => takeTheirs(state.problem.current as HouseChoices, state.problem.revision ?? 0)}
        />
      )}
      <div className="grid gap-3 md:grid-cols-2">
        <ChoiceFields choices={choices} onChange={change} />
        <section className="plate p-4" aria-labelledby="usual-figures">
          <h2 id="usual-figures" className="mb-2 font-semibold">
            Usual figures
          </h2>
          <div className="grid gap-3 sm:grid-cols-2">
            {FIGURES.map(({ key, label, perOne, rule }) => (
              <FigureField
                key={key}
                label={label}
                rule={rule}
                value={choices[key] / perOne}
                onChange={(value) => change({ [key]: Number((value * perOne).toPrecision(12)) })}
              />
            ))}
            <SpareMold
              moldId={choices.spareMoldId}
              molds={molds}
              onChange={(spareMoldId) => change({ spareMoldId })}
            />
          </div>
        </section>
        <section className="plate p-4" aria-labelledby="money">
          <h2 id="money" className="mb-1 font-semibold">
            Money
          </h2>
          <p className="quiet mb-2 text-sm">
            What a batch costs beside its materials: hands by the time that they took, and its share of what
            the workshop costs anyway. Then what a piece sells for.
          </p>
          <div className="grid gap-3 sm:grid-cols-2">
            <CurrencyField value={choices.currency} onChange={(currency) => change({ currency })} />
            <MoneyField
              label="An hour of hands"
              value={choices.handsPerHour}
              currency={choices.currency}
              onChange={(handsPerHour) => change({ handsPerHour })}
            />
            <MoneyField
              label="The workshop, a month"
              value={choices.fixedPerMonth}
              currency={choices.currency}
              onChange={(fixedPerMonth) => change({ fixedPerMonth })}
            />
            <FigureField
              label="Batches a month"
              rule={BATCHES}
              value={choices.batchesPerMonth}
              onChange={(batchesPerMonth) => change({ batchesPerMonth })}
            />
            <PricingFields pricing={choices.pricing} onChange={(pricing) => change({ pricing })} />
          </div>
        </section>
        <SellingFields choices={choices} onChange={change} />
        <Jugs start={jugs} />
        <Scales start={scales} />
        <InstrumentChecks start={checks} />
      </div>
    </div>
  );
}

export default withShowing(HouseRulesForm);
