import { useMemo, useRef } from 'react';
import type { Finding, Severity } from '../../core/checks/finding';
import type { HouseRules } from '../../core/houseRules/houseRules';
import { usualMost } from '../../core/materials/defaults';
import type { DoseableMaterial, Material } from '../../core/materials/material';
import { freshId } from '../../core/plan/ids';
import { dose, type Plan, type PlanFile, pourLetter, retyped, type Wetting } from '../../core/plan/plan';
import type { Sheet } from '../../core/plan/sheet';
import { massUnit, type Showing, showMassFigure, showPercent } from '../../core/units/showQuantity';
import { writeFigure } from '../../core/units/writeQuantity';
import { useStable } from '../shared/useStable';
import { AddDose } from './AddDose';
import type { DoseActions } from './DoseRow';
import { PourSizeRow } from './PourSizeRow';
import { PourTabs } from './PourTabs';
import { doseTyped, type Typing } from './planHistory';
import { HowItIsPoured } from './pour/HowItIsPoured';
import { SheetDoseRow } from './SheetDoseRow';

interface Props {
  file: PlanFile;
  plan: Plan;
  pourIndex: number;
  materials: Material[];
  /** Of the plan as it is this moment. */
  sheet: Sheet | null;
  /** The same, or a frame behind it while somebody types. */
  settled: Sheet | null;
  typing: Typing | null;
  findings: Finding[];
  rules: HouseRules;
  showing: Showing;
  onPour(pourIndex: number): void;
  onEdit(plan: Plan, about: string): void;
}

const LONGEST_DOSE = 200;
/** Common practice, no source: where most begin, said the way the house says it. */
const FIRST_FRAGRANCE: Record<HouseRules['fragranceBy'], string> = {
  weight: '1 %',
  spoons: '½ tsp/lb',
  drops: '6 drops/piece',
};
const FIRST_SHARE: Record<Exclude<DoseableMaterial['kind'], 'fragrance' | 'blend'>, number> = {
  colorant: 0.002,
  additive: 0.01,
  dispersant: 0.01,
};

function firstDose(material: DoseableMaterial, rules: HouseRules): string {
  if (material.kind === 'fragrance' || material.kind === 'blend') return FIRST_FRAGRANCE[rules.fragranceBy];
  if (material.kind === 'additive' && material.role === 'stabiliser') return '= fragrance';
  const most = usualMost(material)?.value ?? 1;
  return `${writeFigure(Math.min(most, FIRST_SHARE[material.kind]) * 100, 3, 'down')} %`;
}

/** Our own assumption: a powder takes three times its weight to become a thin paste. */
const WETTING_TIMES = 3;

/** How the house wets a mica, when what it takes is on the shelf. */
function houseWetting(
  material: DoseableMaterial,
  materials: Material[],
  rules: HouseRules,
): Wetting | undefined {
  if (material.kind !== 'colorant' || material.form !== 'mica' || rules.micaIn === 'dry') return undefined;
  const dispersant = materials.find(
    (each) => each.kind === 'dispersant' && !each.archived && each.leaves === (rules.micaIn === 'alcohol'),
  );
  return dispersant && { dispersantId: dispersant.id, times: WETTING_TIMES };
}

