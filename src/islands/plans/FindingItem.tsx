import { memo } from 'react';
import type { Finding } from '../../core/checks/finding';
import { isOfStock } from '../../core/checks/foldFindings';
import { useDescribed } from '../shared/useDescribed';
import { LOOK } from './findingLook';

interface ItemProps {
  finding: Finding;
  isInside?: boolean;
  onFix(finding: Finding): void;
  onSeen(findings: Finding[]): void;
}

/** One finding; drawn anew only when it says something else. */
export const FindingItem = memo(
  function FindingItem({ finding, isInside = false, onFix, onSeen }: ItemProps) {
    const { title, reason, fixLabel } = useDescribed(finding);
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
            href={`/shelf?material=${encodeURIComponent(finding.materialId)}${isOfStock(finding) ? '&side=lots' : ''}`}
          >
            {isOfStock(finding) ? 'See its lots' : 'Enter it on the shelf'}
          </a>
        )}
        <p className="ml-6.5 flex flex-wrap gap-1">
          {finding.fix && (
            <button
              type="button"
              className="btn btn-sm btn-outline btn-primary mt-1 h-auto min-h-11 max-w-full text-left whitespace-normal"
              onClick={() => onFix(finding)}
            >
              {fixLabel}
            </button>
          )}
          {finding.severity !== 'stop' && (
            <button
              type="button"
              className="btn btn-ghost btn-sm mt-1 min-h-11 font-normal"
              aria-label={`Mark as seen: ${title}`}
              onClick={() => onSeen([finding])}
            >
              Mark as seen
            </button>
          )}
        </p>
      </li>
    );
  },
  (before, after) =>
    before.onFix === after.onFix && JSON.stringify(before.finding) === JSON.stringify(after.finding),
);
