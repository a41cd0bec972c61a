import type { FoundOf } from '../../../core/checks/finding';
import { pourLetter } from '../../../core/plan/plan';
import { showNumber } from '../../../core/units/showQuantity';
import type { Describe } from './described';

export const embedHasNoSize: Describe<'embed-has-no-size'> = ({ about, pourIndex }) => ({
  title: `${about} has no size in ${pourLetter(pourIndex ?? 0)}`,
  reason: 'Say what one weighs or measures: 6 g, 5 mL, 20 x 15 x 8 mm.',
  fixLabel: null,
});

export const embedInItself: Describe<'embed-in-itself'> = ({ about }) => ({
  title: `${about} is set into itself`,
  reason:
    'Its plan sets in pieces of a plan that sets in pieces of it. Take one of the two out, or say what one weighs.',
  fixLabel: null,
});

export const embedTooTall: Describe<'embed-too-tall'> = ({ about, overMm }, { locale }) => ({
  title: `${about} stands ${showNumber(overMm, 1, locale)} mm above the brim`,
  reason: 'The bar will not lie flat on that side. Set it deeper, or take a deeper mold.',
  fixLabel: null,
});

export const embedOutOfPour: Describe<'embed-out-of-pour'> = ({ about, pourIndex }) => ({
  title: `${about} does not touch pour ${pourLetter(pourIndex ?? 0)}`,
  reason: 'It stands out by more than its own height. Let it stand out less.',
  fixLabel: null,
});

export const embedFloats: Describe<'embed-floats'> = (found, { locale }) => ({
  title: `${found.about} will float in pour ${pourLetter(found.pourIndex ?? 0)}`,
  reason: `It is lighter: ${densities(found, locale)}. Pour a little, set it in, wait for a skin, then pour the rest; or hold it down.`,
  fixLabel: null,
});

export const embedSinks: Describe<'embed-sinks'> = (found, { locale }) => ({
  title: `${found.about} will sink in pour ${pourLetter(found.pourIndex ?? 0)}`,
  reason: `It is heavier: ${densities(found, locale)}. Pour to where it should lie, wait for a skin, set it on, then pour the rest.`,
  fixLabel: null,
});

export const embedMadeAhead: Describe<'embed-made-ahead'> = ({ about, count }) => ({
  title: `Make ${count} of ${about} first`,
  reason: 'They must be set and cold before they are set in. Spritz them with alcohol.',
  fixLabel: null,
});

function densities({ densityGPerMl, jugGPerMl }: FoundOf<'embed-floats' | 'embed-sinks'>, locale: string) {
  return `${showNumber(densityGPerMl, 2, locale)} g/mL against ${showNumber(jugGPerMl, 2, locale)} of the pour`;
}
