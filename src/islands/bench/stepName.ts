import type { Sheet } from '../../core/plan/sheet';
import type { Step } from '../../core/run/steps';

/** A step in a word or two, with its pour where there are several. */
export function stepName(step: Step, sheet: Sheet): string {
  const pour = sheet.pours[step.pourIndex];
  const letter = sheet.pours.length > 1 ? `${pour?.letter}: ` : '';
  switch (step.kind) {
    case 'weigh-base':
      return `${letter}${pour?.base.name}`;
    case 'melt':
      return `${letter}Melt`;
    case 'weigh-dose':
      return `${letter}${pour?.lines[step.lineIndex]?.material.name}`;
    case 'stir-in':
      return `${letter}${step.from === 'beaker' ? 'Beaker' : 'Cup'} into the jug`;
    case 'set-embeds':
      return `${letter}${namesOf(step, sheet)}`;
    case 'pour':
      return `${letter}Pour`;
  }
}

function namesOf(
  { pourIndex, embedIndexes }: Extract<Step, { kind: 'set-embeds' }>,
  { pours }: Sheet,
): string {
  const own = (pours[pourIndex]?.embeds ?? []).filter(({ embedIndex }) => embedIndexes.includes(embedIndex));
  return own.map(({ name }) => name).join(', ');
}
