import { lazy, Suspense, useState } from 'react';
import type { NewRecordProps } from './NewRecord';

const NewRecord = lazy(() => import('./NewRecord'));

/** No record has such an id. */
const NEW = ' new';

/** The last choice of a list, which makes what the list misses; its form opens over the plan. */
export function useNewRecord({ what, onMade }: Omit<NewRecordProps, 'onClose'>) {
  const [isMaking, setMaking] = useState(false);
  const newOption = <option value={NEW}>{what === 'scrap' ? 'New scrap' : `A new ${what}`} …</option>;
  const newForm = isMaking && (
    <Suspense>
      <NewRecord what={what} onMade={onMade} onClose={() => setMaking(false)} />
    </Suspense>
  );
  /** What is chosen from a list: an id, or the last choice. */
  const choosing = (onChoose: (id: string) => void) => (id: string) =>
    id === NEW ? setMaking(true) : onChoose(id);
  return { newOption, newForm, choosing, make: () => setMaking(true) };
}
