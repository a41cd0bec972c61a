import { useCallback, useEffect, useRef, useState } from 'react';
import type { HouseRules } from '../../core/houseRules/houseRules';
import type { Material } from '../../core/materials/material';
import type { Mold } from '../../core/molds/mold';
import type { MadePiece } from '../../core/plan/embed';
import { callApi } from '../shared/api';
import type { TaughtAnswer } from '../shared/changeTaught';

interface PageRecords {
  molds: Mold[];
  materials: Material[];
  rules: HouseRules;
}

/** The records of a plan's page, where materials and molds are made, and a jug or a mold may be taught. */
export function usePageRecords(start: PageRecords) {
  const [molds, setMolds] = useState(start.molds);
  const [materials, setMaterials] = useState(start.materials);
  const [rules, setRules] = useState(start.rules);
  const taught = useCallback((answer: TaughtAnswer) => {
    if (answer.kind === 'mold') setMolds((before) => put(before, answer.item));
    else setRules((before) => ({ ...before, jugs: put(before.jugs, answer.item) }));
  }, []);
  const shelved = useCallback((material: Material) => setMaterials((before) => put(before, material)), []);
  const molded = useCallback((mold: Mold) => setMolds((before) => put(before, mold)), []);
  return { molds, materials, rules, taught, shelved, molded };
}

function put<Item extends { id: string }>(items: readonly Item[], item: Item): Item[] {
  const isThere = items.some(({ id }) => id === item.id);
  return isThere ? items.map((each) => (each.id === item.id ? item : each)) : [...items, item];
}

/**
 * The pieces of other plans: those that are set in already at first, all of them once they are asked for, or once the plan
 * names one that is not known.
 */
export function useMade(planId: string, start: MadePiece[], named: ReadonlySet<string>) {
  const [made, setMade] = useState(start);
  const asked = useRef(false);
  const seekMade = useCallback(() => {
    if (asked.current) return;
    asked.current = true;
    void callApi<MadePiece[]>('GET', `/api/plans/${encodeURIComponent(planId)}/made`).then((answer) => {
      if (answer.success) setMade(answer.data);
      else asked.current = false;
    });
  }, [planId]);
  const isUnknown = [...named].some((id) => !made.some((piece) => piece.planId === id));
  useEffect(() => {
    if (isUnknown) seekMade();
  }, [isUnknown, seekMade]);
  return { made, seekMade };
}
