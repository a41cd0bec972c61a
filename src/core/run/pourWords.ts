import type { HouseRules } from '../houseRules/houseRules';
import { pourLetter } from '../plan/plan';
import type { Sheet, SheetPour } from '../plan/sheet';
import { type Showing, showNumber, showTemperature } from '../units/showQuantity';

/** Common practice, no source: bare cavities take 44 to 60 °C, thin plastic the cooler end. */
const BARE_C = { from: 44, to: 60 };

/** How to pour one of a sheet's pours: its way, then its heat by the house rule, onto what lies below. */
export function pourWords(
  { pours, mold }: Pick<Sheet, 'pours' | 'mold'>,
  pourIndex: number,
  rules: HouseRules,
  showing: Showing,
): string {
  const pour = pours[pourIndex];
  if (!pour) throw new RangeError(`no pour ${pourIndex} in the sheet`);
  const before = pours[pourIndex - 1];
  const isBeside = pour.way.besideShare !== undefined && before !== undefined;
  const sentences = [
    'Stir slowly for a minute.',
    moldWords(pour, before, showing),
    ballWords(pour, mold),
    isBeside
      ? `It goes in with ${before.letter}, just as hot.`
      : heatWords(pour, isBare(pours, pourIndex), rules, showing),
    streamWords(pours, pourIndex),
    pour.way.goes === undefined
      ? ''
      : `In ${pour.way.goes} goes, with what comes between poured or set in before it skins over.`,
    pour.way.trimmed
      ? pourIndex === 0
        ? 'It levels the floor and is cut off at the end.'
        : 'Cut it off once it has set, for the scrap jar.'
      : '',
    'Spritz the top; no flame near the alcohol.',
  ];
  return sentences.filter((sentence) => sentence !== '').join(' ');
}

/** Nothing lies below: the first pour, and what goes in beside it. */
function isBare(pours: readonly SheetPour[], pourIndex: number): boolean {
  return pours.slice(1, pourIndex + 1).every(({ way }) => way.besideShare !== undefined);
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

function heatWords({ when }: SheetPour, isBareMold: boolean, rules: HouseRules, showing: Showing): string {
  const temperature = (tempC: number) => showTemperature(tempC, showing);
  // The plan says so itself.
  if (when.atC !== undefined)
    return `${isBareMold ? 'Pour' : 'Spritz the layer below and pour'} at ${temperature(when.atC)}.`;
  if (isBareMold)
    return `Pour at ${temperature(BARE_C.from)} to ${temperature(BARE_C.to)}, thin plastic at the cool end.`;
  return rules.pourCeiling === 'touch'
    ? 'Spritz the layer below and pour when the jug feels warm, not hot.'
    : `Spritz the layer below and pour at ${temperature(Number(rules.pourCeiling))} or a little less.`;
}

function streamWords(pours: readonly SheetPour[], pourIndex: number): string {
  const [before, pour, next] = [pours[pourIndex - 1], pours[pourIndex], pours[pourIndex + 1]];
  if (pour?.way.dropped) return 'Drip it on in dots and lines.';
  if (pour?.way.besideShare !== undefined)
    return 'Pour both jugs at once from opposite sides, and stop together.';
  if (next?.way.besideShare !== undefined)
    return `Hold ${pourLetter(pourIndex + 1)} ready: both jugs are poured at once from opposite sides.`;
  return before?.way.dropped ? 'Pour it in a thin stream across the drops, to draw them out.' : '';
}

/** What is done when it has set, by the house rules. */
export function afterWords(rules: HouseRules): string {
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
