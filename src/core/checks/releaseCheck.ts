import type { DosedMaterial } from '../materials/material';
import { doseLines } from './doseLines';
import type { Check, CheckContext, Severity } from './finding';

interface ReleaseSpec {
  code: 'not-for-skin' | 'candle-only' | 'food-colour';
  refuses(material: DosedMaterial): boolean;
  severity?(context: CheckContext): Severity;
}

/** A material that has no business in soap, however little; its dose is taken out in one press. */
export function releaseCheck({ code, refuses, severity = () => 'stop' }: ReleaseSpec): Check {
  return (sheet, context) =>
    doseLines(sheet)
      .filter(({ line }) => refuses(line.material))
      .map(({ line, pourIndex, doseIndexes, takeOut }) => ({
        code,
        severity: severity(context),
        pourIndex,
        doseIndexes,
        about: line.material.name,
        assumed: false,
        fix: takeOut,
      }));
}
