import { lazy, Suspense, useMemo, useRef, useState } from 'react';
import { type PlanFile, type Pour, pourLetter } from '../../core/plan/plan';
import type { SheetLine } from '../../core/plan/sheet';
import { massUnit, showMassFigure, showPercent } from '../../core/units/showQuantity';
import { useShowing } from '../shared/showing';
import { AddDose } from './AddDose';
import { BaseRow } from './BaseRow';
import { doseSeverity } from './doseSeverity';
import type { DosesProps } from './dosesProps';
import { PourSizeRow } from './PourSizeRow';
import { PourTabs } from './PourTabs';
import { usePlanPage } from './planContext';
import { HowItIsPoured } from './pour/HowItIsPoured';
import { SheetDoseRow } from './SheetDoseRow';
import { useAllPours } from './useAllPours';
import { useDoseEdits } from './useDoseEdits';

const Packaging = lazy(() => import('./Packaging'));
const AllPours = lazy(() => import('./grid/AllPours'));

interface Props extends DosesProps {
  file: PlanFile;
}

/** A row a material: what was typed, and what it comes to. */
export function DoseGrid(props: Props) {
  const { plan, pourIndex, onPour } = props;
  const { edit } = usePlanPage();
  const showing = useShowing();
  const [isAll, setAll] = useAllPours(plan.pours.length);
  const pour = plan.pours[pourIndex];
  if (!pour) return null;
  const open = (index: number | null) => {
    setAll(index === null);
    if (index !== null) onPour(index);
  };
  return (
    <>
      <div className="mb-1 flex flex-wrap items-center gap-x-3 gap-y-1">
        <h2 id="doses-title" className="font-semibold">
          Doses
        </h2>
        <PourTabs plan={plan} system={showing.system} pourIndex={isAll ? null : pourIndex} onPour={open} />
        {plan.pours.length === 1 && (
          <p className="quiet text-xs">As you say it: 2 %, 6 g, ½ tsp/lb, 6 drops/piece, = fragrance</p>
        )}
      </div>
      {isAll ? (
        <Suspense fallback={<p className="quiet text-sm">Opening …</p>}>
          <AllPours {...props} />
        </Suspense>
      ) : (
        <OnePour {...props} pour={pour} />
      )}
      <WrappedIn plan={plan} sheet={props.settled} />
      <PlanNote note={plan.note} onChange={(note) => edit({ ...plan, note }, 'note')} />
    </>
  );
}

/** Folded up until it is asked for. */
function WrappedIn({ plan, sheet }: Pick<Props, 'plan'> & { sheet: Props['settled'] }) {
  const [isOpen, setOpen] = useState(false);
  return (
    <details
      className="border-base-300 border-t"
      open={isOpen}
      onToggle={({ currentTarget }) => setOpen(currentTarget.open)}
    >
      <summary className="flex min-h-11 cursor-pointer items-center text-sm font-semibold">
        Packaging{plan.packaging && `: ${plan.packaging.length}`}
      </summary>
      {isOpen && (
        <Suspense fallback={<p className="quiet text-sm">Opening …</p>}>
          <Packaging plan={plan} sheet={sheet} />
        </Suspense>
      )}
    </details>
  );
}

/** A pour's size, how it is poured, and its doses. */
function OnePour(props: Props & { pour: Pour }) {
  const { file, plan, pourIndex, sheet, settled, onPour } = props;
  return (
    <>
      {plan.pours.length > 1 && (
        <PourSizeRow
          key={pourIndex}
          plan={plan}
          pourIndex={pourIndex}
          sheetPour={sheet?.pours[pourIndex]}
          pieces={plan.pieces}
          onPour={onPour}
        />
      )}
      <HowItIsPoured file={file} pourIndex={pourIndex} sheet={settled} />
      <DoseTable {...props} />
    </>
  );
}

