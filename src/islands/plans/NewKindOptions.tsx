import { NEW_BASE_KINDS, NEW_DOSED_KINDS, type NewKind } from '../../core/materials/newKind';
import { NEW_KIND_GROUPS, newKindWords } from '../../words/en/materials/newKindWords';

/** The kind that an option stands for; undefined for all others. */
export function kindOfOption(value: string): NewKind | undefined {
  return [...NEW_BASE_KINDS, ...NEW_DOSED_KINDS].find((kind) => optionOfKind(kind) === value);
}

export function optionOfKind(kind: NewKind): string {
  return Object.values(kind).join(' ');
}

/** The kinds of a new material, as options of a choice: those of a base, or of what is dosed. */
export function NewKindOptions({ name, isBase }: { name: string; isBase: boolean }) {
  const kinds = isBase ? NEW_BASE_KINDS : NEW_DOSED_KINDS;
  return [...new Set(kinds.map(({ kind }) => kind))].map((of) => (
    <optgroup key={of} label={`${NEW_KIND_GROUPS[of]}, new: “${name}”`}>
      {kinds
        .filter(({ kind }) => kind === of)
        .map((kind) => (
          <option key={optionOfKind(kind)} value={optionOfKind(kind)}>
            {newKindWords(kind)}
          </option>
        ))}
    </optgroup>
  ));
}
