import { lazy, Suspense, useMemo } from 'react';
import { FormProvider, useForm, useWatch } from 'react-hook-form';
import type { Taught } from '../../core/heat/taught';
import type { Base } from '../../core/materials/base';
import type { Measure, Mold, NewMold, Shape } from '../../core/molds/mold';
import { isKnown, shapeCapacityMl } from '../../core/molds/shape';
import { sectionOfMold } from '../../core/section/section';
import { showPercent, showVolume } from '../../core/units/showQuantity';
import { writeFigure } from '../../core/units/writeQuantity';
import { fieldsOfShape, measuresText, readMold, taughtText, typedMold } from '../../formats/records/moldText';
import type { RecordTexts } from '../../formats/records/recordText';
import { Section } from '../section/Section';
import { RecordForm } from '../shared/RecordForm';
import { RecordTextField } from '../shared/RecordTextField';
import type { StoredItem } from '../shared/saveQueue';
import { useShowing } from '../shared/showing';
import { TaughtList } from '../shared/TaughtList';
import { type TextForm, textResolver } from '../shared/textForm';
import { today } from '../shared/today';
import type { useRecords } from '../shared/useRecords';
import { FillsSeen } from './FillsSeen';
import { Measures, NO_NAMES } from './Measures';

const ModelImport = lazy(() => import('./ModelImport'));
const VolumeCurve = lazy(() => import('./VolumeCurve'));

/** Fields that have a part of the form of their own. */
const OF_ITS_OWN: ReadonlySet<string> = new Set(['measures', 'levels', 'taught']);

type StoredMold = StoredItem<Mold>;

interface EditorProps {
  usualFill: number;
  bases: Base[];
  was: StoredMold | null;
  save: ReturnType<typeof useRecords<Mold>>['save'];
  onTheirs?(theirs: StoredMold): void;
  onDone(): void;
}

/** The form of one mold, with the section that its fields say. */
export function MoldEditor({ was, usualFill, bases, save, onTheirs, onDone }: EditorProps) {
  const form = useForm<TextForm, unknown, NewMold>({
    resolver: textResolver(({ texts }) => readMold(texts)),
    defaultValues: { texts: typedMold(was?.item ?? null, usualFill) },
  });
  const texts = useWatch({ control: form.control, name: 'texts' });
  const errors = (form.formState.errors.texts ?? {}) as Record<string, { message?: string } | undefined>;
  /** A measuring by what is known of the shape; it is what the cavity holds until another one is used. */
  function remember(by: Measure['by'], capacityMl: number) {
    const { measures: before = '' } = form.getValues('texts');
    const read = measuresText.read(before, NO_NAMES);
    const own: Measure = { by, on: today(), capacityMl: Number(capacityMl.toFixed(3)) };
    const keep = (read.success ? read.data : []).filter((each) => each.by !== by || each.on !== own.on);
    form.setValue('texts.measures', measuresText.write([...keep, own], NO_NAMES), { shouldDirty: true });
    form.setValue('texts.capacityMl', writeFigure(capacityMl, 2), { shouldDirty: true });
    form.setValue('texts.measuredBy', by, { shouldDirty: true });
  }
  const taught = taughtOf(texts.taught);
  function setTaught(next: Taught[]) {
    form.setValue('texts.taught', taughtText.write(next), { shouldDirty: true });
    return true;
  }
  const fields = fieldsOfShape((texts.shapeKind ?? 'capacity-only') as Shape['kind']);
  return (
    <FormProvider {...form}>
      <RecordForm<Mold>
        title={was ? was.item.name : 'New mold'}
        busy={form.formState.isSubmitting}
        was={was}
        save={save}
        onSubmit={(then) => void form.handleSubmit((read) => then(read))()}
        onTheirs={onTheirs}
        onDone={onDone}
        before={was ? { kind: 'mold', id: was.item.id } : undefined}
      >
        <div className="grid gap-3 sm:grid-cols-2">
          {fields
            .filter(({ key }) => !OF_ITS_OWN.has(key))
            .map((field) => (
              <div key={field.key} className={WIDE.has(field.key) ? 'sm:col-span-2' : ''}>
                <RecordTextField
                  field={field}
                  registered={form.register(`texts.${field.key}`)}
                  error={errors[field.key]}
                />
              </div>
            ))}
        </div>
        {texts.shapeKind === 'model' && (
          <Suspense fallback={<p className="quiet text-sm">Opening …</p>}>
            <ModelImport onMeasured={(capacityMl) => remember('model', capacityMl)} />
            {errors.levels && (
              <p className="text-error text-sm" role="alert">
                {errors.levels.message}
              </p>
            )}
          </Suspense>
        )}
        <Measures bases={bases} />
        <section className="border-base-300 rounded-lg border p-3 text-sm" aria-label="Heat">
          <h3 className="font-semibold">Heat</h3>
          <TaughtList
            whose="This mold"
            taught={taught}
            onTakeOut={(one) => setTaught(taught.filter((each) => each !== one))}
            onPutBack={(one, place) => setTaught(taught.toSpliced(place, 0, one))}
          />
        </section>
        <Preview texts={texts} onKeep={remember} />
        {was && (
          <FillsSeen
            moldId={was.item.id}
            storedMl={was.item.capacityMl}
            onTake={(capacityMl) =>
              form.setValue('texts.capacityMl', writeFigure(capacityMl, 2), { shouldDirty: true })
            }
          />
        )}
      </RecordForm>
    </FormProvider>
  );
}

