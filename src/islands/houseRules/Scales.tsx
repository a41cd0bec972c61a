import type { Scale } from '../../core/houseRules/houseRules';
import { fail, ok, type Result } from '../../core/result';
import { parseMass } from '../../core/units/parseMass';
import { massUnit, type Showing, showNumber } from '../../core/units/showQuantity';
import { explainWeightFault } from '../../words/en/units/weightFault';
import type { StoredItem } from '../shared/saveQueue';
import { useShowing } from '../shared/showing';
import { useRecords } from '../shared/useRecords';
import { NewRecord } from './NewRecord';
import { OwnRecords } from './OwnRecords';

/** The scales of the workshop: how finely they read and how much they bear. */
export function Scales({ start }: { start: StoredItem<Scale>[] }) {
  const showing = useShowing();
  const scales = useRecords('/api/scales', 'scale', start);
  const figure = (massG: number) => `${showNumber(massG, 3, showing.locale, 0)} g`;
  const unit = massUnit(showing.system);
  return (
    <section className="plate p-4" aria-labelledby="scales-title">
      <h2 id="scales-title" className="font-semibold">
        Scales
      </h2>
      <p className="quiet mb-2 text-sm">
        A display is off by half its step. A dose that no scale reads finely enough is flagged among the
        checks.
      </p>
      <OwnRecords
        own={scales}
        says={({ stepG, gramsStepG, capacityG }) =>
          `moves by ${figure(stepG)}${gramsStepG === null ? '' : `, in grams by ${figure(gramsStepG)}`}, bears ${figure(capacityG)}`
        }
      />
      <NewRecord
        title="New scale"
        action="Add the scale"
        labels={{
          name: 'Name',
          step: `Smallest step, ${unit}`,
          capacity: `Bears, ${unit}`,
          grams: 'Step when switched to grams, g, if it can',
        }}
        read={(texts) => readScale(texts, showing.system)}
        add={(scale) => scales.save(scale, null)}
      />
    </section>
  );
}

function readScale(
  texts: Record<'name' | 'step' | 'capacity' | 'grams', string>,
  system: Showing['system'],
): Result<Omit<Scale, 'id'>, string> {
  const name = texts.name.trim();
  if (name === '') return fail('Name: give the scale a name.');
  const stepG = readMass('Smallest step', texts.step, 0.0001, 1000, system);
  if (!stepG.success) return stepG;
  const capacityG = readMass('Bears', texts.capacity, 1, 1e6, system);
  if (!capacityG.success) return capacityG;
  if (texts.grams.trim() === '')
    return ok({ name, stepG: stepG.data, gramsStepG: null, capacityG: capacityG.data });
  const gramsStepG = readMass('Step in grams', texts.grams, 0.0001, 1000, 'metric');
  if (!gramsStepG.success) return gramsStepG;
  return ok({ name, stepG: stepG.data, gramsStepG: gramsStepG.data, capacityG: capacityG.data });
}

function readMass(
  label: string,
  text: string,
  least: number,
  most: number,
  system: Showing['system'],
): Result<number, string> {
  const parsed = parseMass(text, system);
  if (!parsed.success) return fail(`${label}: ${explainWeightFault(parsed.error)}`);
  return parsed.data >= least && parsed.data <= most
    ? ok(parsed.data)
    : fail(`${label}: from ${least} to ${most} g.`);
}
