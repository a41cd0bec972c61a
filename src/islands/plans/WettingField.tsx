import type { Material } from '../../core/materials/material';
import type { Wetting } from '../../core/plan/plan';
import type { FigureRule } from '../../core/units/parseFigure';
import { FigureField } from '../shared/FigureField';
import { useNewRecord } from './useNewRecord';

const TIMES: FigureRule = { unit: '×', least: 0.05, most: 20 };
const FIRST_TIMES = 3;

interface WettingProps {
  name: string;
  wetIn: Wetting | undefined;
  dispersants: Material[];
  onChange(wetIn: Wetting | undefined): void;
}

/** What a powder is wetted in before it goes into the jug, and in how much of it. */
export function WettingField({ name, wetIn, dispersants, onChange }: WettingProps) {
  const wet = (dispersantId: string) =>
    onChange(dispersantId === '' ? undefined : { dispersantId, times: wetIn?.times ?? FIRST_TIMES });
  const { newOption, newForm, choosing } = useNewRecord({ what: 'dispersant', onMade: wet });
  return (
    <div className="mt-2 flex items-end gap-2">
      <label className="flex flex-col">
        <span className="quiet text-xs">Stirred in</span>
        <select
          className="select select-sm pointer-coarse:min-h-11 w-52"
          aria-label={`How ${name} is stirred in`}
          value={wetIn?.dispersantId ?? ''}
          onChange={({ target }) => choosing(wet)(target.value)}
        >
          <option value="">dry, as it is</option>
          {wetIn && !dispersants.some(({ id }) => id === wetIn.dispersantId) && (
            <option value={wetIn.dispersantId}>as it was, now archived</option>
          )}
          {dispersants.map((material) => (
            <option key={material.id} value={material.id}>
              wetted in {material.name}
            </option>
          ))}
          {newOption}
        </select>
      </label>
      {newForm}
      {wetIn && (
        <FigureField
          className="w-32"
          label="times its weight"
          rule={TIMES}
          value={wetIn.times}
          onChange={(times) => onChange({ ...wetIn, times })}
        />
      )}
    </div>
  );
}
