import { useMemo, useState } from 'react';
import { compareFindings } from '../../core/checks/compareFindings';
import { heatFindings } from '../../core/checks/heat/heatReview';
import type { Material } from '../../core/materials/material';
import { makeSheet } from '../../core/plan/makeSheet';
import { USUAL_MAKING } from '../../core/plan/making';
import { type Plan, pourLetter } from '../../core/plan/plan';
import { withFreezer, withMaking } from '../../core/plan/setMaking';
import type { Sheet } from '../../core/plan/sheet';
import type { PourPlan } from '../../core/schedule/pourPlan';
import { type Showing, showTemperature } from '../../core/units/showQuantity';
import { rangeWords } from '../../words/en/lengthWords';
import { usePlanPage } from '../plans/planContext';
import { withPour } from '../plans/planEdits';
import { FindingTitle } from '../shared/FindingTitle';
import { useShowing } from '../shared/showing';
import type { DetailsProps } from './detailsProps';
import { BOND_WORDS } from './strip/bondWords';
import { usePourPlan } from './usePourPlan';

type Props = Pick<DetailsProps, 'file' | 'sheet' | 'pourPlan' | 'pourIndex'>;

const COLD_C = 16;
const WARM_C = 28;
const THICKER = 1.5;
const FREEZER_MIN = 10;

/** Two pour plans side by side: this one, and what it would be. */
export function WhatIf(props: Props) {
  const { rules, materials, editShown } = usePlanPage();
  const { file, sheet, pourPlan, pourIndex } = props;
  const showing = useShowing();
  const choices = useMemo(
    () => choicesOf(file.plan, pourIndex, materials, showing),
    [file.plan, pourIndex, materials, showing],
  );
  const [chosen, setChosen] = useState('');
  const choice = choices.find(({ key }) => key === chosen);
  const other = useMemo(() => {
    if (!choice) return null;
    const made = makeSheet({ ...file, plan: choice.plan, materials });
    return made.success ? made.data : null;
  }, [choice, file, materials]);
  const view = usePourPlan(other, rules);
  const whole = view.isCurrent ? view.pourPlan : null;
  return (
    <div className="flex flex-col gap-2 text-sm">
      <label className="flex flex-col text-xs">
        <span className="quiet">What if</span>
        <select
          className="select select-sm max-w-sm pointer-coarse:min-h-11"
          value={chosen}
          onChange={({ target }) => setChosen(target.value)}
        >
          <option value="">choose …</option>
          {choices.map(({ key, label }) => (
            <option key={key} value={key}>
              {label}
            </option>
          ))}
        </select>
      </label>
      {!choice && <p className="quiet">Choose what is different, and both pour plans stand side by side.</p>}
      {choice && other === null && (
        <p role="alert">So there is no sheet: the additions are more than the pour. Choose something else.</p>
      )}
      {view.state.kind === 'fault' && (
        <p role="alert" className="text-error">
          That can’t be worked out: {view.state.reason}. Choose something else.
        </p>
      )}
      {choice && other && !whole && view.state.kind !== 'fault' && (
        <p role="status" className="quiet">
          Working it out …
        </p>
      )}
      {choice && other && whole && (
        <>
          <Compared before={pourPlan} after={whole} label={choice.label} />
          <Changes {...props} other={other} otherPlan={whole} sheet={sheet} />
          {whole.samples === 0 && (
            <p role="status" className="quiet text-xs">
              Ranges follow …
            </p>
          )}
          <button
            type="button"
            className="btn btn-secondary btn-sm self-start pointer-coarse:min-h-11"
            onClick={() => {
              setChosen('');
              editShown(choice.plan, `what if ${choice.key}`);
            }}
          >
            Make the plan so
          </button>
        </>
      )}
    </div>
  );
}

interface Choice {
  key: string;
  label: string;
  plan: Plan;
}

