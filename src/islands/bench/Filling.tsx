import { memo, useMemo } from 'react';
import type { Sheet } from '../../core/plan/sheet';
import type { TaskState } from '../../core/run/progress';
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
  const whole = useMemo(() => sectionOf(sheet), [sheet]);
  if (!whole) return null;
  const isPoured = (pourIndex: number) =>
    tasks.some(
      (task) =>
        task.kind === 'pour' &&
        task.round === round &&
        task.doneAt !== null &&
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
