import { useFormContext, useWatch } from 'react-hook-form';
import { options, SelectField, TextField } from '../shared/formFields';
import { BASE_KIND_NAMES, FORM_NAMES, KIND_NAMES, LOOK_NAMES, ROLE_NAMES, SKIN_NAMES } from '../shared/names';
import type { MaterialTyped } from './materialForm';
import { Readings } from './Readings';

/** The fields of the kind that is chosen. Empty means that nobody knows, and the checks will say so. */
export function MaterialFields({ isNew, locale }: { isNew: boolean; locale: string }) {
  const { register, formState, control } = useFormContext<MaterialTyped>();
  const { errors } = formState;
  const [kind, form, role] = useWatch({ control, name: ['kind', 'form', 'role'] });
  const isPowder =
    (kind === 'colorant' && form !== 'dye') ||
    (kind === 'additive' && (role === 'grit' || role === 'botanical'));
  return (
    <>
      <div className="grid gap-3 sm:grid-cols-2">
        {isNew && (
          <SelectField label="Kind" registered={register('kind')}>
            {options(KIND_NAMES)}
          </SelectField>
        )}
        <TextField label="Name" error={errors.name} registered={register('name')} />
        {kind === 'base' && (
          <>
            <SelectField label="What it is" registered={register('baseKind')}>
              {options(BASE_KIND_NAMES)}
            </SelectField>
            <SelectField label="Look" registered={register('look')}>
              {options(LOOK_NAMES)}
            </SelectField>
            <TextField
              decimal
              label="Fragrance cap"
              unit="% of base"
              hint="Empty: 3 % for soap, 2 % for syndet, as is usual"
              error={errors.fragranceCap}
              registered={register('fragranceCap')}
            />
            <TextField
              decimal
              label="Cap of all additions"
              unit="% of base"
              hint="Empty: 10 % for soap, 3 % for syndet"
              error={errors.additionsCap}
              registered={register('additionsCap')}
            />
            <TextField
              decimal
              label="Never hotter than"
              unit="°C"
              hint="Empty: 71 °C"
              error={errors.ceiling}
              registered={register('ceiling')}
            />
          </>
        )}
        {kind === 'colorant' && (
          <SelectField label="Form" registered={register('form')}>
            {options(FORM_NAMES)}
          </SelectField>
        )}
        {kind === 'additive' && (
          <SelectField label="What it does" registered={register('role')}>
            {options(ROLE_NAMES)}
          </SelectField>
        )}
        {kind !== 'base' && (
          <>
            <SelectField label="On skin" registered={register('skin')}>
              {options(SKIN_NAMES)}
            </SelectField>
            <TextField
              decimal
              label="Supplier’s limit"
              unit="% of product"
              hint="Empty: not known"
              error={errors.maxOfProduct}
              registered={register('maxOfProduct')}
            />
          </>
        )}
        <TextField
          decimal
          label="Density"
          unit="g/mL"
          hint="Empty: not measured, a usual figure stands in"
          error={errors.density}
          registered={register('density')}
        />
        {isPowder && (
          <TextField
            decimal
            label="Density in the spoon"
            unit="g/mL"
            hint="Loose, levelled. Empty: not measured"
            error={errors.bulkDensity}
            registered={register('bulkDensity')}
          />
        )}
      </div>
      {kind !== 'base' && <Readings locale={locale} />}
      <TextField label="Note" error={errors.note} registered={register('note')} />
    </>
  );
}
