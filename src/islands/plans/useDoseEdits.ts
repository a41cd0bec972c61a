import { type RefObject, useEffect, useMemo, useRef } from 'react';
import type { DoseableMaterial } from '../../core/materials/material';
import { freshId } from '../../core/plan/freshId';
import { type Dose, dose, type Plan, type Pour, retyped } from '../../core/plan/plan';
import { useStable } from '../shared/useStable';
import type { DoseActions } from './doseRowProps';
import { usePlanPage } from './planContext';
import { doseTyped } from './planHistory';

interface About {
  plan: Plan;
  pourIndex: number;
  /** Whose fields are gone to. */
  grid: RefObject<HTMLElement | null>;
}

const LONGEST_DOSE = 200;

/** What is done to the doses of a pour. */
export function useDoseEdits({ plan, pourIndex, grid }: About) {
  const { materials, rules, edit } = usePlanPage();
  const doses = plan.pours[pourIndex]?.doses ?? [];
  const editPour = (change: Partial<Pour>, about: string) =>
    edit(
      {
        ...plan,
        pours: plan.pours.map((each, index) => (index === pourIndex ? { ...each, ...change } : each)),
      },
      about,
    );
  const setDose = (index: number, change: (dose: Dose) => Dose, about: string) =>
    editPour({ doses: doses.map((each, place) => (place === index ? change(each) : each)) }, about);
  const setText = (index: number, text: string, about: string) =>
    setDose(index, (each) => retyped(each, text), about);
  /** A column that was copied elsewhere, from this row downwards; what is beyond the last row is left out. */
  const setDosesFrom = (first: number, texts: string[]) =>
    editPour(
      {
        doses: doses.map((each, place) => {
          const text = texts[place - first];
          return text === undefined ? each : retyped(each, text.slice(0, LONGEST_DOSE));
        }),
      },
      `column ${Date.now()}`,
    );
  /** The field of a dose; after the last, the one that adds a material. */
  const focusDose = (index: number) =>
    requestAnimationFrame(() => {
      const input = grid.current?.querySelectorAll<HTMLInputElement>('[data-dose]')[index];
      input?.focus();
      input?.select();
    });
  const addBy = useStable((first: typeof import('./firstDose'), material: DoseableMaterial) => {
    const { text, wetIn } = first.firstDoseWetted(material, materials, rules);
    const added = {
      ...dose(material.id, text, wetIn),
      id: freshId(plan.pours, 'dose'),
    };
    editPour({ doses: [...doses, added] }, `add ${material.id} ${Date.now()}`);
    wanted.current = added.id;
  });
  const add = useStable(async (material: DoseableMaterial) => addBy(await import('./firstDose'), material));
  /** A dose that was added is gone to once its row is drawn. */
  const wanted = useRef<string | null>(null);
  useEffect(() => {
    if (wanted.current === null) return;
    const index = doses.findIndex(({ id }) => id === wanted.current);
    if (index < 0) return;
    wanted.current = null;
    focusDose(index);
  });
  const actions = useActions({
    onText: (index, text) => setText(index, text, doseTyped(pourIndex, index)),
    onSayAs: (index, text) => setText(index, text, `say ${index} ${Date.now()}`),
    onColumn: setDosesFrom,
    onChange: (index, change, about) => setDose(index, change, `${about} ${index} of ${pourIndex}`),
    onRemove: (index) =>
      editPour({ doses: doses.filter((_, place) => place !== index) }, `remove ${index} ${Date.now()}`),
    onEnter: (index) => focusDose(index + 1),
  });
  return { editPour, actions, add };
}

/** The same actions for as long as the grid is there, doing what the newest plan asks for. */
function useActions(newest: DoseActions): DoseActions {
  const onText = useStable(newest.onText);
  const onSayAs = useStable(newest.onSayAs);
  const onColumn = useStable(newest.onColumn);
  const onChange = useStable(newest.onChange);
  const onRemove = useStable(newest.onRemove);
  const onEnter = useStable(newest.onEnter);
  return useMemo(
    () => ({ onText, onSayAs, onColumn, onChange, onRemove, onEnter }),
    [onText, onSayAs, onColumn, onChange, onRemove, onEnter],
  );
}
