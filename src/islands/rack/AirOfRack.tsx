import { useState } from 'react';
import type { Base } from '../../core/materials/base';
import { type AirDoes, airDoes, type RackAir } from '../../core/rack/rackAir';
import { showPercent, showTemperature } from '../../core/units/showQuantity';
import { airWords } from '../../words/en/rack/airWords';
import { showMoment } from '../../words/en/showTime';
import { RoomForm } from '../bench/RoomNow';
import { callApi } from '../shared/api';
import { newId } from '../shared/newId';
import { useShowing } from '../shared/showing';

interface Props {
  start: RackAir | null;
  /** Of what stands there without its wrap. */
  bases: readonly Base[];
}

const ORDER: readonly AirDoes[] = ['draws-water', 'near', 'dries', 'steady'];

/** The air of the rack as it was read last, and what it does to what stands there. */
export function AirOfRack({ start, bases }: Props) {
  const showing = useShowing();
  const [air, setAir] = useState(start);
  const [isAsked, setAsked] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);

  async function read(said: { tempC: number; humidity: number | null }) {
    const answer = await callApi<RackAir>('POST', '/api/rack/air', { id: newId(), ...said });
    setProblem(answer.success ? null : answer.error.detail);
    if (!answer.success) return;
    setAir(answer.data);
    setAsked(false);
  }

  return (
    <section className="plate mb-3 px-4 py-2" aria-label="Air of the rack">
      <div className="flex flex-wrap items-center gap-3">
        <p className="flex-1">
          {air === null ? (
            'Nobody has read the air of the rack yet.'
          ) : (
            <>
              <strong>
                {showTemperature(air.tempC, showing, 1)}
                {air.humidity !== null && `, ${showPercent(air.humidity, showing.locale, 0)} humid`}
              </strong>{' '}
              <span className="quiet">read {showMoment(air.at, showing.locale)}</span>
            </>
          )}
        </p>
        <button type="button" className="btn btn-secondary min-h-11" onClick={() => setAsked(!isAsked)}>
          {isAsked ? 'Leave it' : 'Read the air'}
        </button>
      </div>
      {problem && (
        <p role="alert" className="text-error">
          {problem}
        </p>
      )}
      {isAsked && (
        <RoomForm
          onRead={(event) =>
            event.kind === 'room-read' && void read({ tempC: event.tempC, humidity: event.humidity })
          }
          onClose={() => setAsked(false)}
        />
      )}
      {air && (
        <ul>
          {toldOf(air, bases).map(({ does, names }) => (
            <li key={does} className={does === 'draws-water' ? 'text-error font-semibold' : ''}>
              {airWords(does, names)}
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}

function toldOf(air: RackAir, bases: readonly Base[]): { does: AirDoes; names: string[] }[] {
  return ORDER.flatMap((does) => {
    const names = bases.filter((base) => airDoes(air, base) === does).map(({ name }) => name);
    return names.length === 0 ? [] : [{ does, names: [...new Set(names)] }];
  });
}
