import { taskRows } from '../../words/en/work/taskRows';
import { useShowing } from '../shared/showing';
import type { DetailsProps } from './detailsProps';

type Props = Pick<DetailsProps, 'sheet' | 'pourPlan'>;

/** The pour plan as a plain list: hands-on moments in bold. */
export function TaskTable({ sheet, pourPlan }: Props) {
  const showing = useShowing();
  const rows = taskRows(sheet, pourPlan, showing);
  return (
    <table className="w-full text-sm">
      <thead>
        <tr className="border-b text-left text-xs">
          <th scope="col" className="w-28 py-1">
            When
          </th>
          <th scope="col" className="w-20">
            How long
          </th>
          <th scope="col">What</th>
        </tr>
      </thead>
      <tbody>
        {rows.map(({ task: { id, hands }, when, length, words }) => (
          <tr key={id} data-task={id} className="border-base-300 border-b align-top">
            <td className="py-1 tabular-nums">{when}</td>
            <td className="py-1 tabular-nums">{length}</td>
            <td className={`py-1 ${hands ? 'font-semibold' : 'quiet'}`}>{words}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