/** The base, each dose, and what is in the jug already. */
function DoseTable({
  plan,
  pour,
  pourIndex,
  sheet,
  settled,
  typing,
  findings,
}: Omit<Props, 'file' | 'onPour'> & { pour: Pour }) {
  const { materials } = usePlanPage();
  const showing = useShowing();
  const grid = useRef<HTMLDivElement>(null);
  const byId = useMemo(() => new Map(materials.map((material) => [material.id, material])), [materials]);
  const dispersants = useMemo(
    () => materials.filter(({ kind, archived }) => kind === 'dispersant' && !archived),
    [materials],
  );
  const { editPour, actions, add } = useDoseEdits({ plan, pourIndex, grid });
  const sheetPour = sheet?.pours[pourIndex];
  const goesOn = pour.way?.sameJug === true || plan.pours[pourIndex + 1]?.way?.sameJug === true;
  /** The row that is typed into is drawn with the key, those that follow from it after it. */
  const sheetOfRow = (index: number) =>
    typing === null || (typing !== 'words' && typing.pourIndex === pourIndex && typing.doseIndex === index)
      ? sheet
      : settled;
  return (
    <div ref={grid}>
      <div className="shrink-0">
        <table className="table-sm table table-fixed">
          <DoseHead unit={massUnit(showing.system)} />
          <tbody>
            <BaseRow
              baseId={pour.baseId}
              sheetPour={sheetPour}
              onBase={(baseId) => editPour({ baseId }, `base of ${pourIndex}`)}
            />
            {pour.doses.map((each, index) => (
              <SheetDoseRow
                key={each.id}
                pourIndex={pourIndex}
                index={index}
                materialId={each.materialId}
                text={each.text}
                wetIn={each.wetIn}
                laid={each.laid}
                isOptional={each.optional === true}
                counts={goesOn ? (each.counts ?? 'added') : null}
                severity={doseSeverity(findings, pourIndex, index)}
                sheet={sheetOfRow(index)}
                byId={byId}
                dispersants={dispersants}
                actions={actions}
              />
            ))}
            {sheetPour?.carried.map((line) => (
              <CarriedRow
                key={`${line.doseId} ${line.material.id} ${line.wets}`}
                line={line}
                says={`in the jug since ${pourLetter(line.fromPourIndex)}`}
              />
            ))}
            {sheetPour?.inherited.map((line) => (
              <CarriedRow key={`again ${line.material.id}`} line={line} says="melted again" />
            ))}
          </tbody>
        </table>
      </div>
      <AddDose onAdd={add} />
    </div>
  );
}

function DoseHead({ unit }: { unit: string }) {
  return (
    <thead className="bg-base-100 sticky top-0 z-10">
      <tr className="text-base-content">
        <th scope="col">Material</th>
        <th scope="col" className="w-32">
          Dose
        </th>
        <th scope="col" className="w-24 text-right">
          {unit}
        </th>
        <th scope="col" className="w-20 text-right">
          of base
        </th>
        <th scope="col" className="w-24 text-right">
          of product
        </th>
        <th scope="col" className="w-12 px-0">
          <span className="sr-only">Take out</span>
        </th>
      </tr>
    </thead>
  );
}

/** A dose of a pour before, which is in the jug still, or of what is melted again. */
function CarriedRow({ line, says }: { line: SheetLine; says: string }) {
  const showing = useShowing();
  return (
    <tr className="quiet">
      <th scope="row" className="font-normal">
        {line.material.name}
      </th>
      <td>{says}</td>
      <td className="text-right text-lg">{showMassFigure(line.massG, showing)}</td>
      <td className="text-right">{showPercent(line.ofBase, showing.locale)}</td>
      <td className="text-right">{showPercent(line.ofProduct, showing.locale)}</td>
      <td />
    </tr>
  );
}

const LONGEST_NOTE = 4000;

function PlanNote({ note, onChange }: { note: string; onChange(note: string): void }) {
  return (
    <label className="mt-auto flex flex-col pt-3">
      <span className="quiet text-xs">Note, printed on the bench sheet</span>
      <textarea
        className="textarea w-full"
        rows={2}
        maxLength={LONGEST_NOTE}
        value={note}
        onChange={({ target }) => onChange(target.value)}
      />
    </label>
  );
}
