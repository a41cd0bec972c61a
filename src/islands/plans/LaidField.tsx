import { LAID_WHERE, type Laid, type LaidWhere } from '../../core/plan/laid';
import { laidWords } from '../../words/en/work/laidWords';

interface Props {
  name: string;
  pourIndex: number;
  laid: Laid | null;
  onChange(laid: Laid | null): void;
}

/** Where a dose goes: stirred in, or laid on or under its pour. */
export function LaidField({ name, pourIndex, laid, onChange }: Props) {
  return (
    <div className="mt-2 flex flex-wrap items-end gap-x-4">
      <label className="flex flex-col">
        <span className="quiet text-xs">Where it goes</span>
        <select
          className="select select-sm pointer-coarse:min-h-11 w-60 max-w-full"
          aria-label={`Where ${name} goes`}
          value={laid?.where ?? 'stirred'}
          onChange={({ target }) =>
            onChange(target.value === 'stirred' ? null : { ...laid, where: target.value as LaidWhere })
          }
        >
          <option value="stirred">stirred in</option>
          {LAID_WHERE.map((where) => (
            <option key={where} value={where}>
              {laidWords(where, pourIndex)}
            </option>
          ))}
        </select>
      </label>
      {laid && (
        <label className="flex min-h-11 cursor-pointer items-center gap-2 text-sm">
          <input
            type="checkbox"
            className="checkbox"
            checked={laid.pressed ?? false}
            onChange={({ target }) =>
              onChange({ where: laid.where, ...(target.checked ? { pressed: true } : {}) })
            }
          />
          pressed down
        </label>
      )}
    </div>
  );
}
