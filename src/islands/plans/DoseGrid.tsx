import { useRef, useState } from 'react';
import type { Finding, Severity } from '../../core/checks/finding';
import { type DosedMaterial, MATERIAL_KINDS, type Material } from '../../core/materials/material';
import { dose, type Plan, pourLetter } from '../../core/plan/plan';
import type { Sheet } from '../../core/plan/sheet';
import { waysToSay } from '../../core/plan/waysToSay';
import { massUnit, type Showing, showMassFigure, showPercent } from '../../core/units/showQuantity';
import { KIND_NAMES } from '../shared/names';
import { DoseRow } from './DoseRow';

interface Props {
  plan: Plan;
  pourIndex: number;
  materials: Material[];
  sheet: Sheet | null;
  findings: Finding[];
  showing: Showing;
  onPour(pourIndex: number): void;
  onEdit(plan: Plan, about: string): void;
}

const LONGEST_DOSE = 200;
const FIRST_DOSE: Record<DosedMaterial['kind'], string> = {
  fragrance: '1 %',
  colorant: '0.2 %',
  additive: '1 %',
};

/** A row a material: what was typed, and what it comes to. */
export function DoseGrid({ plan, pourIndex, materials, sheet, findings, showing, onPour, onEdit }: Props) {
  const pour = plan.pours[pourIndex];
  const grid = useRef<HTMLTableElement>(null);
  if (!pour) return null;
  const sheetPour = sheet?.pours[pourIndex];
  const byId = new Map(materials.map((material) => [material.id, material]));

  const editPour = (change: Partial<typeof pour>, about: string) =>
    onEdit(
      {
        ...plan,
        pours: plan.pours.map((each, index) => (index === pourIndex ? { ...each, ...change } : each)),
      },
      `${about} of ${pourIndex}`,
    );
  const setDose = (index: number, text: string, about = `dose ${index}`) =>
    editPour(
      { doses: pour.doses.map((each, place) => (place === index ? dose(each.materialId, text) : each)) },
      about,
    );
  /** A column that was copied elsewhere, from this row downwards; what is beyond the last row is left out. */
  const setDosesFrom = (first: number, texts: string[]) =>
    editPour(
      {
        doses: pour.doses.map((each, place) => {
          const text = texts[place - first];
          return text === undefined ? each : dose(each.materialId, text.slice(0, LONGEST_DOSE));
        }),
      },
      `column ${Date.now()}`,
    );
  const removeDose = (index: number) =>
    editPour({ doses: pour.doses.filter((_, place) => place !== index) }, `remove ${index} ${Date.now()}`);
  const addDose = (material: DosedMaterial) => {
    editPour(
      { doses: [...pour.doses, dose(material.id, FIRST_DOSE[material.kind])] },
      `add ${material.id} ${Date.now()}`,
    );
    focusDose(pour.doses.length);
  };
  const focusDose = (index: number) =>
    requestAnimationFrame(() => {
      const input = grid.current?.querySelectorAll<HTMLInputElement>('[data-dose]')[index];
      input?.focus();
      input?.select();
    });

  return (
    <>
      <div className="mb-1 flex items-center gap-3">
        <h2 id="doses-title" className="font-semibold">
          Doses
        </h2>
        {plan.pours.length > 1 && (
          <div role="tablist" className="tabs tabs-box tabs-sm" aria-label="Pour">
            {plan.pours.map((each, index) => (
              <button
                // biome-ignore lint/suspicious/noArrayIndexKey: a pour is its place
                key={index}
                type="button"
                role="tab"
                aria-selected={index === pourIndex}
                className={`tab min-h-11 min-w-11 ${index === pourIndex ? 'tab-active' : ''}`}
                onClick={() => onPour(index)}
              >
                {pourLetter(index)} · {each.size.parts} parts
              </button>
            ))}
          </div>
        )}
        <p className="quiet text-xs">As you say it: 2 %, 6 g, ½ tsp/lb, 6 drops/piece, = fragrance</p>
      </div>
      <div className="min-h-24 overflow-y-auto">
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
                    onChange={({ target }) => editPour({ baseId: target.value }, 'base')}
                  >
                    {materials
                      .filter(({ kind }) => kind === 'base')
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
            {pour.doses.map((each, index) => {
              const material = byId.get(each.materialId);
              const line = sheetPour?.lines.find(({ doseIndex }) => doseIndex === index);
              return (
                <DoseRow
                  // biome-ignore lint/suspicious/noArrayIndexKey: a dose is its place in the pour
                  key={index}
                  name={material?.name ?? each.materialId}
                  kind={material ? KIND_NAMES[material.kind] : ''}
                  text={each.text}
                  severity={worst(findings, pourIndex, index)}
                  figures={
                    line && {
                      mass: showMassFigure(line.massG, showing),
                      ofBase: showPercent(line.ofBase, showing.locale),
                      ofProduct: showPercent(line.ofProduct, showing.locale),
                      exact: line.exact,
                    }
                  }
                  ways={line && sheetPour && sheet ? waysToSay(line, sheetPour, sheet) : []}
                  onText={(text) => setDose(index, text)}
                  onSayAs={(text) => setDose(index, text, `say ${index} ${Date.now()}`)}
                  onColumn={(texts) => setDosesFrom(index, texts)}
                  onRemove={() => removeDose(index)}
                  onEnter={() => focusDose(index + 1)}
                />
              );
            })}
          </tbody>
        </table>
      </div>
      <AddDose materials={materials} onAdd={addDose} />
      <PlanNote note={plan.note} onChange={(note) => onEdit({ ...plan, note }, 'note')} />
    </>
  );
}

function worst(findings: Finding[], pourIndex: number, doseIndex: number): Severity | null {
  return (
    findings.find((finding) => finding.pourIndex === pourIndex && finding.doseIndexes.includes(doseIndex))
      ?.severity ?? null
  );
}

function AddDose({ materials, onAdd }: { materials: Material[]; onAdd(material: DosedMaterial): void }) {
  const [chosen, setChosen] = useState('');
  const dosed = materials.filter((material): material is DosedMaterial => material.kind !== 'base');
  const material = dosed.find(({ id }) => id === chosen);
  function add() {
    if (!material) return;
    onAdd(material);
    setChosen('');
  }
  if (dosed.length === 0) {
    return (
      <p className="quiet mt-2 text-sm">
        Nothing to dose on the shelf yet.{' '}
        <a className="link" href="/shelf">
          Add a fragrance, a colorant or an additive
        </a>
        .
      </p>
    );
  }
  return (
    <form
      className="mt-2 flex items-center gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        add();
      }}
    >
      <select
        className="select min-h-11 w-full max-w-72"
        aria-label="Material to add"
        value={chosen}
        onChange={({ target }) => setChosen(target.value)}
        onKeyDown={(event) => {
          if (event.key === 'Enter' && material) {
            event.preventDefault();
            add();
          }
        }}
      >
        <option value="">Add from the shelf …</option>
        {MATERIAL_KINDS.filter((kind) => kind !== 'base').map((kind) => (
          <optgroup key={kind} label={KIND_NAMES[kind]}>
            {dosed
              .filter((each) => each.kind === kind)
              .map(({ id, name }) => (
                <option key={id} value={id}>
                  {name}
                </option>
              ))}
          </optgroup>
        ))}
      </select>
      <button type="submit" className="btn btn-secondary min-h-11" disabled={!material}>
        Add
      </button>
    </form>
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
