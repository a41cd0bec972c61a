import { useMemo, useState } from 'react';
import { type GridRow, gridRows } from '../../../core/plan/doseGrid';
import type { Plan } from '../../../core/plan/plan';

/** Rows in the order in which they were first seen; one that was emptied stays until the grid is left. */
export function useGridRows({ pours }: Plan): { rows: GridRow[]; tidy(): void } {
  const full = useMemo(() => gridRows(pours), [pours]);
  const [order, setOrder] = useState<Pick<GridRow, 'key' | 'materialId'>[]>([]);
  const fresh = full.filter(({ key }) => order.every((each) => each.key !== key));
  const shown = [...order, ...fresh];
  if (fresh.length > 0) setOrder(shown);
  return {
    rows: shown.map(
      ({ key, materialId }) =>
        full.find((each) => each.key === key) ?? { key, materialId, cells: pours.map(() => null) },
    ),
    tidy: () => setOrder(full),
  };
}
