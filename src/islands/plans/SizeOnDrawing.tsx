import { useState } from 'react';
import { type Plan, pourLetter } from '../../core/plan/plan';
import { parsePourSize, writePourSize } from '../../core/plan/pourSize';
import type { UnitSystem } from '../../core/units/showQuantity';
import { explainPourSizeFault } from '../../words/en/plan/sizeFaults';
import { usePlanPage } from './planContext';
import { withPour } from './planEdits';

interface Props {
  plan: Plan;
  pourIndex: number;
  system: UnitSystem;
  /** Where the line is that it was asked for at. */
  topPx: number;
  onDone(): void;
}

/** The size of the pour under a boundary, typed where the boundary is. Enter takes it, Escape leaves it. */
export default function SizeOnDrawing({ plan, pourIndex, system, topPx, onDone }: Props) {
  const { editShown } = usePlanPage();
  const size = plan.pours[pourIndex]?.size;
  const [text, setText] = useState(size ? writePourSize(size, system) : '');
  const read = parsePourSize(text);
  function take() {
    if (!read.success) return;
    editShown(
      withPour(plan, pourIndex, (pour) => ({ ...pour, size: read.data })),
      `size ${pourIndex}`,
    );
    onDone();
  }
  return (
    <form
      className="plate absolute left-1/4 z-10 flex w-44 -translate-y-1/2 flex-col bg-base-100 p-1"
      style={{ top: `${topPx}px` }}
      onSubmit={(event) => {
        event.preventDefault();
        take();
      }}
    >
      <label className="flex items-center gap-2 text-sm font-semibold">
        {pourLetter(pourIndex)}
        <input
          // biome-ignore lint/a11y/noAutofocus: it was just asked for, at this very place
          autoFocus
          className={`input input-sm min-h-11 w-full font-normal ${read.success ? '' : 'input-error'}`}
          aria-label={`Size of pour ${pourLetter(pourIndex)}, on the drawing`}
          aria-invalid={!read.success}
          aria-describedby="size-on-drawing-says"
          autoComplete="off"
          maxLength={80}
          value={text}
          onFocus={({ target }) => target.select()}
          onChange={({ target }) => setText(target.value)}
          onKeyDown={(event) => {
            if (event.key === 'Escape') onDone();
          }}
        />
      </label>
      <p id="size-on-drawing-says" className="text-error text-xs" role={read.success ? undefined : 'alert'}>
        {!read.success && explainPourSizeFault(read.error)}
      </p>
      <span className="flex gap-1">
        <button type="submit" className="btn btn-sm btn-primary min-h-11 flex-1" disabled={!read.success}>
          Set
        </button>
        <button type="button" className="btn btn-sm btn-ghost min-h-11" onClick={onDone}>
          Leave
        </button>
      </span>
    </form>
  );
}
