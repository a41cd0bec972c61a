import { useEffect, useRef } from 'react';
import type { Material } from '../../core/materials/material';
import type { Mold } from '../../core/molds/mold';
import { MoldEditor } from '../molds/MoldEditor';
import { type ApiProblem, callApi } from '../shared/api';
import type { StoredItem } from '../shared/saveQueue';
import { useShowing } from '../shared/showing';
import { MaterialEditor } from '../shelf/MaterialEditor';
import { ShelfMaterials } from '../shelf/shelfMaterials';
import { usePlanPage } from './planContext';

export type NewRecordProps =
  | { what: 'mold'; onMade(mold: Mold): void; onClose(): void }
  | { what: 'base'; onMade(base: Material): void; onClose(): void };

/** A mold or a base that a plan misses, made with the form of its own page and without leaving the plan. */
export default function NewRecord(props: NewRecordProps) {
  const { materials, rules } = usePlanPage();
  const { locale } = useShowing();
  const dialog = useRef<HTMLDialogElement>(null);
  useEffect(() => dialog.current?.showModal(), []);
  const close = () => dialog.current?.close();
  return (
    <dialog ref={dialog} className="modal" aria-labelledby="record-title" onClose={props.onClose}>
      <div className="modal-box max-w-2xl bg-transparent p-0 shadow-none">
        {props.what === 'mold' ? (
          <MoldEditor
            was={null}
            usualFill={rules.fillFraction}
            bases={materials.filter((each) => each.kind === 'base').filter(({ archived }) => !archived)}
            save={(mold) => post<Mold>('/api/molds', mold, props.onMade)}
            onTheirs={() => {}}
            onDone={close}
          />
        ) : (
          <ShelfMaterials.Provider value={materials}>
            <MaterialEditor
              was={null}
              kind="base"
              materials={materials}
              locale={locale}
              save={(material) => post<Material>('/api/materials', material, props.onMade)}
              remove={async () => null}
              onTheirs={() => {}}
              onDone={close}
            />
          </ShelfMaterials.Provider>
        )}
      </div>
    </dialog>
  );
}

async function post<Item>(
  address: string,
  item: Omit<Item, 'id'>,
  onMade: (item: Item) => void,
): Promise<ApiProblem | null> {
  const answer = await callApi<StoredItem<Item & { id: string; name: string }>>('POST', address, item);
  if (!answer.success) return answer.error;
  onMade(answer.data.item);
  return null;
}
