import { ADDITIVE_ROLES } from '../../core/materials/additive';
import { BASE_LOOKS } from '../../core/materials/base';
import { COLORANT_FORMS } from '../../core/materials/colorant';
import { FRAGRANCE_KINDS } from '../../core/materials/fragrance';
import type { NewKind } from '../../core/materials/newKind';
import { FORM_NAMES, FRAGRANCE_KIND_NAMES, LOOK_NAMES, ROLE_NAMES } from '../../words/en/materials/names';

/** The kinds that a new material can be of. */
const KINDS: { of: string; label: string; is: NewKind }[] = [
  ...BASE_LOOKS.map((look) => ({
    of: 'A new base',
    label: LOOK_NAMES[look],
    is: { kind: 'base' as const, look },
  })),
  ...FRAGRANCE_KINDS.map((fragranceKind) => ({
    of: 'A new scent',
    label: FRAGRANCE_KIND_NAMES[fragranceKind],
    is: { kind: 'fragrance' as const, fragranceKind },
  })),
  ...COLORANT_FORMS.map((form) => ({
    of: 'A new colour',
    label: FORM_NAMES[form],
    is: { kind: 'colorant' as const, form },
  })),
  ...ADDITIVE_ROLES.map((role) => ({
    of: 'A new additive',
    label: ROLE_NAMES[role],
    is: { kind: 'additive' as const, role },
  })),
];

/** The kind that an option stands for; undefined for all others. */
export function kindOfOption(value: string): NewKind | undefined {
  return KINDS.find(({ is }) => optionOfKind(is) === value)?.is;
}

export function optionOfKind(is: NewKind): string {
  return Object.values(is).join(' ');
}

/** Kinds, as options of a choice: those of a base, or of what is dosed. */
export function NewKindOptions({ name, isBase }: { name: string; isBase: boolean }) {
  const own = KINDS.filter(({ is }) => (is.kind === 'base') === isBase);
  return [...new Set(own.map(({ of }) => of))].map((of) => (
    <optgroup key={of} label={`${of}, “${name}”`}>
      {own
        .filter((each) => each.of === of)
        .map(({ is, label }) => (
          <option key={label} value={optionOfKind(is)}>
            {label}
          </option>
        ))}
    </optgroup>
  ));
}