/** A row a material: what was typed, and what it comes to. */
export function DoseGrid(props: Props) {
  const { file, plan, pourIndex, materials, sheet, settled, typing } = props;
  const { findings, rules, showing, onPour, onEdit } = props;
  const pour = plan.pours[pourIndex];
  const grid = useRef<HTMLTableElement>(null);
  const byId = useMemo(() => new Map(materials.map((material) => [material.id, material])), [materials]);
  const dispersants = useMemo(
    () => materials.filter(({ kind, archived }) => kind === 'dispersant' && !archived),
    [materials],
  );
  const actions = useActions({
    onText: (index, text) => setDose(index, text),
    onSayAs: (index, text) => setDose(index, text, `say ${index} ${Date.now()}`),
    onColumn: (index, texts) => setDosesFrom(index, texts),
    onWetting: (index, wetIn) => setWetting(index, wetIn),
    onRemove: (index) => removeDose(index),
    onEnter: (index) => focusDose(index + 1),
  });
  const onAdd = useStable((material: DoseableMaterial) => addDose(material));
  if (!pour) return null;
  const sheetPour = sheet?.pours[pourIndex];
  /** The row that is typed into is drawn with the key, those that follow from it after it. */
  const sheetOfRow = (index: number) =>
    typing === null || (typing !== 'words' && typing.pourIndex === pourIndex && typing.doseIndex === index)
      ? sheet
      : settled;

  const editPour = (change: Partial<typeof pour>, about: string) =>
    onEdit(
      {
        ...plan,
        pours: plan.pours.map((each, index) => (index === pourIndex ? { ...each, ...change } : each)),
      },
      about,
    );
  const setDose = (index: number, text: string, about = doseTyped(pourIndex, index)) =>
    editPour(
      { doses: pour.doses.map((each, place) => (place === index ? retyped(each, text) : each)) },
      about,
    );
  /** A column that was copied elsewhere, from this row downwards; what is beyond the last row is left out. */
  const setDosesFrom = (first: number, texts: string[]) =>
    editPour(
      {
        doses: pour.doses.map((each, place) => {
          const text = texts[place - first];
          return text === undefined ? each : retyped(each, text.slice(0, LONGEST_DOSE));
        }),
      },
      `column ${Date.now()}`,
    );
  const removeDose = (index: number) =>
    editPour({ doses: pour.doses.filter((_, place) => place !== index) }, `remove ${index} ${Date.now()}`);
  const setWetting = (index: number, wetIn: Wetting | undefined) =>
    editPour(
      {
        doses: pour.doses.map((each, place) => (place === index ? { ...each, wetIn } : each)),
      },
      `wetting ${index} of ${pourIndex}`,
    );
  function addDose(material: DoseableMaterial) {
    if (!pour) return;
    const wetIn = houseWetting(material, materials, rules);
    editPour(
      {
        doses: [
          ...pour.doses,
          { ...dose(material.id, firstDose(material, rules), wetIn), id: freshId(plan.pours, 'dose') },
        ],
      },
      `add ${material.id} ${Date.now()}`,
    );
    focusDose(pour.doses.length);
  }
  const focusDose = (index: number) =>
    requestAnimationFrame(() => {
      const input = grid.current?.querySelectorAll<HTMLInputElement>('[data-dose]')[index];
      input?.focus();
      input?.select();
    });

  return (
    <>
      <div className="mb-1 flex flex-wrap items-center gap-x-3 gap-y-1">
        <h2 id="doses-title" className="font-semibold">
          Doses
        </h2>
        <PourTabs plan={plan} system={showing.system} pourIndex={pourIndex} onPour={onPour} onEdit={onEdit} />
        {plan.pours.length === 1 && (
          <p className="quiet text-xs">As you say it: 2 %, 6 g, ½ tsp/lb, 6 drops/piece, = fragrance</p>
        )}
      </div>
      {plan.pours.length > 1 && (
        <PourSizeRow
          key={pourIndex}
          plan={plan}
          pourIndex={pourIndex}
          sheetPour={sheetPour}
          pieces={plan.pieces}
          showing={showing}
          onPour={onPour}
          onEdit={onEdit}
        />
      )}
      <HowItIsPoured
        file={file}
        pourIndex={pourIndex}
        sheet={settled}
        rules={rules}
        showing={showing}
        onEdit={onEdit}
      />
      <div className="shrink-0">
        <table className="table-sm table table-fixed" ref={grid}>
          <thead className="bg-base-100 sticky top-0 z-10">
            <tr className="text-base-content">
              <th scope="col">Material</th>
              <th scope="col" className="w-32">
                Dose
              </th>
              <th scope="col" className="w-20 text-right">
                {massUnit(showing.system)}
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
          <tbody>
            <tr>
              <td colSpan={2}>
                <label className="flex items-center gap-2">
                  <span className="quiet text-xs">Base</span>
                  <select
                    className="select select-sm w-full pointer-coarse:min-h-11 font-semibold"
                    value={pour.baseId}
                    onChange={({ target }) => editPour({ baseId: target.value }, `base of ${pourIndex}`)}
                  >
                    {materials
                      .filter(
                        ({ id, kind, archived }) => kind === 'base' && (!archived || id === pour.baseId),
                      )
                      .map(({ id, name }) => (
                        <option key={id} value={id}>
                          {name}
                        </option>
                      ))}
                  </select>
                </label>
              </td>
              <td className="text-right text-lg font-semibold">
                {sheetPour ? showMassFigure(sheetPour.baseG, showing) : '–'}
              </td>
              <td className="text-right">{sheetPour ? '100 %' : '–'}</td>
              <td className="text-right">
                {sheetPour ? showPercent(sheetPour.baseG / sheetPour.jugG, showing.locale) : '–'}
              </td>
              <td />
            </tr>
            {pour.doses.map((each, index) => (
              <SheetDoseRow
                key={each.id}
                pourIndex={pourIndex}
                index={index}
                materialId={each.materialId}
                text={each.text}
                wetIn={each.wetIn}
                severity={worst(findings, pourIndex, index)}
                sheet={sheetOfRow(index)}
                byId={byId}
                dispersants={dispersants}
                showing={showing}
                actions={actions}
              />
            ))}
            {sheetPour?.carried.map((line) => (
              <tr key={`${line.doseId} ${line.material.id} ${line.wets}`} className="quiet">
                <th scope="row" className="font-normal">
                  {line.material.name}
                </th>
                <td>in the jug since {pourLetter(line.fromPourIndex)}</td>
                <td className="text-right text-lg">{showMassFigure(line.massG, showing)}</td>
                <td className="text-right">{showPercent(line.ofBase, showing.locale)}</td>
                <td className="text-right">{showPercent(line.ofProduct, showing.locale)}</td>
                <td />
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <AddDose materials={materials} onAdd={onAdd} />
      <PlanNote note={plan.note} onChange={(note) => onEdit({ ...plan, note }, 'note')} />
    </>
  );
}

/** The same actions for as long as the grid is there, doing what the newest plan asks for. */
function useActions(newest: DoseActions): DoseActions {
  const onText = useStable(newest.onText);
  const onSayAs = useStable(newest.onSayAs);
  const onColumn = useStable(newest.onColumn);
  const onWetting = useStable(newest.onWetting);
  const onRemove = useStable(newest.onRemove);
  const onEnter = useStable(newest.onEnter);
  return useMemo(
    () => ({ onText, onSayAs, onColumn, onWetting, onRemove, onEnter }),
    [onText, onSayAs, onColumn, onWetting, onRemove, onEnter],
  );
}

function worst(findings: Finding[], pourIndex: number, doseIndex: number): Severity | null {
  return (
    findings.find((finding) => finding.pourIndex === pourIndex && finding.doseIndexes.includes(doseIndex))
      ?.severity ?? null
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
