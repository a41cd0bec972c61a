import { lazy, Suspense, useId } from 'react';
import type { GridRow } from '../../../core/plan/doseGrid';
import { type Plan, pourLetter } from '../../../core/plan/plan';
import { parseQuantity } from '../../../core/units/parseQuantity';

const DoseFault = lazy(() => import('../DoseFault'));

interface Props {
  plan: Plan;
  rows: readonly GridRow[];
  nameOf(row: GridRow): string;
  onMeant(row: GridRow, pourIndex: number, text: string): void;
}

/** Cells that can't be read, each with the reason and what it may mean. */
export function GridFaults({ plan, rows, nameOf, onMeant }: Props) {
  const id = useId();
  const faulty = rows.flatMap((row) =>
    row.cells.flatMap((place, pourIndex) => {
      const text = plan.pours[pourIndex]?.doses[place ?? -1]?.text;
      if (text === undefined || text.trim() === '') return [];
      const read = parseQuantity(text);
      return read.success ? [] : [{ row, pourIndex, text, fault: read.error }];
    }),
  );
  if (faulty.length === 0) return null;
  return (
    <ul className="mt-1 flex flex-col gap-1">
      {faulty.map(({ row, pourIndex, text, fault }) => (
        <li key={`${row.key} ${pourIndex}`} className="text-xs">
          <strong>
            {nameOf(row)} in {pourLetter(pourIndex)}:
          </strong>
          <Suspense>
            <DoseFault
              id={`${id} ${row.key} ${pourIndex}`}
              text={text}
              fault={fault}
              onMeant={(meant) => onMeant(row, pourIndex, meant)}
            />
          </Suspense>
        </li>
      ))}
    </ul>
  );
}
