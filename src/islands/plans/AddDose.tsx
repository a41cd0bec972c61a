import { lazy, memo, Suspense, useId, useState } from 'react';
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
  /** The name that was asked for. */
  const [asked, setAsked] = useState('');
  const id = useId();
  const dosed = materials.filter(isDoseable).filter(({ archived }) => !archived);
  function add(material: DoseableMaterial) {
    onAdd(material);
    setTyped('');
    setAsked('');
  }
  return (
    <>
      <form
        className="mt-2 flex items-center gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          setAsked(typed.trim());
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
            setAsked('');
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
        <Suspense>
          <WhichMaterial name={asked} among={dosed} onChoose={add} onCancel={() => setAsked('')} />
        </Suspense>
      )}
    </>
  );
});
