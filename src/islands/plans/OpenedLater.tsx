import { ChevronRight } from 'lucide-react';
import { type ReactNode, Suspense, useState } from 'react';

interface Props {
  title: string;
  /** Loaded once it is opened. */
  children: ReactNode;
}

/** A part of the page that most plans do without. */
export function OpenedLater({ title, children }: Props) {
  const [wasOpened, setWasOpened] = useState(false);
  return (
    <details className="mt-1" onToggle={({ currentTarget }) => currentTarget.open && setWasOpened(true)}>
      <summary className="flex min-h-11 cursor-pointer items-center text-sm font-semibold">
        <ChevronRight size={18} className="chevron mr-1" aria-hidden="true" />
        {title}
      </summary>
      {wasOpened && <Suspense fallback={<p className="quiet text-sm">One moment …</p>}>{children}</Suspense>}
    </details>
  );
}
