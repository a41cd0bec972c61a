import { pourLetter } from '../../../core/plan/plan';
import { EmbedList } from './EmbedList';
import { OmbreForm } from './OmbreForm';
import type { PourPanelProps } from './pourPanel';
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
      <EmbedList key={`embeds ${pourIndex}`} {...props} letter={letter} />
      {file.plan.pours.length > 1 && <OmbreForm {...props} />}
    </div>
  );
}
