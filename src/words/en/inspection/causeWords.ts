import type { Cause, CauseFound, RuledOut } from '../../../core/causes/causes';
import type { Change } from '../../../core/causes/changes';
import type { NotRecorded } from '../../../core/causes/faultCauses';
import { type Showing, showPercent, showTemperature } from '../../../core/units/showQuantity';
import { lengthWords } from '../lengthWords';
import { stopwatchWords } from '../showTime';

/** What was found before is told by its finding. */
export type MeasuredCauseFound = Exclude<CauseFound, { code: 'found-before' | 'over-limit' }>;

/** What may have been the cause, with what was measured of it. */
export function causeWords(found: MeasuredCauseFound, showing: Showing): string {
  const { locale } = showing;
  const heat = (tempC: number) => showTemperature(tempC, showing);
  const share = (fraction: number) => showPercent(Math.abs(fraction), locale);
  switch (found.code) {
    case 'late':
    case 'soon': {
      const { above, below, afterS, earliestS, latestS, tempC, inSamples } = found.bond;
      const window =
        latestS > earliestS
          ? `the model has its window from ${stopwatchWords(earliestS)} to ${stopwatchWords(latestS)} min`
          : `the model has no window for it there`;
      return `${above} was poured ${found.code === 'late' ? 'late' : 'too soon'}: ${stopwatchWords(afterS)} min after ${below}, at ${heat(tempC)}; ${window}${inSamples ? `, and ${found.code === 'late' ? 'a weak bond' : 'it broken through'} in ${inSamples.same} of ${inSamples.of} tries` : ''}.`;
    }
    case 'cool':
    case 'hot': {
      const { letters, tempC, plannedC, isRead } = found.layer;
      return `${letters} was poured ${found.code === 'hot' ? 'hotter' : 'cooler'} than planned: ${heat(tempC)}${isRead ? '' : ', by the model, as nobody read it'}, not ${heat(plannedC)}.`;
    }
    case 'over-ceiling':
      return `${found.layer.letters} was hotter than its base bears: ${heat(found.layer.tempC)}, not above ${heat(found.layer.ceilingC)}.`;
    case 'hot-for-mold':
      return `${found.layer.letters} was poured at ${heat(found.layer.tempC)}; its mold bears ${heat(found.mostC)}.`;
    case 'weighed-short':
    case 'weighed-over':
      return found.deviation === -1
        ? `${found.name} was left out of ${found.letter}.`
        : `${found.letter}: ${share(found.deviation)} ${found.deviation < 0 ? 'too little' : 'too much'} ${found.name} was weighed.`;
    case 'freezer-long':
      return `It was in the freezer for ${lengthWords(found.wasS, locale)}, and ${lengthWords(found.plannedS, locale)} were planned.`;
    case 'out-early':
      return `It came out after ${lengthWords(found.outS, locale)}; the model has it cold enough after ${lengthWords(found.readyS, locale)}.`;
    case 'stuck':
      return 'It was stuck in its mold: air in from the edges first, and ten minutes in the freezer.';
    case 'humid-room':
      return `The air of the room was at ${share(found.humidity)}; above ${share(found.sweatsAbove)} this base draws water.`;
    case 'unwrapped':
      return `It lay open for ${lengthWords(found.lengthS, locale)} before it was wrapped or looked at.`;
    case 'not-spritzed':
      return `No alcohol went on before ${found.letter}.`;
    case 'not-wetted':
      return `${found.name} went into ${found.letter} as dry powder.`;
    case 'no-allowance':
      return 'Nothing was melted for what stays in the jug.';
  }
}

/** What spoke against a cause. */
export function ruledOutWords(ruled: RuledOut, showing: Showing): string {
  switch (ruled.code) {
    case 'in-its-window':
      return `${ruled.bond.above} was poured in its window`;
    case 'as-warm-as-planned':
      return `${ruled.layer.letters} was as warm as planned, ${showTemperature(ruled.layer.tempC, showing)}`;
    case 'spritzed':
      return 'alcohol went on between';
  }
}

export const NOT_RECORDED: Record<NotRecorded, string> = {
  temperature: 'the temperature of each pour: put a thermometer into the jug, or type what it shows',
  room: 'the air of the room: read it at the start',
  stirring: 'how it was stirred: write a word when it is poured',
};

/** What a change to the plan does, as its button says it. */
export function changeWords(
  { found }: Cause,
  { edits: [edit], takes }: Change,
  pours: readonly { letter: string }[],
  showing: Showing,
): string {
  const letter = (pourIndex: number) => pours[pourIndex]?.letter ?? '';
  switch (edit?.kind) {
    case 'set-base':
      return `Take ${takes} for ${letter(edit.pourIndex)}`;
    case 'add-packaging':
      return `Wrap it in ${takes}`;
    case 'set-wetting':
      return `Wet it in ${takes} first`;
    case 'set-jug-loss':
      return `Melt ${showPercent(edit.jugLossFraction, showing.locale)} more for the jug`;
    case 'set-when':
      if (found.code === 'found-before') break;
      if (edit.afterMin != null)
        return `Pour ${letter(edit.pourIndex)} ${edit.afterMin} min after the one below${found.code === 'soon' ? ', onto a thicker skin' : ''}`;
      if (edit.atC != null) return `Pour ${letter(edit.pourIndex)} at ${showTemperature(edit.atC, showing)}`;
      break;
    case 'set-freezer':
      if (edit.freezerMin === null) return 'Let it set without the freezer';
  }
  return 'Take its mend into the plan';
}