function taughtOf(text: string | undefined): Taught[] {
  const read = taughtText.read(text || '[]');
  return read.success ? (read.data as Taught[]) : [];
}

const WIDE: ReadonlySet<string> = new Set(['name', 'points', 'steps', 'note']);
const DISAGREES_ABOVE = 0.05;
const WAY_WORDS: Partial<Record<Measure['by'], string>> = {
  'water-steps': 'its water steps',
  model: 'its model',
};

/** How a shape that is known was measured. */
function shapeMeasuredBy(kind: Shape['kind']): Measure['by'] {
  if (kind === 'water-steps' || kind === 'model') return kind;
  return 'dimensions';
}

interface PreviewProps {
  texts: RecordTexts;
  onKeep(by: Measure['by'], capacityMl: number): void;
}

/** The section as the fields say it, and whether capacity and dimensions agree. */
function Preview({ texts, onKeep }: PreviewProps) {
  const showing = useShowing();
  const read = useMemo(
    () =>
      readMold({
        ...texts,
        name: texts.name || 'mold',
        cavities: texts.cavities || '1',
        capacityMl: texts.capacityMl || '1',
      }),
    [texts],
  );
  if (!read.success) return null;
  const mold = { ...read.data, id: 'preview' };
  if (!isKnown(mold.shape)) return null;
  const byShapeMl = shapeCapacityMl(mold.shape);
  const off = texts.capacityMl ? byShapeMl / mold.capacityMl - 1 : 0;
  const by = shapeMeasuredBy(mold.shape.kind);
  return (
    <div>
      <div className="flex h-40 justify-center">
        <Section section={sectionOfMold(mold)} locale={showing.locale} />
      </div>
      <p className="text-sm" role="status">
        By {WAY_WORDS[by] ?? 'its dimensions'} a cavity holds {showVolume(byShapeMl, showing.locale)}.{' '}
        {Math.abs(off) > DISAGREES_ABOVE && (
          <strong className="text-warning">
            That is {showPercent(Math.abs(off), showing.locale)} {off > 0 ? 'more' : 'less'} than entered.
            Measure once more.
          </strong>
        )}
      </p>
      <button
        type="button"
        className="btn btn-sm btn-secondary min-h-11"
        onClick={() => onKeep(by, byShapeMl)}
      >
        Use it, and keep it as a measuring
      </button>
      <Suspense fallback={<p className="quiet mt-2 h-44 text-xs">What one cavity holds up to a height …</p>}>
        <VolumeCurve shape={mold.shape} capacityMl={texts.capacityMl ? mold.capacityMl : byShapeMl} />
      </Suspense>
    </div>
  );
}
