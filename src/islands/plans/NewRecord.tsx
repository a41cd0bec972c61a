import { useEffect, useRef } from 'react';
import type { Material } from '../../core/materials/material';
import type { Mold } from '../../core/molds/mold';
import { MoldEditor } from '../molds/MoldEditor';
import { type ApiProblem, callApi } from '../shared/api';
import { useShowing } from '../shared/showing';
import { MaterialEditor } from '../shelf/MaterialEditor';
import { ShelfMaterials } from '../shelf/shelfMaterials';
import { usePlanPage } from './planContext';

export interface NewRecordProps {
  what: 'mold' | 'base' | 'scrap' | 'dispersant';
  /** Takes the id of what was made, or of what is there by the same name. */
  onMade(id: string): void;
  onClose(): void;
}

/** A mold or a material that a plan misses, made with the form of its own page and without leaving the plan. */
export default function NewRecord({ what, onMade, onClose }: NewRecordProps) {
  const { materials, rules, shelved, molded } = usePlanPage();
  const { locale } = useShowing();
  const dialog = useRef<HTMLDialogElement>(null);
  useEffect(() => dialog.current?.showModal(), []);
  const close = () => dialog.current?.close();
  /** Puts a record there; answers the problem, or null when it is there and taken. */
  async function make<Item extends { id: string }>(
    address: string,
    record: Omit<Item, 'id'>,
    onThere: (item: Item) => void,
  ): Promise<ApiProblem | null> {
    const answer = await callApi<{ item: Item }>('POST', address, record);
    if (!answer.success) return answer.error;
    onThere(answer.data.item);
    onMade(answer.data.item.id);
    return null;
  }
  const bases = materials.filter((each) => each.kind === 'base').filter(({ archived }) => !archived);
  return (
    <dialog ref={dialog} className="modal" aria-labelledby="record-title" onClose={onClose}>
      <div className="modal-box max-w-2xl bg-transparent p-0 shadow-none">
        {what === 'mold' ? (
          <MoldEditor
            was={null}
            usualFill={rules.fillFraction}
            bases={bases}
            save={(mold) => make<Mold>('/api/molds', mold, molded)}
            onDone={close}
          />
        ) : (
          <ShelfMaterials.Provider value={materials}>
            <MaterialEditor
              was={null}
              kind={what}
              materials={materials}
              locale={locale}
              save={(material) => make<Material>('/api/materials', material, shelved)}
              onTake={(id) => {
                onMade(id);
                close();
              }}
              onDone={close}
            />
          </ShelfMaterials.Provider>
        )}
      </div>
    </dialog>
  );
}
