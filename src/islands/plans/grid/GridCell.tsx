import { memo } from 'react';
import type { Severity } from '../../../core/checks/finding';
import type { LaidWhere } from '../../../core/plan/laid';
import { massUnit, showMassFigure, showPercent } from '../../../core/units/showQuantity';
import { laidWords } from '../../../words/en/work/laidWords';
import { useShowing } from '../../shared/showing';
import { SEVERITY_BORDER } from '../doseSeverity';
import type { CellFigures } from './cellFigures';
import { type GridPlace, LONGEST_DOSE } from './gridKeys';

interface Props extends GridPlace, CellFigures {
  label: string;
  text: string;
  laid: LaidWhere | null;
  isOptional: boolean;
  severity: Severity | null;
  onType(place: GridPlace, text: string): void;
  onEnter(place: GridPlace): void;
  onLeave(place: GridPlace): void;
}

/** A dose of one pour: as typed, what is weighed, and how strong the pour is with it. */
export const GridCell = memo(function GridCell(props: Props) {
  const { row, pourIndex, label, text, laid, isOptional, severity, onType, onEnter, onLeave } = props;
  const place = { row, pourIndex };
  const said = [...(laid ? [laidWords(laid, pourIndex)] : []), ...(isOptional ? ['optional'] : [])];
  return (
    <td className="px-1 py-1 align-top">
      <input
        data-cell={`${row},${pourIndex}`}
        className={`input input-sm w-full px-2 pointer-coarse:min-h-11 ${severity ? SEVERITY_BORDER[severity] : ''}`}
        aria-label={label}
        autoComplete="off"
        spellCheck={false}
        maxLength={LONGEST_DOSE}
        value={text}
        onChange={({ target }) => onType(place, target.value)}
        onFocus={({ currentTarget }) => {
          currentTarget.select();
          onEnter(place);
        }}
        onBlur={() => onLeave(place)}
      />
      <Figures {...props} />
      {said.length > 0 && <span className="quiet block px-1 text-xs leading-tight">{said.join(', ')}</span>}
    </td>
  );
});

function Figures({ addG, exact, ofBase, isCarried }: CellFigures) {
  const showing = useShowing();
  if (addG === null && ofBase === null) return null;
  return (
    <span className="flex flex-wrap justify-between gap-x-1 px-1 text-xs leading-tight">
      <span>
        {addG === null ? (
          <span className="quiet">in the jug</span>
        ) : (
          <>
            {isCarried && addG >= 0 ? '+ ' : ''}
            {exact ? '' : '≈ '}
            {showMassFigure(addG, showing)} {massUnit(showing.system)}
          </>
        )}
      </span>
      {ofBase !== null && <span className="quiet">{showPercent(ofBase, showing.locale)}</span>}
    </span>
  );
}
