import { ChevronRight } from 'lucide-react';
import { lazy, memo, Suspense, useState } from 'react';
import type { Props as TryProps } from './TryBase';

const TryBase = lazy(() => import('./TryBase'));

interface Props extends Omit<TryProps, 'baseId' | 'others'> {
  pourIndex: number;
}

/** Opens on the plan with another base in its place. */
export const AnotherBase = memo(function AnotherBase({ pourIndex, ...props }: Props) {
  const [wasOpened, setWasOpened] = useState(false);
  const { file } = props;
  const baseId = file.plan.pours[pourIndex]?.baseId;
  const others = file.materials.filter(
    ({ id, kind, archived }) => kind === 'base' && id !== baseId && !archived,
  );
  if (others.length === 0) return null;
  return (
    <details className="mt-1" onToggle={({ currentTarget }) => currentTarget.open && setWasOpened(true)}>
      <summary className="flex min-h-11 cursor-pointer items-center text-sm font-semibold">
        <ChevronRight size={18} className="chevron mr-1" aria-hidden="true" />
        Try another base
      </summary>
      {wasOpened && (
        <Suspense fallback={<p className="quiet text-sm">One moment …</p>}>
          <TryBase {...props} baseId={baseId} others={others} />
        </Suspense>
      )}
    </details>
  );
});
