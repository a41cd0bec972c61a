import type { SheetPour } from '../../core/plan/sheet';

interface Props {
  pours: readonly SheetPour[];
  marked: readonly number[];
  onChange(marked: number[]): void;
}

/** Pours that something is of; none marked is all of them. */
export function WhichPours({ pours, marked, onChange }: Props) {
  if (pours.length < 2) return null;
  return (
    <fieldset>
      <legend className="text-lg font-semibold">Of which pours</legend>
      <div className="flex flex-wrap gap-3">
        {pours.map(({ id, letter }, index) => (
          <label key={id} className="flex min-h-12 items-center gap-2 pr-4 text-xl">
            <input
              type="checkbox"
              className="checkbox"
              checked={marked.includes(index)}
              onChange={({ target }) =>
                onChange(
                  target.checked
                    ? [...marked, index].sort((a, b) => a - b)
                    : marked.filter((each) => each !== index),
                )
              }
            />
            {letter}
          </label>
        ))}
        <span className="quiet self-center">
          {marked.length === 0 ? 'None marked: of all of them.' : 'What it holds is told by these.'}
        </span>
      </div>
    </fieldset>
  );
}
