import { driedSince, goodPiecesSeen, type Inspection, lastWeightsG } from '../../core/inspection/inspection';
import { declarable, WEIGHT_RULES } from '../../core/inspection/netWeight';
import type { Run } from '../../core/run/run';
import { declarableWords, driedWords } from '../../words/en/inspection/inspectionWords';
import { useShowing } from '../shared/showing';

interface Props {
  run: Run;
  inspections: readonly Inspection[];
}

/** The net weight that can be declared of a batch, by the pieces of it that were weighed. */
export function NetWeight({ run, inspections }: Props) {
  const showing = useShowing();
  const { sheet } = run.snapshot;
  const weightsG = lastWeightsG(inspections);
  if (weightsG.length === 0) return null;
  const batch = Math.max(
    weightsG.length,
    goodPiecesSeen(inspections, sheet.totals.rounds) ?? Math.ceil(sheet.pieces),
  );
  return (
    <section className="plate p-4" aria-labelledby="net-weight">
      <h2 id="net-weight" className="mb-1 font-semibold">
        Net weight that can be declared
      </h2>
      <ul className="flex flex-col gap-2">
        {WEIGHT_RULES.map((rule) => {
          const { title, sentence } = declarableWords(declarable(rule, weightsG, batch), showing);
          return (
            <li key={rule}>
              <strong className="block">{title}</strong>
              {sentence}
            </li>
          );
        })}
        {driedSince(inspections).map((dried) => (
          <li key={dried.round}>
            {sheet.totals.rounds > 1 && `Round ${dried.round + 1}: `}
            {driedWords(dried, showing.locale)}.
          </li>
        ))}
      </ul>
      <p className="quiet mt-2 text-sm">
        Guidance by Directive 76/211/EEC and NIST Handbook 133, their figures from memory. Your local
        authority has the last word; weigh what is sold, without its wrap.
      </p>
    </section>
  );
}