function choicesOf(
  plan: Plan,
  pourIndex: number,
  materials: readonly Material[],
  showing: Showing,
): Choice[] {
  const making = plan.making ?? USUAL_MAKING;
  const letter = pourLetter(pourIndex);
  const pour = plan.pours[pourIndex];
  const room = (tempC: number): Choice => ({
    key: `room ${tempC}`,
    label: `the room is at ${showTemperature(tempC, showing)}`,
    plan: withMaking(plan, { room: { ...making.room, tempC } }),
  });
  const thicker = ((): Choice[] => {
    if (!pour) return [];
    const { size } = pour;
    const label = `${letter} is half as thick again`;
    const sized = (next: typeof size): Choice[] => [
      { key: 'thicker', label, plan: withPour(plan, pourIndex, (each) => ({ ...each, size: next })) },
    ];
    if (size.by === 'thickness') return sized({ ...size, thicknessMm: size.thicknessMm * THICKER });
    return size.by === 'parts' && plan.pours.length > 1
      ? sized({ ...size, parts: size.parts * THICKER })
      : [];
  })();
  const bases = materials.flatMap((material): Choice[] =>
    material.kind === 'base' && !material.archived && material.id !== pour?.baseId
      ? [
          {
            key: `base ${material.id}`,
            label: `${letter} is of ${material.name}`,
            plan: withPour(plan, pourIndex, (each) => ({ ...each, baseId: material.id })),
          },
        ]
      : [],
  );
  const freezer: Choice =
    making.freezerMin === null
      ? {
          key: 'freezer',
          label: `it goes into the freezer for ${FREEZER_MIN} min`,
          plan: withFreezer(plan, FREEZER_MIN),
        }
      : { key: 'freezer', label: 'it does not go into the freezer', plan: withFreezer(plan, null) };
  return [room(COLD_C), room(WARM_C), ...thicker, ...bases, freezer];
}

function Compared({ before, after, label }: { before: PourPlan; after: PourPlan; label: string }) {
  const showing = useShowing();
  const { locale } = showing;
  const rows: [string, (plan: PourPlan) => string][] = [
    ['Done in', ({ done }) => rangeWords(done, locale)],
    ...before.layers.flatMap((layer, index): [string, (plan: PourPlan) => string][] => [
      [
        `Skin of ${layer.letters}`,
        ({ layers }) => (layers[index] ? rangeWords(layers[index].skin, locale) : '–'),
      ],
      ...(layer.bond
        ? ([
            [
              `${layer.letters} may be poured`,
              ({ layers }) => {
                const window = layers[index]?.window;
                return window
                  ? `${rangeWords(window.earliest, locale)}, until ${rangeWords(window.latest, locale)}`
                  : '–';
              },
            ],
            [
              `${layer.letters} at its moment`,
              ({ layers }) => {
                const bond = layers[index]?.bond;
                return bond ? BOND_WORDS[bond.likely] : '–';
              },
            ],
          ] as [string, (plan: PourPlan) => string][])
        : []),
    ]),
    ['Out of the mold', ({ unmold }) => rangeWords(unmold, locale)],
    ...(before.dew || after.dew
      ? ([['Dew dries in', ({ dew }: PourPlan) => (dew ? rangeWords(dew.dry, locale) : 'no dew')]] as [
          string,
          (plan: PourPlan) => string,
        ][])
      : []),
  ];
  return (
    <table className="w-full">
      <thead>
        <tr className="border-b text-left text-xs">
          <th scope="col" />
          <th scope="col">Now</th>
          <th scope="col">If {label}</th>
        </tr>
      </thead>
      <tbody>
        {rows.map(([name, say]) => {
          const [was, is] = [say(before), say(after)];
          return (
            <tr key={name} className="border-base-300 border-b align-top">
              <th scope="row" className="py-1 pr-2 text-left font-normal">
                {name}
              </th>
              <td className="py-1 pr-2">{was}</td>
              <td className={`py-1 ${was === is ? 'quiet' : 'font-semibold'}`}>{is}</td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}

function Changes({
  sheet,
  pourPlan,
  other,
  otherPlan,
}: Pick<Props, 'sheet' | 'pourPlan'> & { other: Sheet; otherPlan: PourPlan }) {
  const { rules } = usePlanPage();
  const { gone, came } = compareFindings(
    heatFindings({ sheet, pourPlan, rules }),
    heatFindings({ sheet: other, pourPlan: otherPlan, rules }),
  );
  if (gone.length + came.length === 0) return <p className="quiet">No check of the pour plan changes.</p>;
  return (
    <ul className="ml-4 list-disc">
      {came.map((finding) => (
        <li key={finding.id}>
          <strong>New:</strong> <FindingTitle found={finding} />
        </li>
      ))}
      {gone.map((finding) => (
        <li key={`gone ${finding.id}`}>
          <strong>Gone:</strong> <FindingTitle found={finding} />
        </li>
      ))}
    </ul>
  );
}
