import { type Showing, showTemperature } from '../../../../core/units/showQuantity';
import { lengthWords } from '../../lengthWords';
import { showClock } from '../../showClock';
import type { Describe } from '../described';

const length = (minutes: number, { locale }: Showing) => lengthWords(minutes * 60, locale);

export const freezerTooLong: Describe<'heat-freezer-too-long'> = (
  { freezerMin, mostMin, dewPointC },
  showing,
) => ({
  title: `${length(freezerMin, showing)} in the freezer is too long`,
  reason: `The house rule is ${length(mostMin, showing)} at most: the colder it comes out, the longer it lies below the room’s dew point of ${showTemperature(dewPointC, showing)}.`,
  fixLabel: `Take it out after ${length(mostMin, showing)}`,
});

export const freezerTacky: Describe<'heat-freezer-tacky'> = ({ about, unknown }) => ({
  title: unknown
    ? `It is not known whether ${about} bears the freezer`
    : `${about} does not bear the freezer`,
  reason: unknown
    ? 'Most bases that are not low-sweat gather water and turn tacky. The house rule keeps the freezer for low-sweat bases.'
    : 'It gathers water and turns tacky. The house rule keeps the freezer for low-sweat bases.',
  fixLabel: 'Leave the freezer out',
});

export const freezerDew: Describe<'heat-freezer-dew'> = ({ dewPointC, dryS, dryAt, beginsAt }, showing) => ({
  title: `It collects dew out of the freezer${dryAt && beginsAt ? ` until ${showClock(dryAt, showing.locale, beginsAt)}` : ''}`,
  reason: `Its surface is below the room’s dew point of ${showTemperature(dewPointC, showing)} and is dry again after ${lengthWords(dryS, showing.locale)}. Do not wrap or touch it before; less time in the freezer, or a drier room.`,
  fixLabel: null,
});

export const freezerDry: Describe<'heat-freezer-dry'> = ({ dewPointC }, showing) => ({
  title: 'It comes out of the freezer dry',
  reason: `Its surface stays above the room’s dew point of ${showTemperature(dewPointC, showing)}.`,
  fixLabel: null,
});
