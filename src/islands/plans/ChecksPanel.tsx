import { ChevronRight, CircleCheck, Info, OctagonX, TriangleAlert } from 'lucide-react';
import { memo, useMemo } from 'react';
import type { Finding, Severity } from '../../core/checks/finding';
import { foldFindings, type Told } from '../../core/checks/foldFindings';
import { isSeen, type Seen } from '../../core/checks/seenFindings';
import { describeFinding } from '../../words/en/findings/describeFinding';
import { foldWords, sameWords } from '../../words/en/findings/foldWords';
import { useShowing } from '../shared/showing';
import { useStable } from '../shared/useStable';

interface Props {
  findings: Finding[];
  /** What was accepted for this plan. */
  seen: readonly Seen[] | undefined;
  onFix(finding: Finding): void;
  onSeen(findings: Finding[]): void;
  /** Everything that was accepted is told again. */
  onUnsee(): void;
}

const LOOK: Record<Severity, { icon: typeof Info; word: string; colour: string }> = {
  stop: { icon: OctagonX, word: 'Stop', colour: 'text-error' },
  caution: { icon: TriangleAlert, word: 'Caution', colour: 'text-warning' },
  note: { icon: Info, word: 'Note', colour: 'text-info' },
};

/** Findings that the stock of the shelf would settle. */
const OF_LOTS: ReadonlySet<string> = new Set(['stock-short', 'lot-past-date']);

/** Everything that was found about the plan: what to do first comes first, and notes lie folded. */
export const ChecksPanel = memo(function ChecksPanel({ findings, seen, onFix, onSeen, onUnsee }: Props) {
  const fix = useStable(onFix);
  const see = useStable(onSeen);
  const open = useMemo(() => findings.filter((finding) => !isSeen(finding, seen)), [findings, seen]);
  const told = useMemo(() => foldFindings(open), [open]);
  const accepted = findings.length - open.length;
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
      {told.length > 0 && (
        <ul
          className="mt-1 flex min-h-0 flex-1 flex-col gap-2 overflow-y-auto"
          aria-live="polite"
          // biome-ignore lint/a11y/noNoninteractiveTabindex: a list that scrolls must be reachable by key
          tabIndex={0}
        >
          {told.map((each) =>
            each.kind === 'one' ? (
              <FindingItem key={each.finding.id} finding={each.finding} onFix={fix} onSeen={see} />
            ) : (
              <FoldedItem
                key={each.kind === 'fold' ? each.fold : each.code}
                told={each}
                onFix={fix}
                onSeen={see}
              />
            ),
          )}
        </ul>
      )}
      {accepted > 0 && (
        <button type="button" className="btn btn-ghost btn-sm mt-1 min-h-11 self-start" onClick={onUnsee}>
          {accepted} marked as seen: show
        </button>
      )}
    </section>
  );
});

interface FoldedProps {
  told: Exclude<Told, { kind: 'one' }>;
  onFix(finding: Finding): void;
  onSeen(findings: Finding[]): void;
}

/** Several findings on one line, which opens to each of them. */
function FoldedItem({ told, onFix, onSeen }: FoldedProps) {
  const showing = useShowing();
  const { findings } = told;
  const { icon: Icon, word, colour } = LOOK[told.kind === 'fold' ? 'note' : 'caution'];
  return (
    <li className="border-base-300 border-t pt-1 first:border-0 first:pt-0">
      <details className="group">
        <summary className="flex min-h-11 cursor-pointer items-center gap-2 text-sm leading-tight font-semibold">
          <Icon size={18} className={`${colour} shrink-0`} aria-hidden="true" />
          <span className="flex-1">
            <span className={colour}>{word}:</span>{' '}
            {told.kind === 'fold' ? foldWords(told.fold, findings, showing) : sameWords(findings)}
          </span>
          <ChevronRight size={16} className="shrink-0 group-open:rotate-90" aria-hidden="true" />
        </summary>
        <ul className="flex flex-col gap-2">
          {findings.map((finding) => (
            <FindingItem key={finding.id} finding={finding} onFix={onFix} onSeen={onSeen} isInside />
          ))}
        </ul>
        {findings.length > 1 && (
          <button
            type="button"
            className="btn btn-ghost btn-sm ml-5 min-h-11"
            onClick={() => onSeen(findings)}
          >
            Mark all {findings.length} as seen
          </button>
        )}
      </details>
    </li>
  );
}

interface ItemProps {
  finding: Finding;
  isInside?: boolean;
  onFix(finding: Finding): void;
  onSeen(findings: Finding[]): void;
}

/** One finding; drawn anew only when it says something else. */
const FindingItem = memo(
  function FindingItem({ finding, isInside = false, onFix, onSeen }: ItemProps) {
    const showing = useShowing();
    const { title, reason, fixLabel } = describeFinding(finding, showing);
    const { icon: Icon, word, colour } = LOOK[finding.severity];
    return (
      <li className={isInside ? '' : 'border-base-300 border-t pt-2 first:border-0 first:pt-0'}>
        <p className="flex gap-2 text-sm leading-tight font-semibold">
          {isInside ? (
            <span className="w-4.5 shrink-0" />
          ) : (
            <Icon size={18} className={`${colour} shrink-0`} aria-hidden="true" />
          )}
          <span>
            {!isInside && <span className={colour}>{word}:</span>} {title}
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
        <p className="ml-6.5 flex flex-wrap gap-1">
          {finding.fix && (
            <button
              type="button"
              className="btn btn-sm btn-outline btn-primary mt-1 min-h-11"
              onClick={() => onFix(finding)}
            >
              {fixLabel}
            </button>
          )}
          {finding.severity !== 'stop' && (
            <button
              type="button"
              className="btn btn-ghost btn-sm mt-1 min-h-11 font-normal"
              aria-label={`Seen: ${title}`}
              onClick={() => onSeen([finding])}
            >
              Seen
            </button>
          )}
        </p>
      </li>
    );
  },
  (before, after) =>
    before.onFix === after.onFix && JSON.stringify(before.finding) === JSON.stringify(after.finding),
);
