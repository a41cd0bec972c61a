import { memo, useState } from 'react';
import { type DoseableMaterial, isDoseable, MATERIAL_KINDS } from '../../core/materials/material';
import { KIND_NAMES } from '../../words/en/materials/kindNames';
import { usePlanPage } from './planContext';

interface AddProps {
  onAdd(material: DoseableMaterial): void;
}

/** Kept as it is while doses are typed: a long shelf is a long list. */
export const AddDose = memo(function AddDose({ onAdd }: AddProps) {
  const { materials } = usePlanPage();
  const [chosen, setChosen] = useState('');
  const dosed = materials.filter(isDoseable).filter(({ archived }) => !archived);
  const material = dosed.find(({ id }) => id === chosen);
  function add() {
    if (!material) return;
    onAdd(material);
    setChosen('');
  }
  if (dosed.length === 0) {
    return (
      <p className="quiet mt-2 text-sm">
        Nothing to dose on the shelf yet.{' '}
        <a className="link" href="/shelf">
          Add a fragrance, a colorant or an additive
        </a>
        .
      </p>
    );
  }
  return (
    <form
      className="mt-2 flex items-center gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        add();
      }}
    >
      <select
        className="select min-h-11 w-full max-w-72"
        aria-label="Material to add"
        value={chosen}
        onChange={({ target }) => setChosen(target.value)}
        onKeyDown={(event) => {
          if (event.key === 'Enter' && material) {
            event.preventDefault();
            add();
          }
        }}
      >
        <option value="">Add from the shelf …</option>
        {MATERIAL_KINDS.filter((kind) => dosed.some((each) => each.kind === kind)).map((kind) => (
          <optgroup key={kind} label={KIND_NAMES[kind]}>
            {dosed
              .filter((each) => each.kind === kind)
              .map(({ id, name }) => (
                <option key={id} value={id}>
                  {name}
                </option>
              ))}
          </optgroup>
        ))}
      </select>
      <button type="submit" className="btn btn-secondary min-h-11" disabled={!material}>
        Add
      </button>
    </form>
  );
});
