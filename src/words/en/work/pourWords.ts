import type { HouseRules } from '../../../core/houseRules/houseRules';
import type { Sheet, SheetPour } from '../../../core/plan/sheet';
import { isBare } from '../../../core/pours/layers';
import { type Showing, showNumber, showTemperature } from '../../../core/units/showQuantity';
import type { TaskOf } from '../../../core/work/task';
import { moldsWords } from './moldsWords';
import { pourNoteWords } from './pourNoteWords';

/** How to pour a layer: the way of its pours, then how warm, onto what lies below. */
export function pourWords(
  sheet: Pick<Sheet, 'pours' | 'mold' | 'secondMold' | 'fills'>,
  task: Pick<TaskOf<'pour'>, 'pourIndexes' | 'tempC' | 'needs' | 'round'>,
  rules: Pick<HouseRules, 'pourCeiling' | 'spritz'>,
  showing: Showing,
): string {
  const { pours, mold } = sheet;
  const { pourIndexes, tempC, needs } = task;
  const [lead = 0] = pourIndexes;
  const pour = pours[lead];
  if (!pour) throw new RangeError(`no pour ${lead} in the sheet`);
  const bare = isBare(pours, lead);
  const byTouch = !bare && pour.when.atC === undefined && rules.pourCeiling === 'touch';
  const heat = showTemperature(tempC, showing);
  // In a run from before it was a task of its own.
  const isSprayedNow = !bare && rules.spritz === 'always' && !needs.some((id) => id.endsWith('/spritz'));
  const sentences = [
    'Stir slowly for a minute.',
    ...beforeWords({ pours, mold }, lead, showing),
    `${isSprayedNow ? 'Spritz the layer below and pour' : 'Pour'} ${byTouch ? `when the jug feels warm, not hot: about ${heat}` : `at ${heat}`}.`,
    moldsWords(sheet, task),
    ...wayWords({ pours }, pourIndexes),
    pourNoteWords(pours, pourIndexes),
    rules.spritz === 'always' ? 'Spritz the top; no flame near the alcohol.' : '',
  ];
  return sentences.filter((sentence) => sentence !== '').join(' ');
}

/** What is particular to how a layer is poured; nothing where it is poured level, all at once, from a jug of its own. */
export function pourWayWords(
  sheet: Pick<Sheet, 'pours' | 'mold'>,
  { pourIndexes }: Pick<TaskOf<'pour'>, 'pourIndexes'>,
  showing: Showing,
): string {
  const [lead = 0] = pourIndexes;
  return [...beforeWords(sheet, lead, showing), ...wayWords(sheet, pourIndexes)]
    .filter((sentence) => sentence !== '')
    .join(' ');
}

function beforeWords(
  { pours, mold }: Pick<Sheet, 'pours' | 'mold'>,
  lead: number,
  showing: Showing,
): string[] {
  const pour = pours[lead];
  return pour ? [moldWords(pour, pours[lead - 1], showing), ballWords(pour, mold)] : [];
}

function wayWords({ pours }: Pick<Sheet, 'pours'>, pourIndexes: readonly number[]): string[] {
  const [lead = 0] = pourIndexes;
  const [before, pour] = [pours[lead - 1], pours[lead]];
  if (!pour) return [];
  return [
    pourIndexes.length > 1 ? 'Pour both jugs at once from opposite sides, and stop together.' : '',
    pour.way.dropped ? 'Drip it on in dots and lines.' : '',
    before?.way.dropped ? 'Pour it in a thin stream across the drops, to draw them out.' : '',
    pour.way.goes === undefined
      ? ''
      : `In ${pour.way.goes} goes, with what comes between poured or set in before it skins over.`,
    ...pourIndexes.map((index) => (pours[index] ? trimWords(pours[index], index) : '')),
  ];
}

function trimWords({ way: { trimmed } }: SheetPour, pourIndex: number): string {
  if (!trimmed) return '';
  return pourIndex === 0
    ? 'It levels the floor and is cut off at the end.'
    : 'Cut it off once it has set, for the scrap jar.';
}

function moldWords({ way: { lean } }: SheetPour, before: SheetPour | undefined, showing: Showing): string {
  const last = before?.way.lean;
  if (lean === undefined) return last ? 'Set the mold level first.' : '';
  if (last && last.deg === lean.deg && last.along === lean.along) return 'Leave the mold leaning.';
  const edge = lean.along === 'length' ? 'an end' : 'a long side';
  const other = last && last.along === lean.along && Math.sign(last.deg) !== Math.sign(lean.deg);
  return `Prop the mold up ${other ? 'the other way, ' : ''}on ${edge}, ${showNumber(Math.abs(lean.deg), 1, showing.locale, 0)}°, until it holds.`;
}

function ballWords({ fromMm, toMm }: SheetPour, { shape }: Sheet['mold']): string {
  if (shape.kind !== 'sphere' || fromMm === null || toMm === null) return '';
  const seamMm = shape.diameterMm / 2;
  return fromMm > 0 && fromMm <= seamMm && toMm > seamMm
    ? 'Spritz the half that has set, clamp the other half on, and pour through the hole.'
    : '';
}

/** What is done when it has set, by the house rules. */
export function afterWords(rules: Pick<HouseRules, 'freezer' | 'wrap'>): string {
  const freezer = {
    brief: 'The freezer for ten minutes at most, after the skin, and only for a low-sweat base.',
    never: 'No freezer and no fridge.',
    freely: 'The freezer for hours if need be, not overnight.',
  }[rules.freezer];
  const wrap =
    rules.wrap === 'same-day'
      ? 'Wrap the same day.'
      : 'A low-sweat bar may lie open; wrap any other the same day.';
  return `${freezer} ${wrap}`;
}
