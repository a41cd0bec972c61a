import { dewPointC } from '../../heat/air';
import { beginsAt, later, showClock } from '../../pourPlan/clock';
import { lengthWords } from '../../pourPlan/lengthWords';
import { showTemperature } from '../../units/showQuantity';
import type { Finding, Said } from '../finding';
import { type HeatCheck, heatFinding } from './heatCheck';

const KINDS = ['too-long', 'turns-tacky', 'dew', 'dry'] as const;
/** Common practice, no source. */
const BRIEF_MIN = 10;
const OVERNIGHT_MIN = 480;

/** What the freezer does, by the house rule and by the room's dew point. */
export const freezer: HeatCheck = {
  code: 'heat-freezer',

  run({ sheet: { making, pours }, pourPlan, rules }) {
    const { freezerMin, room } = making;
    if (freezerMin === null) return [];
    const finding = (
      kind: (typeof KINDS)[number],
      severity: Finding['severity'],
      over: Partial<Finding> = {},
    ) =>
      heatFinding({
        code: freezer.code,
        severity,
        pourIndex: null,
        ...over,
        figures: { kind: KINDS.indexOf(kind), freezerMin, dewC: dewPointC(room), ...over.figures },
      });
    // The sheet refuses it already.
    if (rules.freezer === 'never') return [];
    const found: Finding[] = [];
    const mostMin = rules.freezer === 'brief' ? BRIEF_MIN : OVERNIGHT_MIN;
    if (freezerMin > mostMin)
      found.push(
        finding('too-long', 'caution', {
          figures: { mostMin },
          mend: [{ edit: 'set-freezer', freezerMin: mostMin }],
        }),
      );
    const tacky = pours.find(
      ({ base: { bearsFreezer, sweat } }) =>
        bearsFreezer === false || (bearsFreezer === null && sweat !== 'low' && sweat !== 'none'),
    );
    if (rules.freezer === 'brief' && tacky)
      found.push(
        finding('turns-tacky', 'caution', {
          about: tacky.base.name,
          ...(tacky.base.bearsFreezer === null ? { materialId: tacky.base.id } : {}),
          figures: { unknown: tacky.base.bearsFreezer === null ? 1 : 0 },
          mend: [{ edit: 'set-freezer', freezerMin: null }],
        }),
      );
    const { dew } = pourPlan;
    if (dew)
      found.push(
        dew.dry.high > 0
          ? finding('dew', 'caution', {
              // When it all begins, where the plan has a clock; told in the reader's own way of writing times.
              text: beginsAt(pourPlan, making.clock) ?? '',
              figures: {
                dewC: dew.dewPointC,
                aboveS: dew.above.high,
                dryS: dew.dry.high,
                outS: outOfFreezerS(pourPlan),
              },
            })
          : finding('dry', 'note', { figures: { dewC: dew.dewPointC } }),
      );
    return found;
  },

  say({ about, text, figures }, showing) {
    const { kind = 0, freezerMin = 0, mostMin = 0, dewC = 0, outS = 0, dryS = 0, unknown = 0 } = figures;
    const dew = showTemperature(dewC, showing);
    const until = text ? ` until ${showClock(later(text, outS + dryS), showing.locale, text)}` : '';
    const length = (minutes: number) => lengthWords(minutes * 60, showing.locale);
    const words: Record<(typeof KINDS)[number], Said> = {
      'too-long': {
        title: `${length(freezerMin)} in the freezer is too long`,
        reason: `The house rule is ${length(mostMin)} at most: the colder it comes out, the longer it lies below the room’s dew point of ${dew}.`,
        mendLabel: `Take it out after ${length(mostMin)}`,
      },
      'turns-tacky': {
        title: unknown
          ? `It is not known whether ${about} bears the freezer`
          : `${about} does not bear the freezer`,
        reason: unknown
          ? 'Most bases that are not low-sweat gather water and turn tacky. The house rule keeps the freezer for low-sweat bases.'
          : 'It gathers water and turns tacky. The house rule keeps the freezer for low-sweat bases.',
        mendLabel: 'Leave the freezer out',
      },
      dew: {
        title: `It collects dew out of the freezer${until}`,
        reason: `Its surface is below the room’s dew point of ${dew} and is dry again after ${lengthWords(dryS, showing.locale)}. Do not wrap or touch it before; less time in the freezer, or a drier room.`,
        mendLabel: null,
      },
      dry: {
        title: 'It comes out of the freezer dry',
        reason: `Its surface stays above the room’s dew point of ${dew}.`,
        mendLabel: null,
      },
    };
    return words[KINDS[kind] ?? 'dew'];
  },
};

/** From the first action until the first round leaves the freezer. */
function outOfFreezerS({ tasks }: { tasks: readonly { kind: string; toS: number }[] }): number {
  return tasks.find(({ kind }) => kind === 'freezer')?.toS ?? 0;
}
