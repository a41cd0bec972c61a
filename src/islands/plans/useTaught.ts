import { useCallback, useState } from 'react';
import type { HouseRules } from '../../core/houseRules/houseRules';
import type { Mold } from '../../core/molds/mold';
import type { TaughtAnswer } from '../pourPlan/teach/useTeacher';

/** Molds and house rules of a plan's page, where a jug or a mold may be taught. */
export function useTaught(startMolds: Mold[], startRules: HouseRules) {
  const [molds, setMolds] = useState(startMolds);
  const [rules, setRules] = useState(startRules);
  const taught = useCallback((answer: TaughtAnswer) => {
    if (answer.kind === 'mold') setMolds((before) => put(before, answer.item));
    else setRules((before) => ({ ...before, jugs: put(before.jugs, answer.item) }));
  }, []);
  const molded = useCallback((mold: Mold) => setMolds((before) => [...before, mold]), []);
  return { molds, rules, taught, molded };
}

function put<Item extends { id: string }>(items: readonly Item[], item: Item): Item[] {
  return items.map((each) => (each.id === item.id ? item : each));
}
