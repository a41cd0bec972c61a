import type { Material } from '../../../core/materials/material';
import { jugsOfPlan } from '../../../core/plan/doseGrid';
import { type Plan, pourLetter } from '../../../core/plan/plan';
import type { Sheet } from '../../../core/plan/sheet';
import { massUnit, showMassFigure } from '../../../core/units/showQuantity';
import { useShowing } from '../../shared/showing';

/** The pours, and which of them come from one jug. */
export function GridHead({ plan: { pours }, pourIndex }: { plan: Plan; pourIndex: number }) {
  const groups = jugsOfPlan(pours);
  return (
    <thead className="text-base-content">
      {groups.length < pours.length && (
        <tr className="border-b-0!">
          <td className="w-34 py-0" />
          {groups.map((group) => (
            <th
              key={group.join()}
              colSpan={group.length}
              scope="colgroup"
              className="px-1 py-0 text-center text-xs font-normal"
            >
              {group.length > 1 && <span className="border-primary block border-b-2">one jug</span>}
            </th>
          ))}
          <td className="w-11 py-0" />
        </tr>
      )}
      <tr>
        <th scope="col" className="w-34 px-2">
          Material
        </th>
        {pours.map(({ id }, index) => (
          <th key={id} scope="col" className="px-1 text-center">
            <span className={index === pourIndex ? 'border-primary border-b-2 px-2' : ''}>
              {pourLetter(index)}
            </span>
          </th>
        ))}
        <th scope="col" className="w-11 px-0">
          <span className="sr-only">Take out</span>
        </th>
      </tr>
    </thead>
  );
}

interface BaseProps {
  plan: Plan;
  sheet: Sheet | null;
  byId: ReadonlyMap<string, Material>;
}

/** The base of each pour, and how much of it the pour takes. */
export function BaseCells({ plan, sheet, byId }: BaseProps) {
  const showing = useShowing();
  return (
    <tr>
      <th scope="row" className="px-2 font-normal">
        Base
      </th>
      {plan.pours.map(({ id, baseId }, index) => {
        const baseG = sheet?.pours[index]?.baseG;
        return (
          <td key={id} className="px-2 leading-tight">
            <span className="quiet block truncate text-xs">{byId.get(baseId)?.name ?? baseId}</span>
            <strong>
              {baseG === undefined ? '–' : `${showMassFigure(baseG, showing)} ${massUnit(showing.system)}`}
            </strong>
          </td>
        );
      })}
      <td />
    </tr>
  );
}
