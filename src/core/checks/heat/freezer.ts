import { dewPointC } from '../../heat/air';
import { beginsAt, later } from '../../schedule/clock';
import type { PourPlan } from '../../schedule/pourPlan';
import type { Found } from '../finding';
import { PLAIN } from '../plain';
import type { HeatCheck, HeatContext } from './heatCheck';

/** Common practice, no source. */
const BRIEF_MIN = 10;
const OVERNIGHT_MIN = 480;

/** What the freezer does, by the house rule and by the room's dew point. */
export const freezer: HeatCheck = (context) => {
  // Where the rule is none, the sheet refuses it already.
  if (context.sheet.making.freezerMin === null || context.rules.freezer === 'never') return [];
  return [...tooLong(context), ...tacky(context), ...dew(context)];
};

function tooLong({ sheet: { making }, rules }: HeatContext): Found[] {
  const mostMin = rules.freezer === 'brief' ? BRIEF_MIN : OVERNIGHT_MIN;
  const freezerMin = making.freezerMin ?? 0;
  if (freezerMin <= mostMin) return [];
  return [
    {
      ...PLAIN,
      code: 'heat-freezer-too-long',
      severity: 'caution',
      pourIndex: null,
      freezerMin,
      mostMin,
      dewPointC: dewPointC(making.room),
      fix: [{ kind: 'set-freezer', freezerMin: mostMin }],
    },
  ];
}

function tacky({ sheet: { pours }, rules }: HeatContext): Found[] {
  const found = pours.find(
    ({ base: { bearsFreezer, sweat } }) =>
      bearsFreezer === false || (bearsFreezer === null && sweat !== 'low' && sweat !== 'none'),
  );
  if (rules.freezer !== 'brief' || !found) return [];
  const { base } = found;
  const unknown = base.bearsFreezer === null;
  return [
    {
      ...PLAIN,
      code: 'heat-freezer-tacky',
      severity: 'caution',
      pourIndex: null,
      about: base.name,
      ...(unknown ? { materialId: base.id } : {}),
      unknown,
      fix: [{ kind: 'set-freezer', freezerMin: null }],
    },
  ];
}

function dew({ sheet: { making }, pourPlan }: HeatContext): Found[] {
  if (!pourPlan.dew) return [];
  const { dewPointC, dry } = pourPlan.dew;
  if (dry.high <= 0)
    return [{ ...PLAIN, code: 'heat-freezer-dry', severity: 'note', pourIndex: null, dewPointC }];
  const begins = beginsAt(pourPlan, making.clock);
  return [
    {
      ...PLAIN,
      code: 'heat-freezer-dew',
      severity: 'caution',
      pourIndex: null,
      dewPointC,
      dryS: dry.high,
      beginsAt: begins,
      dryAt: begins && later(begins, outOfFreezerS(pourPlan) + dry.high, making.clock?.zone),
    },
  ];
}

/** From the first action until the first round leaves the freezer. */
function outOfFreezerS({ tasks }: Pick<PourPlan, 'tasks'>): number {
  return tasks.find(({ kind }) => kind === 'freezer')?.toS ?? 0;
}
