import { ChevronRight } from 'lucide-react';
import { lazy, type ReactNode, Suspense, useState } from 'react';
import { useFormContext, useWatch } from 'react-hook-form';
import { isPowderRole } from '../../core/materials/additive';
import { isCounted, type MaterialKind } from '../../core/materials/material';
import type { TextContext } from '../../formats/records/fieldText';
import {
  FIELD_GROUPS,
  type FieldGroup,
  fieldsOf,
  type MaterialField,
} from '../../formats/records/materialFields';
import type { RecordTexts } from '../../formats/records/recordText';
import { KIND_NAMES } from '../../words/en/materials/kindNames';
import { options, SelectField } from '../shared/formFields';
import { RecordTextField } from '../shared/RecordTextField';
import { AllergenNames } from './AllergenNames';
import { BlendSummary } from './BlendSummary';
import type { MaterialTyped } from './materialForm';
import { Readings } from './Readings';

const ColourMatching = lazy(() => import('./ColourMatching'));

const GROUP_NAMES: Record<FieldGroup, string> = {
  what: 'What it is',
  limits: 'Limits',
  measures: 'Measures',
  setting: 'Heat and setting',
  heat: 'Figures of the heat model',
  label: 'For the label',
  stock: 'On the shelf',
};

interface Props {
  isNew: boolean;
  isKindFixed: boolean;
  locale: string;
  context: TextContext;
}

/** The fields of the kind that is chosen. Empty means that nobody knows, and the checks will say so. */
export function MaterialFields({ isNew, isKindFixed, locale, context }: Props) {
  const { register, control, formState } = useFormContext<MaterialTyped>();
  const [kind, texts] = useWatch({ control, name: ['kind', 'texts'] });
  const fields = kind === '' ? [] : fieldsOf(kind).filter((field) => isAsked(field, kind, texts));
  const errors = formState.errors.texts ?? {};
  const errorOf = (key: string) =>
    errors[key as keyof typeof errors] as { type: string; message?: string } | undefined;

  return (
    <>
      {!isKindFixed && (
        <SelectField label="Kind" registered={register('kind')}>
          {kind === '' && <option value="">Choose what it is …</option>}
          {options(KIND_NAMES)}
        </SelectField>
      )}
      {errorOf('kind') && (
        <p role="alert" className="text-error text-xs">
          {errorOf('kind')?.message}
        </p>
      )}
      {!isNew && formState.dirtyFields.kind && (
        <p className="quiet text-xs">The kind can change while no plan, blend or lot uses it.</p>
      )}
      {FIELD_GROUPS.map((group) => {
        const ofGroup = fields.filter((field) => field.group === group);
        if (ofGroup.length === 0) return null;
        return (
          <Group
            key={`${group} ${kind}`}
            name={GROUP_NAMES[group]}
            isOpenAtFirst={OPEN.has(group)}
            isWrong={ofGroup.some(({ key }) => errorOf(key))}
          >
            <div className="grid gap-x-3 gap-y-2 pb-2 sm:grid-cols-2">
              {ofGroup.map((field) =>
                field.key === 'readings' ? (
                  <div key={field.key} className="sm:col-span-2">
                    <Readings locale={locale} />
                  </div>
                ) : (
                  <div key={field.key} className={WIDE.has(field.key) ? 'sm:col-span-2' : ''}>
                    <RecordTextField
                      field={field}
                      unit={
                        field.key === 'lowStock' && kind !== '' && isCounted(kind) ? 'pieces' : field.unit
                      }
                      registered={register(`texts.${field.key}`)}
                      error={errorOf(field.key)}
                    />
                  </div>
                ),
              )}
              {group === 'measures' && kind === 'colorant' && (
                <div className="sm:col-span-2">
                  <Suspense fallback={<p className="quiet text-sm">Opening …</p>}>
                    <ColourMatching context={context} />
                  </Suspense>
                </div>
              )}
              {group === 'label' && kind === 'fragrance' && (
                <div className="sm:col-span-2">
                  <AllergenNames text={texts.allergens ?? ''} context={context} />
                </div>
              )}
              {group === 'what' && kind === 'blend' && (
                <div className="sm:col-span-2">
                  <BlendSummary text={texts.members ?? ''} context={context} locale={locale} />
                </div>
              )}
            </div>
          </Group>
        );
      })}
    </>
  );
}

interface GroupProps {
  name: string;
  isOpenAtFirst: boolean;
  /** One of its fields can't be read: it is opened, and stays open when that is mended. */
  isWrong: boolean;
  children: ReactNode;
}

function Group({ name, isOpenAtFirst, isWrong, children }: GroupProps) {
  const [isOpen, setOpen] = useState(isOpenAtFirst);
  if (isWrong && !isOpen) setOpen(true);
  return (
    <details
      className="border-base-300 border-t pt-2 first:border-0"
      open={isOpen}
      onToggle={({ currentTarget }) => setOpen(currentTarget.open)}
    >
      <summary className="flex min-h-11 cursor-pointer items-center font-semibold">
        <ChevronRight size={18} className="chevron mr-1" aria-hidden="true" />
        {name}
      </summary>
      {children}
    </details>
  );
}

/** What is looked up and entered most. */
const OPEN: ReadonlySet<FieldGroup> = new Set(['what', 'limits', 'measures']);

const WIDE: ReadonlySet<string> = new Set([
  'name',
  'members',
  'inci',
  'inciShares',
  'allergens',
  'origins',
  'note',
  'contains',
  'match',
]);

/** A grain size is asked of grit, and a spoon's density of what is no liquid. */
function isAsked({ key }: MaterialField, kind: MaterialKind, texts: RecordTexts): boolean {
  if (key === 'grainMm') return texts.role === 'grit';
  if (key !== 'bulkDensityGPerMl') return true;
  return kind === 'colorant'
    ? texts.form === 'mica' || texts.form === 'pigment'
    : isPowderRole((texts.role ?? 'other') as Parameters<typeof isPowderRole>[0]);
}
