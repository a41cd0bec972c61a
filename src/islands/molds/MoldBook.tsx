import { Plus } from 'lucide-react';
import { useState } from 'react';
import type { Base } from '../../core/materials/base';
import type { Mold } from '../../core/molds/mold';
import { sectionOfMold } from '../../core/section/section';
import { showPercent, showVolume } from '../../core/units/showQuantity';
import { MEASURED_NAMES } from '../../words/en/molds/names';
import { Section } from '../section/Section';
import { callApi } from '../shared/api';
import { withStart } from '../shared/pageData';
import type { StoredItem } from '../shared/saveQueue';
import { useShowing, withShowing } from '../shared/showing';
import { UndoLine } from '../shared/UndoLine';
import { useRecords } from '../shared/useRecords';
import { MoldEditor } from './MoldEditor';

type StoredMold = StoredItem<Mold>;

/** Molds with what a cavity holds, how that was measured, and its section to scale. */
interface Props {
  start: StoredMold[];
  /** How full a new mold is said to be poured. */
  usualFill: number;
  /** What a cavity may be measured with. */
  bases: Base[];
  /** The ids of those that are archived. */
  archived: string[];
}

function MoldBook({ start, usualFill, bases, archived }: Props) {
  const showing = useShowing();
  const own = useRecords<Mold>('/api/molds', 'mold', start);
  const { records, save, put } = own;
  const [open, setOpen] = useState<StoredMold | 'new' | null>(null);
  const [withArchived, setWithArchived] = useState(false);
  const isArchived = ({ item }: StoredMold) => archived.includes(item.id);
  return (
    <div className="flex flex-col gap-4">
      <header className="flex flex-wrap items-center gap-3">
        <h1 className="mr-auto text-2xl font-semibold">Molds</h1>
        {archived.length > 0 && (
          <label className="flex min-h-11 cursor-pointer items-center gap-2">
            <input
              type="checkbox"
              className="checkbox"
              checked={withArchived}
              onChange={({ target }) => setWithArchived(target.checked)}
            />
            with archived ones
          </label>
        )}
        <button type="button" className="btn btn-primary" onClick={() => setOpen('new')}>
          <Plus size={20} aria-hidden="true" />
          New mold
        </button>
      </header>
      <UndoLine of={own} onUndone={() => setOpen(null)} />
      <div className={`grid items-start gap-4 ${open ? 'xl:grid-cols-[1fr_27rem]' : ''}`}>
        {open && (
          <div className="xl:order-last">
            <MoldEditor
              key={open === 'new' ? 'new' : `${open.item.id} ${open.revision}`}
              was={open === 'new' ? null : open}
              save={save}
              usualFill={usualFill}
              bases={bases}
              onTheirs={(theirs) => {
                put(theirs);
                setOpen(theirs);
              }}
              onDone={() => setOpen((now) => (now === open ? null : now))}
            />
            {open !== 'new' && <Archiving mold={open.item} isArchived={isArchived(open)} />}
          </div>
        )}
        {records.length === 0 && (
          <p className="plate p-5">
            The mold book is empty. Fill one cavity with water, weigh the water, and enter the grams as
            millilitres.
          </p>
        )}
        <ul className="grid grid-cols-[repeat(auto-fill,minmax(15rem,1fr))] gap-4">
          {records
            .filter((stored) => withArchived || !isArchived(stored))
            .map((stored) => (
              <li key={stored.item.id} className="plate p-3">
                <button
                  type="button"
                  className="w-full cursor-pointer rounded-lg text-left"
                  onClick={() => setOpen(stored)}
                >
                  <span className="flex h-24 items-center justify-center">
                    <Section section={sectionOfMold(stored.item)} locale={showing.locale} thumbnail />
                  </span>
                  <span className="mt-2 block text-lg leading-tight font-semibold">
                    {stored.item.name}
                    {isArchived(stored) && <span className="quiet font-normal"> · archived</span>}
                  </span>
                  <span className="quiet block text-sm">
                    {stored.item.cavities} × {showVolume(stored.item.capacityMl, showing.locale)}, usually
                    filled to {showPercent(stored.item.usualFillFraction, showing.locale)}
                  </span>
                  <span className="quiet block text-sm">
                    Measured by: {MEASURED_NAMES[stored.item.measuredBy].toLowerCase()}
                  </span>
                </button>
              </li>
            ))}
        </ul>
      </div>
    </div>
  );
}

/** A mold that is archived is not offered to a new plan; plans that have it keep it. */
function Archiving({ mold: { id }, isArchived }: { mold: Mold; isArchived: boolean }) {
  const [problem, setProblem] = useState<string | null>(null);
  async function put() {
    const answer = await callApi('PUT', `/api/put-away/mold/${encodeURIComponent(id)}`, {
      state: isArchived ? 'shown' : 'archived',
    });
    if (answer.success) location.assign(isArchived ? '/molds' : `/molds?gone=${encodeURIComponent(id)}`);
    else setProblem(answer.error.detail);
  }
  return (
    <div className="mt-2 flex flex-wrap items-center gap-2">
      <button type="button" className="btn btn-ghost min-h-11" onClick={() => void put()}>
        {isArchived ? 'Bring back into the mold book' : 'Archive this mold'}
      </button>
      {problem && (
        <p role="alert" className="text-error text-sm">
          {problem}
        </p>
      )}
    </div>
  );
}

export default withShowing(withStart('molds', MoldBook));
