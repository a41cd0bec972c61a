import { Suspense } from 'react';
import type { Found } from '../../core/checks/finding';
import { useDescribed } from './useDescribed';

/** What was found, in a few words. */
export function FindingTitle({ found }: { found: Found }) {
  return (
    <Suspense fallback="…">
      <Title found={found} />
    </Suspense>
  );
}

function Title({ found }: { found: Found }) {
  return useDescribed(found).title;
}
