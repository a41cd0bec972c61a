import { X } from 'lucide-react';
import { useEffect, useRef } from 'react';
import { pourLetter } from '../../core/plan/plan';
import { Curves } from './Curves';
import { DETAILS } from './details';
import type { DetailsProps } from './detailsProps';
import { MakingForm } from './MakingForm';
import { PourWhen } from './PourWhen';
import { TaskTable } from './TaskTable';
import { Teach } from './teach/Teach';
import { WhatIf } from './WhatIf';

/** The pour plan opened, in the place of the doses. */
export default function PourPlanDetails(props: DetailsProps) {
  const { detail, file, pourIndex, onPour, onClose } = props;
  const title = useRef<HTMLHeadingElement>(null);
  // biome-ignore lint/correctness/useExhaustiveDependencies: a part that opens takes the keyboard there
  useEffect(() => title.current?.focus(), [detail]);
  const ofPour = detail === 'curves' || detail === 'teach';
  return (
    <section
      aria-labelledby="details-title"
      className="flex min-h-0 flex-col"
      onKeyDown={(event) => {
        if (event.key === 'Escape') onClose();
      }}
    >
      <div className="mb-2 flex items-center gap-2">
        <h2 id="details-title" ref={title} tabIndex={-1} className="font-semibold outline-none">
          {DETAILS[detail]}
        </h2>
        {ofPour && (
          <fieldset className="flex flex-wrap">
            <legend className="sr-only">Pour</legend>
            {file.plan.pours.map((_, index) => (
              <button
                // biome-ignore lint/suspicious/noArrayIndexKey: a pour is its place
                key={index}
                type="button"
                className={`btn btn-sm min-h-11 min-w-11 ${index === pourIndex ? 'btn-primary' : 'btn-ghost'}`}
                aria-pressed={index === pourIndex}
                onClick={() => onPour(index)}
              >
                {pourLetter(index)}
              </button>
            ))}
          </fieldset>
        )}
        <button
          type="button"
          className="btn btn-ghost btn-sm ml-auto min-h-11 text-xs font-normal"
          onClick={onClose}
        >
          <X size={18} aria-hidden="true" />
          Back to the doses
        </button>
      </div>
      {detail === 'curves' && (
        <>
          <Curves {...props} key={pourIndex} />
          <PourWhen {...props} />
        </>
      )}
      {detail === 'list' && <TaskTable {...props} />}
      {detail === 'making' && <MakingForm {...props} />}
      {detail === 'whatIf' && <WhatIf {...props} />}
      {detail === 'teach' && <Teach {...props} key={pourIndex} />}
    </section>
  );
}
