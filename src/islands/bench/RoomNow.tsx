import { type SubmitEvent, useRef, useState } from 'react';
import { ok } from '../../core/result';
import type { Run, RunEvent } from '../../core/run/run';
import type { RoomRead } from '../../core/run/said';
import { parseFigure } from '../../core/units/parseFigure';
import { showPercent, showTemperature } from '../../core/units/showQuantity';
import { explainFigureFault } from '../../words/en/units/figureFault';
import { useShowing } from '../shared/showing';
import { LargeField } from './LargeField';

const toF = (tempC: number) => tempC * 1.8 + 32;
const [LEAST_C, MOST_C] = [-10, 50];
const HUMIDITY = { unit: '%', least: 0, most: 100 };

interface Props {
  run: Run;
  room: RoomRead | null;
  onRead(event: RunEvent): void;
}

/** The air of the room: asked until it was read, and shown on. Waits follow it. */
export function RoomNow({ run, room, onRead }: Props) {
  const showing = useShowing();
  const dialog = useRef<HTMLDialogElement>(null);
  const planned = run.snapshot.sheet.making.room;
  return (
    <>
      <button
        type="button"
        className={`btn my-1 min-h-11 justify-start px-2 text-sm ${room === null ? 'btn-secondary' : 'btn-ghost font-normal'}`}
        onClick={() => dialog.current?.showModal()}
      >
        {room === null
          ? `Room? Planned for ${showTemperature(planned.tempC, showing)}`
          : `Room ${showTemperature(room.tempC, showing, 1)}${room.humidity === null ? '' : `, ${showPercent(room.humidity, showing.locale, 0)} humid`}`}
      </button>
      <dialog ref={dialog} className="modal" aria-labelledby="room-title">
        <div className="modal-box plate shadow-none">
          <h2 id="room-title" className="mb-3 text-xl font-semibold">
            How warm is the room?
          </h2>
          <RoomForm
            onRead={(event) => {
              onRead(event);
              dialog.current?.close();
            }}
            onClose={() => dialog.current?.close()}
          />
        </div>
      </dialog>
    </>
  );
}

/** Asks for the air of a room: warm and humid. */
export function RoomForm({ onRead, onClose }: Pick<Props, 'onRead'> & { onClose(): void }) {
  const showing = useShowing();
  const [temp, setTemp] = useState('');
  const [humid, setHumid] = useState('');
  const [asked, setAsked] = useState(false);
  const isF = showing.system === 'us';
  const rule = isF
    ? { unit: '°F', least: toF(LEAST_C), most: toF(MOST_C) }
    : { unit: '°C', least: LEAST_C, most: MOST_C };
  const tempRead = parseFigure(temp, rule);
  const humidRead = humid.trim() === '' ? ok(null) : parseFigure(humid, HUMIDITY);

  function read(event: SubmitEvent) {
    event.preventDefault();
    setAsked(true);
    if (!tempRead.success || !humidRead.success) return;
    const tempC = isF ? (tempRead.data - 32) / 1.8 : tempRead.data;
    const humidity = humidRead.data === null ? null : humidRead.data / 100;
    onRead({ kind: 'room-read', tempC: Number(tempC.toFixed(2)), humidity });
    setTemp('');
    setHumid('');
    setAsked(false);
  }

  return (
    <form noValidate onSubmit={read} className="flex flex-col gap-2">
      <LargeField
        id="room-temp"
        label="Temperature"
        unit={rule.unit}
        inputMode="decimal"
        value={temp}
        fault={
          (asked || temp.trim() !== '') && !tempRead.success ? explainFigureFault(tempRead.error, rule) : null
        }
        says=""
        onChange={setTemp}
      />
      <LargeField
        id="room-humidity"
        label="Humidity"
        unit="%"
        inputMode="decimal"
        value={humid}
        fault={humidRead.success ? null : explainFigureFault(humidRead.error, HUMIDITY)}
        says="where something reads it"
        onChange={setHumid}
      />
      <div className="modal-action">
        <button type="button" className="btn btn-ghost btn-lg" onClick={onClose}>
          Cancel
        </button>
        <button type="submit" className="btn btn-primary btn-lg">
          That is the room
        </button>
      </div>
    </form>
  );
}
