import { ChevronRight } from 'lucide-react';
import { lazy, Suspense, useState } from 'react';
import { type Pour, pourLetter } from '../../../core/plan/plan';
import type { PourPanelProps } from './pourPanel';

const PourDetails = lazy(() => import('./PourDetails'));

/** Folded up until it is asked for, unless there is something in it. */
export function HowItIsPoured(props: PourPanelProps) {
  const { file, pourIndex } = props;
  const pour = file.plan.pours[pourIndex];
  const says = pour ? wayInShort(pour, pourIndex) : '';
  const [isOpen, setOpen] = useState(false);
  return (
    <details
      className="border-base-300 mb-1 border-b"
      open={isOpen}
      onToggle={({ currentTarget }) => setOpen(currentTarget.open)}
    >
      <summary className="flex min-h-11 cursor-pointer items-center text-sm">
        <ChevronRight size={18} className="chevron mr-1 shrink-0" aria-hidden="true" />
        <span className="font-semibold">How it is poured, what is set in</span>
        {says !== '' && <span className="quiet ml-2 truncate text-xs">{says}</span>}
      </summary>
      {isOpen && (
        <Suspense fallback={<p className="quiet text-sm">Opening …</p>}>
          <PourDetails {...props} />
        </Suspense>
      )}
    </details>
  );
}

/** What is not usual about a pour, in a line. */
function wayInShort({ way = {}, embeds = [], remelt }: Pour, pourIndex: number): string {
  const before = pourLetter(pourIndex - 1);
  return [
    way.lean && `leaning ${Math.abs(way.lean.deg)}°`,
    way.besideShare !== undefined && `beside ${before}`,
    way.sameJug && `from the jug of ${before}`,
    way.goes && `in ${way.goes} goes`,
    way.dropped && `dripped on ${before}`,
    way.trimmed && 'cut off',
    remelt && `${Math.round(remelt.ofBase * 100)} % melted again`,
    embeds.length > 0 && `${embeds.length} set in`,
  ]
    .filter(Boolean)
    .join(', ');
}
