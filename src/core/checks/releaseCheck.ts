import type { DosedMaterial } from '../materials/material';
import { doseLines } from './doseLines';
import type { Check } from './finding';

interface ReleaseSpec {
  code: string;
  refuses(material: DosedMaterial): boolean;
  title(name: string): string;
  reason: string;
}

/** A material that has no business in soap, however little; its dose is taken out in one press. */
export function releaseCheck({ code, refuses, title, reason }: ReleaseSpec): Check {
  return {
    code,

    run: (sheet) =>
      doseLines(sheet)
        .filter(({ line }) => refuses(line.material))
        .map(({ line, pourIndex }) => ({
          code,
          severity: 'stop',
          pourIndex,
          doseIndexes: [line.doseIndex],
          about: line.material.name,
          figures: {},
          assumed: false,
          mend: [{ edit: 'remove-dose', pourIndex, doseIndex: line.doseIndex }],
        })),

    say: ({ about }) => ({ title: title(about), reason, mendLabel: 'Take it out' }),
  };
}
