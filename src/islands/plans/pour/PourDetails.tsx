import { LONGEST_POUR_NOTE, pourLetter } from '../../../core/plan/plan';
import { usePlanPage } from '../planContext';
import { withPour } from '../planEdits';
import { EmbedList } from './EmbedList';
import { OmbreForm } from './OmbreForm';
import type { PourPanelProps } from './pourPanel';
import { RemeltFields } from './RemeltFields';
import { WayFields } from './WayFields';

/** How one pour is poured, and what is set into it. */
export default function PourDetails(props: PourPanelProps) {
  const { file, pourIndex } = props;
  const pour = file.plan.pours[pourIndex];
  if (!pour) return null;
  const letter = pourLetter(pourIndex);
  return (
    <div className="flex flex-col gap-3 pb-2">
      <WayFields key={`way ${pourIndex}`} {...props} />
      <RemeltFields key={`remelt ${pourIndex}`} {...props} />
      <EmbedList key={`embeds ${pourIndex}`} {...props} letter={letter} />
      {file.plan.pours.length > 1 && <OmbreForm {...props} />}
      <PourNote key={`note ${pourIndex}`} {...props} letter={letter} />
    </div>
  );
}

/** What hands are told when they pour it. */
function PourNote({ file: { plan }, pourIndex, letter }: PourPanelProps & { letter: string }) {
  const { editShown } = usePlanPage();
  return (
    <label className="flex flex-col text-xs">
      <span className="quiet">
        Told when {letter} is poured, such as a texture that is pressed into its face
      </span>
      <input
        className="input input-sm w-full pointer-coarse:min-h-11"
        maxLength={LONGEST_POUR_NOTE}
        value={plan.pours[pourIndex]?.note ?? ''}
        onChange={({ target: { value } }) =>
          editShown(
            withPour(plan, pourIndex, ({ note: _, ...pour }) =>
              value === '' ? pour : { ...pour, note: value },
            ),
            `note of ${pourIndex}`,
          )
        }
      />
    </label>
  );
}
