import { ADDITIVE_ROLES } from '../../core/materials/additive';
import { BASE_LOOKS } from '../../core/materials/base';
import { COLORANT_FORMS } from '../../core/materials/colorant';
import { FRAGRANCE_KINDS } from '../../core/materials/fragrance';
import type { NewMaterial } from '../../core/materials/material';
import {
  unknownAdditive,
  unknownBase,
  unknownColorant,
  unknownFragrance,
} from '../../core/materials/unknownMaterial';
import { FORM_NAMES, FRAGRANCE_KIND_NAMES, LOOK_NAMES, ROLE_NAMES } from '../../words/en/materials/names';

/** The kinds that a new material can be of, by what an option says. */
const KINDS: {
  of: string;
  isBase: boolean;
  value: string;
  label: string;
  make(name: string): NewMaterial;
}[] = [
  ...BASE_LOOKS.map((look) => ({
    of: 'A new base',
    isBase: true,
    value: `new base ${look}`,
    label: LOOK_NAMES[look],
    make: (name: string) => unknownBase(name, look),
  })),
  ...FRAGRANCE_KINDS.map((kind) => ({
    of: 'A new scent',
    isBase: false,
    value: `new fragrance ${kind}`,
    label: FRAGRANCE_KIND_NAMES[kind],
    make: (name: string) => unknownFragrance(name, kind),
  })),
  ...COLORANT_FORMS.map((form) => ({
    of: 'A new colour',
    isBase: false,
    value: `new colorant ${form}`,
    label: FORM_NAMES[form],
    make: (name: string) => unknownColorant(name, form),
  })),
  ...ADDITIVE_ROLES.map((role) => ({
    of: 'A new additive',
    isBase: false,
    value: `new additive ${role}`,
    label: ROLE_NAMES[role],
    make: (name: string) => unknownAdditive(name, role),
  })),
];

/** A material of which its name and kind alone are known, under an id of its own until it is on the shelf. */
export function newMaterial(value: string, name: string) {
  const kind = KINDS.find((each) => each.value === value);
  return kind && { ...kind.make(name), id: `${value} ${name}`.slice(0, 64) };
}

/** The kinds, as options of a choice. */
export function NewMaterialOptions({ name, isBase }: { name: string; isBase: boolean }) {
  const own = KINDS.filter((each) => each.isBase === isBase);
  return [...new Set(own.map(({ of }) => of))].map((of) => (
    <optgroup key={of} label={`${of}, “${name}”`}>
      {own
        .filter((each) => each.of === of)
        .map(({ value, label }) => (
          <option key={value} value={value}>
            {label}
          </option>
        ))}
    </optgroup>
  ));
}
