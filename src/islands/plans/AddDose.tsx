import { lazy, memo, Suspense, useId, useState } from 'react';
import { byName } from '../../core/materials/byName';
import { type DoseableMaterial, isDoseable } from '../../core/materials/material';
import { KIND_NAMES } from '../../words/en/materials/kindNames';
import { usePlanPage } from './planContext';

const WhichMaterial = lazy(() => import('./WhichMaterial'));

interface AddProps {
  onAdd(material: DoseableMaterial): void;
}

/** Type a name, choose, Enter: the dose follows. Kept as it is while doses are typed: a long shelf is a long list. */
export const AddDose = memo(function AddDose({ onAdd }: AddProps) {
  const { materials } = usePlanPage();
  const [typed, setTyped] = useState('');
  /** What was asked for and is not one material of the shelf. */
  const [asked, setAsked] = useState<{ name: string; among: DoseableMaterial[] } | null>(null);
  const id = useId();
  const dosed = materials.filter(isDoseable).filter(({ archived }) => !archived);
  function add(material: DoseableMaterial) {
    onAdd(material);
    setTyped('');
    setAsked(null);
  }
  function find() {
    const match = byName(dosed, typed);
    if (match.kind === 'one') add(match.item);
    else if (typed.trim() !== '')
      setAsked({ name: typed.trim(), among: match.kind === 'several' ? match.items : [] });
  }
  return (
    <>
      <form
        className="mt-2 flex items-center gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          find();
        }}
      >
        <input
          className="input min-h-11 w-full max-w-72"
          aria-label="Material to add"
          placeholder="Add a material by its name"
          list={id}
          maxLength={80}
          autoComplete="off"
          data-dose
          value={typed}
          onChange={({ target }) => {
            setTyped(target.value);
            setAsked(null);
          }}
        />
        <datalist id={id}>
          {dosed.map((each) => (
            <option key={each.id} value={each.name}>
              {KIND_NAMES[each.kind]}
            </option>
          ))}
        </datalist>
        <button type="submit" className="btn btn-secondary min-h-11" disabled={typed.trim() === ''}>
          Add
        </button>
      </form>
      {asked && (
        <Suspense fallback={<p className="quiet mt-2 text-sm">…</p>}>
          <WhichMaterial {...asked} onChoose={add} onCancel={() => setAsked(null)} />
        </Suspense>
      )}
    </>
  );
});
