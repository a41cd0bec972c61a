import type { UseFormRegisterReturn } from 'react-hook-form';
import type { RecordField } from '../../formats/records/recordText';
import { options, SelectField, TextField } from './formFields';

interface Props {
  field: RecordField & { hint?: string; names?: Record<string, string>; decimal?: boolean };
  unit?: string | undefined;
  registered: UseFormRegisterReturn;
  error: { message?: string } | undefined;
}

/** One field of a record that is kept as text: a choice where it has names, else a line to write on. */
export function RecordTextField({ field, unit = field.unit, registered, error }: Props) {
  if (field.names) {
    return (
      <SelectField label={field.label} registered={registered}>
        {options(field.names)}
      </SelectField>
    );
  }
  return (
    <TextField
      label={field.label}
      {...(unit ? { unit } : {})}
      {...(field.hint ? { hint: field.hint } : {})}
      decimal={field.decimal ?? false}
      error={error}
      registered={registered}
    />
  );
}
