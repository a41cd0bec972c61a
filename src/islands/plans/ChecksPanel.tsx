import { ChevronRight, CircleCheck } from 'lucide-react';
import { memo, Suspense, useMemo, useState } from 'react';
import type { Finding } from '../../core/checks/finding';
import { foldFindings, type Told } from '../../core/checks/foldFindings';
import { isSeen, type Seen } from '../../core/checks/seenFindings';
import { foldWords, unknownWords } from '../../words/en/findings/foldWords';
import { useStable } from '../shared/useStable';
import { FindingItem } from './FindingItem';
import { LOOK } from './findingLook';

interface Props {
  findings: Finding[];
  /** What was accepted for this plan. */
  seen: readonly Seen[] | undefined;
  /** What the pour plan finds is not there yet: notes wait for it, so that none of them moves. */
  isHeatToCome: boolean;
  onFix(finding: Finding): void;
  onSeen(findings: Finding[]): void;
  /** Everything that was accepted is told again. */
  onUnsee(): void;
}

/** Everything that was found about the plan: what to do first comes first, and notes lie folded. */
export const ChecksPanel = memo(function ChecksPanel(props: Props) {
  const { findings, seen, isHeatToCome, onFix, onSeen, onUnsee } = props;
  const fix = useStable(onFix);
  const see = useStable(onSeen);
  const open = useMemo(() => findings.filter((finding) => !isSeen(finding, seen)), [findings, seen]);
  const told = useMemo(
    () => foldFindings(open).filter(({ kind }) => kind !== 'fold' || !isHeatToCome),
    [open, isHeatToCome],
  );
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
              <Suspense key={each.finding.id} fallback={<li className="quiet text-sm">…</li>}>
                <FindingItem finding={each.finding} onFix={fix} onSeen={see} />
              </Suspense>
            ) : (
              <FoldedItem
                key={each.kind === 'fold' ? each.fold : each.kind}
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
  const [isOpen, setOpen] = useState(false);
  const { findings } = told;
  const { icon: Icon, word, colour } = LOOK[told.kind === 'fold' ? 'note' : 'caution'];
  return (
    <li className="border-base-300 border-t pt-1 first:border-0 first:pt-0">
      <details className="group" onToggle={({ currentTarget }) => setOpen(currentTarget.open)}>
        <summary className="flex min-h-11 cursor-pointer items-center gap-2 text-sm leading-tight font-semibold">
          <Icon size={18} className={`${colour} shrink-0`} aria-hidden="true" />
          <span className="flex-1">
            <span className={colour}>{word}:</span>{' '}
            {told.kind === 'fold' ? foldWords(told.fold, findings) : unknownWords(findings)}
          </span>
          <ChevronRight size={16} className="shrink-0 group-open:rotate-90" aria-hidden="true" />
        </summary>
        {isOpen && (
          <ul className="flex flex-col gap-2">
            <Suspense fallback={<li className="quiet text-sm">…</li>}>
              {findings.map((finding) => (
                <FindingItem key={finding.id} finding={finding} onFix={onFix} onSeen={onSeen} isInside />
              ))}
            </Suspense>
          </ul>
        )}
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
