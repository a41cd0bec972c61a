import { showMass } from '../../core/units/showQuantity';
import { FindingTitle } from '../shared/FindingTitle';
import { useShowing } from '../shared/showing';
import type { FaceProps } from './faceProps';

export function Cautions({ cautions }: Pick<FaceProps, 'cautions'>) {
  return cautions.map((finding) => (
    <p key={`${finding.code} ${finding.about} ${finding.doseIndexes}`} className="text-warning font-semibold">
      <FindingTitle found={finding} />
    </p>
  ));
}

/** A limit that is passed at the scale, and the base that would bring it back, as a task on a press. */
export function OverLimits({ over, sending, tasks, onTick }: FaceProps) {
  const showing = useShowing();
  return over.map(({ finding, baseTaskId, moreBaseG }) => {
    const isWeighed = tasks.some(({ id, doneAt }) => id === baseTaskId && doneAt !== null);
    return (
      <div
        key={`${finding.code} ${finding.about}`}
        role="alert"
        className="border-error my-1 flex flex-wrap items-center gap-3 rounded-lg border-2 p-2"
      >
        <p className="text-error flex-1 font-semibold">
          <FindingTitle found={finding} />. {showMass(moreBaseG, showing)} more base brings it there; or take
          some out.
        </p>
        {isWeighed && (
          <button
            type="button"
            className="btn btn-secondary btn-lg"
            disabled={sending}
            onClick={() => onTick({ kind: 'topped-up', taskId: baseTaskId, massG: moreBaseG })}
          >
            Weigh {showMass(moreBaseG, showing)} more base
          </button>
        )}
      </div>
    );
  });
}

export function BackButton({ onBack }: Pick<FaceProps, 'onBack'>) {
  return (
    onBack && (
      <button type="button" className="btn btn-lg btn-primary" onClick={onBack}>
        Back to the task in hand
      </button>
    )
  );
}

/** The one thing to press. */
export function NextButton({
  sending,
  children,
  onPress,
}: {
  sending: boolean;
  children: string;
  onPress(): void;
}) {
  return (
    <button
      type="button"
      data-next
      className="btn btn-primary mt-3 h-24 w-full text-3xl"
      disabled={sending}
      aria-busy={sending}
      onClick={onPress}
    >
      {sending ? 'Recording …' : children}
    </button>
  );
}
