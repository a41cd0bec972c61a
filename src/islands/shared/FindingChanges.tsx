import type { FindingChanges as Changes } from '../../core/checks/compareFindings';
import type { Finding } from '../../core/checks/finding';
import { pourLetter } from '../../core/plan/plan';
import { FindingTitle } from './FindingTitle';

/** What the checks say more, otherwise and no more. */
export function FindingChanges({ came, changed, gone }: Changes) {
  if (came.length + gone.length + changed.length === 0) return <p>No check says anything else.</p>;
  return (
    <ul className="my-1 flex flex-col gap-1">
      {came.map((finding) => (
        <li key={`came ${finding.id}`}>
          <strong>
            {WORDS[finding.severity]} more{placeOf(finding)}:
          </strong>{' '}
          <FindingTitle found={finding} />
        </li>
      ))}
      {changed.map(({ after }) => (
        <li key={`changed ${after.id}`}>
          <strong>
            Now {WORDS[after.severity].toLowerCase()}
            {placeOf(after)}:
          </strong>{' '}
          <FindingTitle found={after} />
        </li>
      ))}
      {gone.map((finding) => (
        <li key={`gone ${finding.id}`} className="quiet">
          <strong>No more{placeOf(finding)}:</strong> <FindingTitle found={finding} />
        </li>
      ))}
    </ul>
  );
}

/** “ in B”; nothing for what is about all of it. */
function placeOf({ pourIndex }: Finding): string {
  return pourIndex === null ? '' : ` in ${pourLetter(pourIndex)}`;
}

const WORDS: Record<Finding['severity'], string> = { stop: 'Stop', caution: 'Caution', note: 'Note' };
