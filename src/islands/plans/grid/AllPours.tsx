import { ArrowRightToLine, X } from 'lucide-react';
import { type ClipboardEvent, type FocusEvent, type KeyboardEvent, useMemo, useRef } from 'react';
import type { Material } from '../../../core/materials/material';
import type { GridRow } from '../../../core/plan/doseGrid';
import { pourLetter } from '../../../core/plan/plan';
import { KIND_NAMES } from '../../../words/en/materials/kindNames';
import { AddDose } from '../AddDose';
import { doseSeverity } from '../doseSeverity';
import type { DosesProps } from '../dosesProps';
import { usePlanPage } from '../planContext';
import { cellFigures } from './cellFigures';
import { GridCell } from './GridCell';
import { GridFaults } from './GridFaults';
import { BaseCells, GridHead } from './GridHead';
import { cellBeside, cellsPasted, focusCell, isCell } from './gridKeys';
import { useGridEdits } from './useGridEdits';
import { useGridRows } from './useGridRows';

/** The doses of all pours: a row a material, a column a pour. */
export default function AllPours(props: DosesProps) {
  const { plan, pourIndex, settled, onPour } = props;
  const { materials } = usePlanPage();
  const table = useRef<HTMLDivElement>(null);
  const byId = useMemo(() => new Map(materials.map((material) => [material.id, material])), [materials]);
  const { rows, tidy } = useGridRows(plan);
  const edits = useGridEdits({ plan, rows, byId, pourIndex, table, onPour });
  const { at } = edits;

  function onKeyDown(event: KeyboardEvent<HTMLElement>) {
    if (at === null || !(event.target instanceof HTMLInputElement) || !isCell(event.target)) return;
    if (event.key === 'Enter' && (event.ctrlKey || event.metaKey)) {
      event.preventDefault();
      return edits.fillRight();
    }
    const next = cellBeside(event, event.target, at, { rows: rows.length, pours: plan.pours.length });
    if (next === null) return;
    event.preventDefault();
    if (next.row < rows.length) focusCell(table.current, next);
    else table.current?.parentElement?.querySelector<HTMLInputElement>('input[data-dose]')?.focus();
  }
  function onPaste(event: ClipboardEvent) {
    const block = cellsPasted(event.clipboardData.getData('text'));
    if (at === null || block === null || !isCell(event.target)) return;
    event.preventDefault();
    edits.paste(at, block);
  }

  return (
    // biome-ignore lint/a11y/useSemanticElements: a fieldset has its own width and look
    <div
      role="group"
      aria-label="Doses of all pours"
      onBlur={({ currentTarget, relatedTarget }: FocusEvent) => {
        if (!currentTarget.contains(relatedTarget)) tidy();
      }}
      onKeyDown={onKeyDown}
      onPaste={onPaste}
    >
      <div ref={table} className="overflow-x-auto">
        <table
          className="table-sm table table-fixed"
          style={{ minWidth: `${11.5 + 5.5 * plan.pours.length}rem` }}
        >
          <GridHead plan={plan} pourIndex={pourIndex} />
          <tbody>
            <BaseCells plan={plan} sheet={settled} byId={byId} />
            {rows.map((row, place) => (
              <Row
                key={row.key}
                {...props}
                row={row}
                place={place}
                material={byId.get(row.materialId)}
                edits={edits}
              />
            ))}
          </tbody>
        </table>
      </div>
      <GridFaults
        plan={plan}
        rows={rows}
        nameOf={({ materialId }) => byId.get(materialId)?.name ?? materialId}
        onMeant={(row, pour, text) => edits.say(row, new Map([[pour, text]]), 'say')}
      />
      <div className="mt-1 flex flex-wrap items-center gap-x-3">
        <button
          type="button"
          className="btn btn-sm btn-secondary min-h-11"
          disabled={!edits.canFill}
          aria-keyshortcuts="Control+Enter"
          onClick={edits.fillRight}
        >
          <ArrowRightToLine size={16} aria-hidden="true" /> Fill to the right
        </button>
        <p className="quiet min-w-40 flex-1 text-xs">
          Arrows move, Enter goes down, Ctrl + Enter fills to the right. A block of cells can be pasted.
        </p>
      </div>
      <AddDose onAdd={edits.add} />
    </div>
  );
}

interface RowProps extends DosesProps {
  row: GridRow;
  /** Of the row. */
  place: number;
  material: Material | undefined;
  edits: ReturnType<typeof useGridEdits>;
}

/** A material across the pours. */
function Row({ plan, sheet, settled, typing, findings, row, place, material, edits }: RowProps) {
  const name = material?.name ?? row.materialId;
  const isTyped = (pourIndex: number) =>
    typing !== null &&
    typing !== 'words' &&
    typing.pourIndex === pourIndex &&
    typing.doseIndex === row.cells[pourIndex];
  return (
    <tr>
      <th scope="row" className="px-2 py-1 font-normal">
        <span className="block leading-tight">{name}</span>
        <span className="quiet text-xs">{material ? KIND_NAMES[material.kind] : ''}</span>
      </th>
      {plan.pours.map((pour, pourIndex) => {
        const doseIndex = row.cells[pourIndex] ?? null;
        const dose = doseIndex === null ? undefined : pour.doses[doseIndex];
        return (
          <GridCell
            key={pour.id}
            row={place}
            pourIndex={pourIndex}
            label={`${name} in ${pourLetter(pourIndex)}`}
            text={dose?.text ?? ''}
            laid={dose?.laid?.where ?? null}
            isOptional={dose?.optional === true}
            severity={doseIndex === null ? null : doseSeverity(findings, pourIndex, doseIndex)}
            {...cellFigures(isTyped(pourIndex) ? sheet : settled, pourIndex, doseIndex, row.materialId)}
            onType={edits.type}
            onEnter={edits.enter}
            onLeave={edits.leave}
          />
        );
      })}
      <td className="px-0">
        <button
          type="button"
          className="btn btn-ghost btn-square min-h-11 min-w-11"
          aria-label={`Take out ${name} everywhere`}
          onClick={() => edits.takeOut(row)}
        >
          <X size={18} />
        </button>
      </td>
    </tr>
  );
}
