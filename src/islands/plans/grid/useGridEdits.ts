import { type RefObject, useState } from 'react';
import { type DoseableMaterial, isDoseable, type Material } from '../../../core/materials/material';
import {
  filledRight,
  type GridRow,
  withBlock,
  withCells,
  withoutRow,
  withTypedCell,
} from '../../../core/plan/doseGrid';
import { houseWetting } from '../../../core/plan/houseWetting';
import type { Plan } from '../../../core/plan/plan';
import { useStable } from '../../shared/useStable';
import { firstDose } from '../firstDose';
import { usePlanPage } from '../planContext';
import { doseTyped } from '../planHistory';
import { focusCell, type GridPlace } from './gridKeys';

interface About {
  plan: Plan;
  rows: readonly GridRow[];
  byId: ReadonlyMap<string, Material>;
  /** The pour that a material is added to. */
  pourIndex: number;
  /** Whose fields are gone to. */
  table: RefObject<HTMLElement | null>;
  onPour(pourIndex: number): void;
}

/** What is done to the doses of all pours. */
export function useGridEdits({ plan, rows, byId, pourIndex, table, onPour }: About) {
  const { materials, rules, edit } = usePlanPage();
  const [at, setAt] = useState<GridPlace | null>(null);
  const rowAt = (place: GridPlace | null) => (place ? rows[place.row] : undefined);
  const wettingOf = (materialId: string) => {
    const material = byId.get(materialId);
    return material && isDoseable(material) ? houseWetting(material, materials, rules) : undefined;
  };
  const say = (row: GridRow, texts: ReadonlyMap<number, string>, about: string) =>
    edit(withCells(plan, row, texts, wettingOf), `${about} ${Date.now()}`);
  const row = rowAt(at);
  const toTheRight = at && row ? filledRight(plan, row, at.pourIndex) : new Map<number, string>();
  return {
    at,
    say,
    canFill: toTheRight.size > 0,
    fillRight: () => {
      if (row && toTheRight.size > 0) say(row, toTheRight, 'fill right');
    },
    type: useStable((place: GridPlace, text: string) => {
      const own = rowAt(place);
      if (!own) return;
      const dose = own.cells[place.pourIndex] ?? plan.pours[place.pourIndex]?.doses.length ?? 0;
      edit(withTypedCell(plan, own, place.pourIndex, text, wettingOf), doseTyped(place.pourIndex, dose));
    }),
    enter: useStable((place: GridPlace) => {
      setAt(place);
      onPour(place.pourIndex);
    }),
    /** An emptied cell is no dose. */
    leave: useStable((place: GridPlace) => {
      const own = rowAt(place);
      const dose = plan.pours[place.pourIndex]?.doses[own?.cells[place.pourIndex] ?? -1];
      if (own && dose?.text.trim() === '') say(own, new Map([[place.pourIndex, '']]), 'take out');
    }),
    add: useStable((material: DoseableMaterial) => {
      const free = rows.findIndex(
        ({ materialId, cells }) => materialId === material.id && cells[pourIndex] === null,
      );
      const own = rows[free] ?? { key: '', materialId: material.id, cells: plan.pours.map(() => null) };
      say(own, new Map([[pourIndex, firstDose(material, rules)]]), 'add');
      requestAnimationFrame(() =>
        focusCell(table.current, { row: free < 0 ? rows.length : free, pourIndex }),
      );
    }),
    takeOut: useStable((own: GridRow) => edit(withoutRow(plan, own), `take out ${own.key} ${Date.now()}`)),
    paste: (place: GridPlace, block: string[][]) =>
      edit(withBlock(plan, rows, place, block, wettingOf), `block ${Date.now()}`),
  };
}
