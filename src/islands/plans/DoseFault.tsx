import { meaningsOf } from '../../core/units/meanings';
import type { QuantityFault } from '../../core/units/quantityFault';
import { explainQuantityFault } from '../../words/en/units/quantityFault';

interface Props {
  id: string;
  text: string;
  fault: QuantityFault;
  onMeant(text: string): void;
}

/** Why a dose can't be read, with what it may mean on a press each. */
export default function DoseFault({ id, text, fault, onMeant }: Props) {
  const meanings = meaningsOf(text, fault);
  return (
    <>
      <p id={id} className="text-error text-xs" role="alert">
        {explainQuantityFault(fault)}
      </p>
      {meanings.length > 0 && (
        <p className="mt-1 flex flex-wrap gap-1">
          {meanings.map((meant) => (
            <button
              key={meant}
              type="button"
              className="btn btn-sm btn-secondary pointer-coarse:min-h-11"
              onClick={() => onMeant(meant)}
            >
              {meant}
            </button>
          ))}
        </p>
      )}
    </>
  );
}
