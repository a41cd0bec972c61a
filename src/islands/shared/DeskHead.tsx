import { DeskHeader } from './DeskHeader';
import { RecordProblem } from './RecordProblem';
import type { Desk } from './useDesk';

/** The head of a record's desk: whether it is saved, one step back, and what is against it. */
export function DeskHead<Item>({ title, desk }: { title: string; desk: Desk<Item> }) {
  const { state, fault, canUndo, undo, problem } = desk;
  return (
    <>
      <DeskHeader {...{ title, state, fault, canUndo }} onUndo={undo} />
      {problem && <RecordProblem {...problem} />}
    </>
  );
}
