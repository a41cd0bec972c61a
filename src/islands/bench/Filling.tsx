import { memo, useMemo } from 'react';
import type { Sheet } from '../../core/plan/sheet';
import type { TaskState } from '../../core/run/taskStates';
import { sectionOf } from '../../core/section/section';
import { Section } from '../section/Section';
import { useShowing } from '../shared/showing';

interface Props {
  sheet: Sheet;
  tasks: readonly TaskState[];
  /** The round in hand, from 0. */
  round: number;
}

/** One cavity of the round in hand, with what has been poured into it so far. Nothing where its shape is not known. */
export const Filling = memo(function Filling({ sheet, tasks, round }: Props) {
  const { locale } = useShowing();
  // What was left out leaves no gap.
  const out = tasks
    .filter((task) => task.kind === 'pour' && task.round === round && task.isLeftOut)
    .flatMap(({ pourIndexes }) => pourIndexes)
    .join(' ');
  const whole = useMemo(() => sectionOf(without(sheet, out)), [sheet, out]);
  if (!whole) return null;
  const isPoured = (pourIndex: number) =>
    tasks.some(
      (task) =>
        task.kind === 'pour' &&
        task.round === round &&
        task.doneAt !== null &&
        !task.isLeftOut &&
        task.load === task.loads - 1 &&
        task.pourIndexes.includes(pourIndex),
    );
  const pours = whole.pours.filter(({ pourIndex }) => isPoured(pourIndex));
  return (
    <div className="mb-2 h-24 flex-none" data-testid="filling" data-poured={pours.length}>
      <Section section={{ ...whole, pours }} locale={locale} thumbnail />
    </div>
  );
});

/** @param out places of the pours that were left out, with spaces between */
function without(sheet: Sheet, out: string): Sheet {
  if (out === '') return sheet;
  const places = new Set(out.split(' ').map(Number));
  const pours = sheet.pours.map((pour, index) =>
    places.has(index) ? { ...pour, intoMoldMl: 0, displacedMl: 0 } : pour,
  );
  return { ...sheet, pours };
}
