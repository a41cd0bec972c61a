import type { FieldValues, Resolver, ResolverResult, ResolverSuccess } from 'react-hook-form';
import type { Result } from '../../core/result';
import type { RecordTexts, TextFault } from '../../formats/records/recordText';

/** A form whose fields are a record's texts. */
export interface TextForm {
  texts: RecordTexts;
}

/** Checks a form of texts by reading them, each reason beside its field. */
export function textResolver<Typed extends TextForm & FieldValues, Read extends FieldValues>(
  read: (typed: Typed) => Result<Read, TextFault[]>,
): Resolver<Typed, unknown, Read> {
  return (typed): ResolverResult<Typed, Read> => {
    const result = read(typed);
    if (result.success) return { values: result.data, errors: {} } as ResolverSuccess<Read>;
    const texts = Object.fromEntries(
      result.error.map(({ key, reason }) => [key, { type: 'custom', message: reason }]),
    );
    return { values: {}, errors: { texts } } as unknown as ResolverResult<Typed, Read>;
  };
}
