import { jobRows } from '../../core/pourPlan/jobRows';
import type { DetailsProps } from './detailsProps';

type Props = Pick<DetailsProps, 'sheet' | 'pourPlan' | 'showing'>;

/** The pour plan as a plain list: hands-on moments in bold. */
export function JobList({ sheet, pourPlan, showing }: Props) {
  const rows = jobRows(sheet, pourPlan, showing);
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
        {rows.map(({ key, when, length, words, hands }) => (
          <tr key={key} className="border-base-300 border-b align-top">
            <td className="py-1 tabular-nums">{when}</td>
            <td className="py-1 tabular-nums">{length}</td>
            <td className={`py-1 ${hands ? 'font-semibold' : 'quiet'}`}>{words}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
