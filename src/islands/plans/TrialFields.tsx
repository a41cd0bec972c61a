import { useState } from 'react';
import { type Plan, type PlanFile, pourLetter } from '../../core/plan/plan';
import type { Sheet } from '../../core/plan/sheet';
import type { Trial } from '../../core/plan/trial';
import { parseQuantity } from '../../core/units/parseQuantity';
import { Choice } from '../shared/Choice';
import { FigureField } from '../shared/FigureField';
import { UnitInput } from '../shared/UnitInput';
import DoseFault from './DoseFault';
import { PIECES } from './HowMuch';
import { OpenedLater } from './OpenedLater';
import Packaging from './Packaging';
import { PlanPageContext, usePlanPage } from './planContext';

interface Props {
  file: PlanFile;
  /** Of the plan as it is. */
  sheet: Sheet;
  /** The plan as it is tried, with its sheet. */
  tried: { plan: Plan; sheet: Sheet | null };
  trial: Trial;
  onTry(trial: Trial): void;
}

/** What may be tried: pieces, bases, a dose at a time, what they are wrapped in. */
export function TrialFields({ file, sheet, tried, trial, onTry }: Props) {
  const page = usePlanPage();
  const packaging = {
    ...page,
    editShown: ({ packaging: next = [] }: Plan) => onTry({ ...trial, packaging: next }),
  };
  return (
    <>
      <FigureField
        label="Pieces"
        className="w-24"
        value={trial.pieces ?? sheet.pieces}
        rule={PIECES}
        onChange={(pieces) => onTry({ ...trial, pieces: pieces === sheet.pieces ? null : pieces })}
      />
      <TriedBases file={file} trial={trial} onTry={onTry} />
      <TriedDoses file={file} plan={tried.plan} trial={trial} onTry={onTry} />
      <OpenedLater title="Wrapped in something else">
        <PlanPageContext value={packaging}>
          <Packaging plan={tried.plan} sheet={tried.sheet} />
        </PlanPageContext>
      </OpenedLater>
    </>
  );
}

function TriedBases({ file, trial, onTry }: Pick<Props, 'file' | 'trial' | 'onTry'>) {
  const bases = file.materials.filter(({ kind }) => kind === 'base');
  const inPlan = [...new Set(file.plan.pours.map(({ baseId }) => baseId))];
  return inPlan.map((baseId) => {
    const nameOf = bases.find(({ id }) => id === baseId)?.name ?? baseId;
    const offered = bases.filter(({ id, archived }) => !archived || id === baseId);
    if (offered.length < 2) return null;
    return (
      <Choice
        key={baseId}
        label={`${nameOf}, or instead`}
        value={trial.bases.get(baseId) ?? baseId}
        onChange={(chosen) => {
          const next = new Map(trial.bases);
          if (chosen === baseId) next.delete(baseId);
          else next.set(baseId, chosen);
          onTry({ ...trial, bases: next });
        }}
      >
        {offered.map(({ id, name }) => (
          <option key={id} value={id}>
            {name}
          </option>
        ))}
      </Choice>
    );
  });
}

function TriedDoses({ file, plan, trial, onTry }: Pick<Props, 'file' | 'trial' | 'onTry'> & { plan: Plan }) {
  const [chosenId, setChosenId] = useState('');
  const doses = plan.pours.flatMap((pour, index) =>
    pour.doses.map(({ id, materialId, text }) => ({
      ...{ id, text },
      name: `${pourLetter(index)} · ${file.materials.find((each) => each.id === materialId)?.name ?? materialId}`,
    })),
  );
  if (doses.length === 0) return null;
  const chosen = doses.find(({ id }) => id === chosenId);
  return (
    <>
      <Choice label="A dose" value={chosen ? chosenId : ''} onChange={setChosenId}>
        <option value="">choose …</option>
        {doses.map(({ id, name, text }) => (
          <option key={id} value={id}>
            {name}, {text}
            {trial.doses.has(id) ? ', tried' : ''}
          </option>
        ))}
      </Choice>
      {chosen && (
        <TriedDose
          key={chosen.id}
          {...chosen}
          onTry={(text) => onTry({ ...trial, doses: new Map([...trial.doses, [chosen.id, text]]) })}
        />
      )}
    </>
  );
}

/** What a dose says instead; what can't be read stays in the field with the reason, and is not tried. */
function TriedDose({
  id,
  name,
  text,
  onTry,
}: {
  id: string;
  name: string;
  text: string;
  onTry(text: string): void;
}) {
  const [typed, setTyped] = useState(text);
  const parsed = parseQuantity(typed);
  const fieldId = `tried-${id}`;
  const type = (next: string) => {
    setTyped(next);
    if (parseQuantity(next).success) onTry(next);
  };
  return (
    <UnitInput
      id={fieldId}
      label={`${name}, tried`}
      unit=""
      text={typed}
      isFaulty={!parsed.success}
      saysId={parsed.success ? null : `${fieldId}-why`}
      onText={type}
    >
      {!parsed.success && (
        <DoseFault id={`${fieldId}-why`} text={typed} fault={parsed.error} onMeant={type} />
      )}
    </UnitInput>
  );
}
