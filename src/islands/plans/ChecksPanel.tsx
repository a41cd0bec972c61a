import { CircleCheck, Info, OctagonX, TriangleAlert } from 'lucide-react';
import { memo } from 'react';
import type { Finding, Severity } from '../../core/checks/finding';
import { describeFinding } from '../../words/en/findings/describeFinding';
import { useShowing } from '../shared/showing';
import { useStable } from '../shared/useStable';

interface Props {
  findings: Finding[];
  onFix(finding: Finding): void;
}

const LOOK: Record<Severity, { icon: typeof Info; word: string; colour: string }> = {
  stop: { icon: OctagonX, word: 'Stop', colour: 'text-error' },
  caution: { icon: TriangleAlert, word: 'Caution', colour: 'text-warning' },
  note: { icon: Info, word: 'Note', colour: 'text-info' },
};

/** Findings that the stock of the shelf would settle. */
const OF_LOTS: ReadonlySet<string> = new Set(['stock-short', 'lot-past-date']);

/** Everything that was found about the plan, gravest first. */
export const ChecksPanel = memo(function ChecksPanel({ findings, onFix }: Props) {
  const fix = useStable(onFix);
  return (
    <section className="plate flex min-h-44 flex-1 flex-col p-3" aria-labelledby="checks-title">
      <h2 id="checks-title" className="font-semibold">
        Checks
      </h2>
      {findings.every(({ severity }) => severity === 'note') && (
        <p className="mt-1 flex items-center gap-2">
          <CircleCheck size={20} className="text-success shrink-0" aria-hidden="true" />
          Within every limit the shelf knows.
        </p>
      )}
      {findings.length > 0 && (
        <ul
          className="mt-1 flex min-h-0 flex-1 flex-col gap-2 overflow-y-auto"
          aria-live="polite"
          // biome-ignore lint/a11y/noNoninteractiveTabindex: a list that scrolls must be reachable by key
          tabIndex={0}
        >
          {findings.map((finding) => (
            <FindingItem key={finding.id} finding={finding} onFix={fix} />
          ))}
        </ul>
      )}
    </section>
  );
});

interface ItemProps {
  finding: Finding;
  onFix(finding: Finding): void;
}

/** One finding; drawn anew only when it says something else. */
const FindingItem = memo(
  function FindingItem({ finding, onFix }: ItemProps) {
    const showing = useShowing();
    const { title, reason, fixLabel } = describeFinding(finding, showing);
    const { icon: Icon, word, colour } = LOOK[finding.severity];
    return (
      <li className="border-base-300 border-t pt-2 first:border-0 first:pt-0">
        <p className="flex gap-2 text-sm leading-tight font-semibold">
          <Icon size={18} className={`${colour} shrink-0`} aria-hidden="true" />
          <span>
            <span className={colour}>{word}:</span> {title}
          </span>
        </p>
        <p className="quiet ml-6.5 text-xs">{reason}</p>
        {finding.materialId && (
          <a
            className="link ml-6.5 flex min-h-6 w-fit items-center text-xs"
            href={`/shelf?material=${encodeURIComponent(finding.materialId)}${OF_LOTS.has(finding.code) ? '&side=lots' : ''}`}
          >
            {OF_LOTS.has(finding.code) ? 'See its lots' : 'Enter it on the shelf'}
          </a>
        )}
        {finding.fix && (
          <button
            type="button"
            className="btn btn-sm btn-outline btn-primary mt-1 ml-6.5 min-h-11"
            onClick={() => onFix(finding)}
          >
            {fixLabel}
          </button>
        )}
      </li>
    );
  },
  (before, after) =>
    before.onFix === after.onFix && JSON.stringify(before.finding) === JSON.stringify(after.finding),
);
