import { useCallback, useState } from 'react';
import type { HouseRules } from '../../core/houseRules/houseRules';
import type { Material } from '../../core/materials/material';
import type { Mold } from '../../core/molds/mold';
import type { TaughtAnswer } from '../pourPlan/teach/useTeacher';

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
