import { useMemo, useState } from 'react';
import { FormProvider, useForm } from 'react-hook-form';
import type { Material, NewMaterial } from '../../core/materials/material';
import { readMaterial } from '../../formats/records/materialText';
import { shelfNames } from '../../formats/records/shelfNames';
import type { ApiProblem } from '../shared/api';
import { RecordForm } from '../shared/RecordForm';
import type { StoredItem } from '../shared/saveQueue';
import { textResolver } from '../shared/textForm';
import type { useRecords } from '../shared/useRecords';
import { MaterialFields } from './MaterialFields';
import { type MaterialTyped, typedMaterial } from './materialForm';

interface Props {
  was: StoredItem<Material> | null;
  materials: readonly Material[];
  locale: string;
  save: ReturnType<typeof useRecords<Material>>['save'];
  remove: ReturnType<typeof useRecords<Material>>['remove'];
  onTheirs(theirs: StoredItem<Material>): void;
  onDone(): void;
}

/** The form of one material: saved, archived, or taken off the shelf when nothing names it. */
export function MaterialEditor({ was, materials, locale, save, remove, onTheirs, onDone }: Props) {
  const context = useMemo(() => shelfNames(materials), [materials]);
  const form = useForm<MaterialTyped, unknown, NewMaterial>({
    resolver: textResolver(({ kind, texts }) => readMaterial(kind, texts, context)),
    defaultValues: typedMaterial(was?.item ?? null, context),
  });
  const [problem, setProblem] = useState<ApiProblem | null>(null);

  async function takeAway() {
    if (!was) return;
    const refused = await remove(was.item.id);
    if (refused) setProblem(refused);
    else onDone();
  }

  return (
    <FormProvider {...form}>
      <RecordForm<Material>
        title={was ? was.item.name : 'New material'}
        busy={form.formState.isSubmitting}
        was={was}
        save={save}
        onSubmit={(then) => void form.handleSubmit((read) => then(read as Omit<Material, 'id'>))()}
        onTheirs={onTheirs}
        onDone={onDone}
        onRemove={was ? takeAway : undefined}
      >
        <MaterialFields isNew={was === null} locale={locale} context={context} />
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
      </RecordForm>
    </FormProvider>
  );
}
