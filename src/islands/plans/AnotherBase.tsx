import { lazy, memo } from 'react';
import { OpenedLater } from './OpenedLater';
import type { Props as TryProps } from './TryBase';

const TryBase = lazy(() => import('./TryBase'));

interface Props extends Omit<TryProps, 'baseId' | 'others'> {
  pourIndex: number;
}

/** Opens on the plan with another base in its place. */
export const AnotherBase = memo(function AnotherBase({ pourIndex, ...props }: Props) {
  const { file } = props;
  const baseId = file.plan.pours[pourIndex]?.baseId;
  const others = file.materials.filter(
    ({ id, kind, archived }) => kind === 'base' && id !== baseId && !archived,
  );
  if (others.length === 0) return null;
  return (
    <OpenedLater title="Try another base">
      <TryBase {...props} baseId={baseId} others={others} />
    </OpenedLater>
  );
});
