import { MATERIAL_KINDS, type MaterialKind } from '../../core/materials/material';
import { KIND_NAMES } from '../../words/en/materials/kindNames';
import type { ShelfRow } from './shelfRows';

/** What of the shelf is shown. */
export interface Wanted {
  search: string;
  kind: MaterialKind | 'all' | 'low';
  withArchived: boolean;
}

export const EVERYTHING: Wanted = { search: '', kind: 'all', withArchived: false };

export function isWanted(row: ShelfRow, kind: Wanted['kind']): boolean {
  return kind === 'all' || (kind === 'low' ? row.isLow : row.stored.item.kind === kind);
}

interface Props {
  wanted: Wanted;
  onChange(wanted: Wanted): void;
}

export function ShelfFilters({ wanted, onChange }: Props) {
  return (
    <div className="flex flex-wrap items-center gap-2">
      <input
        type="search"
        className="input min-h-11 w-56"
        placeholder="Name, note or ingredient"
        aria-label="Search the shelf by name"
        value={wanted.search}
        onChange={({ target }) => onChange({ ...wanted, search: target.value })}
      />
      <fieldset className="flex flex-wrap gap-1">
        <legend className="sr-only">Show</legend>
        {(['all', ...MATERIAL_KINDS, 'low'] as const).map((each) => (
          <button
            key={each}
            type="button"
            className={`btn btn-sm min-h-11 ${wanted.kind === each ? 'btn-primary' : 'btn-ghost'}`}
            aria-pressed={wanted.kind === each}
            onClick={() => onChange({ ...wanted, kind: each })}
          >
            {each === 'all' ? 'All' : each === 'low' ? 'Running low' : KIND_NAMES[each]}
          </button>
        ))}
      </fieldset>
      <label className="flex min-h-11 items-center gap-2 text-sm">
        <input
          type="checkbox"
          className="checkbox checkbox-sm"
          checked={wanted.withArchived}
          onChange={({ target }) => onChange({ ...wanted, withArchived: target.checked })}
        />
        with archived ones
      </label>
    </div>
  );
}
