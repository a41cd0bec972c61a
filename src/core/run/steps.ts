import type { DosedMaterial } from '../materials/material';
import type { Sheet, SheetLine, SheetPour } from '../plan/sheet';

/** One thing to do at the bench. Ids are stable for a sheet: pour letter, then what. */
export type Step = { id: string; pourIndex: number } & (
  | { kind: 'weigh-base' }
  | { kind: 'melt' }
  | { kind: 'weigh-dose'; lineIndex: number }
  | { kind: 'pour' }
);

/** Common practice, no source: colour first, then fragrance once it has cooled a little, grit and petals last. */
const ORDER = ['colorant', 'additive', 'fragrance', 'solids'] as const;

function turnOf(material: DosedMaterial): number {
  const solid = material.kind === 'additive' && (material.role === 'grit' || material.role === 'botanical');
  return ORDER.indexOf(solid ? 'solids' : material.kind);
}

/** The steps of a sheet in the order of the work. */
export function stepsOf(sheet: Sheet): Step[] {
  return sheet.pours.flatMap(stepsOfPour);
}

function stepsOfPour(pour: SheetPour, pourIndex: number): Step[] {
  const step = (what: string) => ({ id: `${pour.letter}/${what}`, pourIndex });
  const doses = pour.lines
    .map((line, lineIndex) => ({ line, lineIndex }))
    .filter(({ line }) => line.massG > 0)
    .sort((a, b) => turnOf(a.line.material) - turnOf(b.line.material));
  return [
    { ...step('base'), kind: 'weigh-base' },
    { ...step('melt'), kind: 'melt' },
    ...doses.map(({ line, lineIndex }): Step => ({ ...step(lineStep(line)), kind: 'weigh-dose', lineIndex })),
    { ...step('pour'), kind: 'pour' },
  ];
}

function lineStep(line: SheetLine): string {
  return `dose-${line.doseIndex + 1}`;
}
