import { memo } from 'react';
import type { Severity } from '../../core/checks/finding';
import { isDoseable, type Material } from '../../core/materials/material';
import type { Laid } from '../../core/plan/laid';
import { weighedAs } from '../../core/plan/measureDose';
import type { Wetting } from '../../core/plan/plan';
import { doseOf, isLaid, type Sheet, weighedLines } from '../../core/plan/sheet';
import { massUnit, type Showing, showMassFigure, showPercent } from '../../core/units/showQuantity';
import { KIND_NAMES } from '../../words/en/materials/kindNames';
import { showCount } from '../../words/en/units/showCount';
import { byEyeLimit } from '../../words/en/work/byEyeWords';
import { laidWords } from '../../words/en/work/laidWords';
import { useShowing } from '../shared/showing';
import { DoseRow } from './DoseRow';
import type { DoseActions } from './doseRowProps';

interface Props {
  pourIndex: number;
  index: number;
  materialId: string;
  text: string;
  wetIn: Wetting | undefined;
  counts: 'added' | 'content' | null;
  laid: Laid | undefined;
  isOptional: boolean;
  severity: Severity | null;
  sheet: Sheet | null;
  byId: ReadonlyMap<string, Material>;
  dispersants: Material[];
  actions: DoseActions;
}

/** A dose's row with what the sheet says of it; worked out anew only with another sheet or text. */
export const SheetDoseRow = memo(function SheetDoseRow(props: Props) {
  const { pourIndex, index, materialId, sheet, byId, dispersants } = props;
  const showing = useShowing();
  const material = byId.get(materialId);
  return (
    <DoseRow
      name={material?.name ?? materialId}
      kind={kindWords(material, props.laid, props.isOptional, pourIndex)}
      text={props.text}
      severity={props.severity}
      {...told(sheet, pourIndex, index, material, byId, showing)}
      pourIndex={pourIndex}
      index={index}
      counts={props.counts}
      laid={props.laid ?? null}
      isOptional={props.isOptional}
      dispersants={material?.kind === 'colorant' || material?.kind === 'additive' ? dispersants : null}
      wetIn={props.wetIn}
      actions={props.actions}
    />
  );
});

/** What it is, where it lies when it is not stirred in, and whether it may be left out. */
function kindWords(
  material: Material | undefined,
  laid: Laid | undefined,
  isOptional: boolean,
  pourIndex: number,
): string {
  const words = material ? [KIND_NAMES[material.kind]] : [];
  if (laid) words.push(laidWords(laid.where, pourIndex));
  if (isOptional) words.push('optional');
  return words.join(', ');
}

/** What a dose comes to, the parts it is weighed in, and the other ways to say it. */
function told(
  sheet: Sheet | null,
  pourIndex: number,
  doseIndex: number,
  material: Material | undefined,
  byId: ReadonlyMap<string, Material>,
  showing: Showing,
) {
  const nothing = { figures: undefined, parts: [], toSay: () => null };
  const pour = sheet?.pours[pourIndex];
  if (!sheet || !pour || !material || !isDoseable(material)) return nothing;
  const sums = doseOf(pour, doseIndex);
  if (sums.lines.length === 0) return nothing;
  const [first] = sums.lines;
  const addG = sums.lines.reduce((sum, line) => sum + line.addG, 0);
  // Added to a jug that later pours go on in: so much is weighed, and the rest of it goes on.
  const goesOn = sums.lines.every(({ counts }) => counts === 'added') && addG > sums.massG * (1 + 1e-9);
  const inPour = {
    name: `in ${pour.letter}`,
    mass: `${showMassFigure(sums.massG, showing)} ${massUnit(showing.system)}`,
    how: 'the rest stays in the jug',
  };
  return {
    figures: {
      mass: showMassFigure(goesOn ? addG : sums.massG, showing),
      count: first?.counted ? showCount(first.counted, goesOn ? addG : sums.massG, showing) : null,
      byEye: first?.counted === null ? byEyeLimit(first, goesOn ? addG : sums.massG, showing) : '',
      ofBase: first && isLaid(first) ? '–' : showPercent(sums.ofBase, showing.locale),
      ofProduct: showPercent(sums.ofProduct, showing.locale),
      exact: sums.exact,
    },
    parts: [
      ...(goesOn ? [inPour] : []),
      ...weighedLines(pour)
        .filter((line) => line.doseIndex === doseIndex && (line.blend !== null || line.wets))
        .map((line) => ({
          name: line.material.name,
          mass: `${showMassFigure(line.massG, showing)} ${massUnit(showing.system)}`,
          how: line.leaves ? 'leaves again, in no weight' : line.wets ? 'to wet it, stays' : 'of the blend',
        })),
    ],
    toSay: () => ({
      dose: goesOn ? { ...sums, massG: addG } : sums,
      material: weighedAs(material, byId),
      pour,
      sheet,
    }),
  };
}
