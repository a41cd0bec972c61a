import { useMemo, useState } from 'react';
import { FormProvider, useForm } from 'react-hook-form';
import { foldedName } from '../../core/materials/byName';
import type { Material, MaterialKind, NewMaterial } from '../../core/materials/material';
import { readMaterial } from '../../formats/records/materialText';
import { shelfNames } from '../../formats/records/shelfNames';
import { KIND_NAMES } from '../../words/en/materials/kindNames';
import type { ApiProblem } from '../shared/api';
import { RecordForm } from '../shared/RecordForm';
import type { StoredItem } from '../shared/saveQueue';
import { textResolver } from '../shared/textForm';
import type { useRecords } from '../shared/useRecords';
import { MaterialFields } from './MaterialFields';
import { type MaterialTyped, typedMaterial } from './materialForm';

interface Props {
  was: StoredItem<Material> | null;
  /** Of a new one, where only one kind is wanted. */
  kind?: MaterialKind;
  materials: readonly Material[];
  locale: string;
  save: ReturnType<typeof useRecords<Material>>['save'];
  /** These three: left out where only a new one is made. */
  remove?: ReturnType<typeof useRecords<Material>>['remove'];
  onTheirs?(theirs: StoredItem<Material>): void;
  /** Takes the one that has the name already, in the place of a new one. */
  onTake?(id: string): void;
  onDone(): void;
}

/** The form of one material: saved, archived, or taken off the shelf when nothing names it. */
export function MaterialEditor(props: Props) {
  const { was, kind, materials, locale, save, remove, onTheirs, onTake, onDone } = props;
  const context = useMemo(() => shelfNames(materials), [materials]);
  const form = useForm<MaterialTyped, unknown, NewMaterial>({
    resolver: textResolver(({ kind, texts }) =>
      kind === ''
        ? { success: false, error: [{ key: 'kind', reason: 'Choose what it is.' }] }
        : readMaterial(kind, texts, context),
    ),
    defaultValues: typedMaterial(was?.item ?? null, context, kind),
  });
  const [problem, setProblem] = useState<ApiProblem | null>(null);
  /** What has the same name, with what is done when a second one is meant. */
  const [same, setSame] = useState<{ material: Material; goOn(): void } | null>(null);

  function submit(then: (item: Omit<Material, 'id'>) => Promise<void>) {
    void form.handleSubmit((read) => {
      const goOn = () => then(read as Omit<Material, 'id'>);
      const wanted = foldedName(read.name);
      const material = materials.find(({ id, name }) => id !== was?.item.id && foldedName(name) === wanted);
      const isNamedAnew = was === null || foldedName(was.item.name) !== wanted;
      if (material && isNamedAnew) return setSame({ material, goOn: () => void goOn() });
      return goOn();
    })();
  }

  async function takeAway() {
    if (!was || !remove) return;
    const refused = await remove(was.item.id);
    if (refused) setProblem(refused);
    else onDone();
  }

  return (
    <FormProvider {...form}>
      <RecordForm<Material>
        title={was ? was.item.name : kind ? `New ${KIND_NAMES[kind].toLowerCase()}` : 'New material'}
        busy={form.formState.isSubmitting}
        was={was}
        save={save}
        onSubmit={submit}
        onTheirs={onTheirs}
        onDone={onDone}
        before={was ? { kind: 'material', id: was.item.id } : undefined}
        onRemove={was && remove ? takeAway : undefined}
        told={
          <>
            {same && (
              <SameName
                material={same.material}
                onTake={same.material.kind === kind && !same.material.archived ? onTake : undefined}
                onSecond={() => {
                  same.goOn();
                  setSame(null);
                }}
              />
            )}
            {problem && (
              <p role="alert" className="text-error text-sm font-semibold">
                {problem.detail}{' '}
                {problem.code === 'in-use' && (
                  <button
                    type="button"
                    className="btn btn-sm btn-secondary min-h-11"
                    onClick={() => {
                      form.setValue('texts.archived', 'yes', { shouldDirty: true });
                      setProblem(null);
                      void form.handleSubmit(async (read) => {
                        const refused = await save(read as Omit<Material, 'id'>, was);
                        if (refused) setProblem(refused);
                        else onDone();
                      })();
                    }}
                  >
                    Archive it
                  </button>
                )}
              </p>
            )}
          </>
        }
      >
        <MaterialFields
          isNew={was === null}
          isKindFixed={kind !== undefined}
          locale={locale}
          context={context}
        />
      </RecordForm>
    </FormProvider>
  );
}

interface SameNameProps {
  material: Material;
  onTake: ((id: string) => void) | undefined;
  onSecond(): void;
}

/** A name that is on the shelf already: perhaps that one is meant, perhaps a second. */
function SameName({ material: { id, name, kind, archived }, onTake, onSecond }: SameNameProps) {
  return (
    <p role="alert" className="flex flex-wrap items-center gap-2 text-sm font-semibold">
      “{name}” is on the shelf already, as {KIND_NAMES[kind].toLowerCase()}
      {archived && ', archived'}.
      {onTake ? (
        <button type="button" className="btn btn-sm btn-secondary min-h-11" onClick={() => onTake(id)}>
          Use that one
        </button>
      ) : (
        <a className="btn btn-sm btn-secondary min-h-11" href={`/shelf?material=${encodeURIComponent(id)}`}>
          Open it
        </a>
      )}
      <button type="button" className="btn btn-sm btn-secondary min-h-11" onClick={onSecond}>
        Save a second one
      </button>
    </p>
  );
}
