import { useState } from 'react';
import { fail, ok, type Result } from '../../core/result';
import { ICE_POINT_C, type InstrumentCheck } from '../../core/run/instrumentCheck';
import { parseFigure } from '../../core/units/parseFigure';
import { parseMass } from '../../core/units/parseMass';
import { massUnit, type Showing, temperatureUnit } from '../../core/units/showQuantity';
import { checkWords } from '../../words/en/run/checkWords';
import { explainFigureFault } from '../../words/en/units/figureFault';
import { explainWeightFault } from '../../words/en/units/weightFault';
import { callApi } from '../shared/api';
import { newId } from '../shared/newId';
import { useShowing } from '../shared/showing';
import { NewRecord } from './NewRecord';

type NewCheck = Omit<InstrumentCheck, 'id' | 'at'>;

const SHOWN_AT_ONCE = 8;

/** Scales beside a known weight, thermometers in ice water: how far off they are. */
export function InstrumentChecks({ start }: { start: InstrumentCheck[] }) {
  const showing = useShowing();
  const [checks, setChecks] = useState(start);
  const unit = massUnit(showing.system);
  const degrees = temperatureUnit(showing.system);
  return (
    <section className="plate p-4" aria-labelledby="checks-title">
      <h2 id="checks-title" className="font-semibold">
        Check weights and ice water
      </h2>
      <p className="quiet mb-2 text-sm">
        A scale with a known weight on it, or a thermometer in crushed ice that stands in its melt. The
        Logbook says when what a run was read from was checked last.
      </p>
      <ul className="text-sm">
        {checks.slice(0, SHOWN_AT_ONCE).map((check) => (
          <li key={check.id} className="flex min-h-8 flex-wrap items-center gap-x-3">
            <strong>{check.instrument}</strong> {checkWords(check, showing)}
          </li>
        ))}
      </ul>
      <NewRecord
        title="New check"
        action="Write the check down"
        labels={{
          instrument: 'Which instrument',
          against: `Known weight, ${unit}, or “ice”`,
          shown: `It showed, ${unit} or ${degrees}`,
        }}
        read={(texts) => readCheck(texts, showing)}
        add={async (check) => {
          const answer = await callApi<InstrumentCheck>('POST', '/api/instruments/checks', {
            id: newId(),
            ...check,
          });
          if (!answer.success) return answer.error;
          setChecks((all) => [answer.data, ...all]);
          return null;
        }}
      />
    </section>
  );
}

function readCheck(
  texts: Record<'instrument' | 'against' | 'shown', string>,
  { system }: Showing,
): Result<NewCheck, string> {
  const instrument = texts.instrument.trim();
  if (instrument === '') return fail('Which instrument: name it, as it is called at the bench.');
  if (/^ice\b/i.test(texts.against.trim())) {
    const rule =
      system === 'us' ? { unit: '°F', least: -20, most: 120 } : { unit: '°C', least: -30, most: 50 };
    const shown = parseFigure(texts.shown, rule);
    if (!shown.success) return fail(`It showed: ${explainFigureFault(shown.error, rule)}`);
    const tempC = system === 'us' ? (shown.data - 32) / 1.8 : shown.data;
    return ok({
      instrument,
      quantity: 'temperature',
      reference: ICE_POINT_C,
      shown: Number(tempC.toFixed(3)),
    });
  }
  const against = parseMass(texts.against, system);
  if (!against.success) return fail(`Known weight: ${explainWeightFault(against.error)}`);
  if (!(against.data > 0)) return fail('Known weight: more than nothing.');
  const shown = parseMass(texts.shown, system);
  if (!shown.success) return fail(`It showed: ${explainWeightFault(shown.error)}`);
  return ok({ instrument, quantity: 'mass', reference: against.data, shown: shown.data });
}
