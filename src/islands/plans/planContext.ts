import { createContext, useContext } from 'react';
import type { HouseRules } from '../../core/houseRules/houseRules';
import type { Material } from '../../core/materials/material';
import type { Mold } from '../../core/molds/mold';
import type { Plan } from '../../core/plan/plan';
import type { TaughtAnswer } from '../shared/changeTaught';

/** What everything on a plan's page shares, the same from one key to the next. */
export interface PlanPage {
  rules: HouseRules;
  /** What is left over goes into it; null for the scrap jar. */
  spareMold: Mold | null;
  /** The mold book. */
  molds: Mold[];
  /** The shelf. */
  materials: Material[];
  /** A material was put on the shelf here. */
  shelved(material: Material): void;
  /** A mold was put into the mold book here. */
  molded(mold: Mold): void;
  /** The pieces of all other plans are wanted, to choose from. */
  seekMade(): void;
  /**
   * Changes the plan as it is this moment.
   *
   * @param about what it is about: edits about the same soon after one another are one step of undo
   */
  edit(plan: Plan, about: string): void;
  /** Changes the plan as it is shown, which may be a frame behind: what was typed since is kept. */
  editShown(plan: Plan, about: string): void;
  /** A jug or a mold was taught here. */
  taught(answer: TaughtAnswer): void;
}

export const PlanPageContext = createContext<PlanPage | null>(null);

/** @throws Error outside a plan's page */
export function usePlanPage(): PlanPage {
  const page = useContext(PlanPageContext);
  if (!page) throw new Error('there is no plan here');
  return page;
}
