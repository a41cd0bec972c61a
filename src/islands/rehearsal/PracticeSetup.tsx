import { useState } from 'react';
import type { Dare } from '../../core/rehearsal/dares';
import { DARE_WORDS } from '../../words/en/rehearsal/rehearsalWords';
import { SpeedField } from './SpeedField';
import { type Setup, USUAL_SETUP, type Way } from './setup';

interface Props {
  dare: Dare;
  back: Way;
  onBegin(setup: Setup): void;
}

/** A mistake that is to be practised, with a plan that was made for it. */
export function PracticeSetup({ dare, back, onBegin }: Props) {
  const [speed, setSpeed] = useState(USUAL_SETUP.speed);
  const { name, shows, told } = DARE_WORDS[dare];
  return (
    <form
      className="plate m-auto flex w-full max-w-2xl flex-col gap-4 p-6"
      onSubmit={(event) => {
        event.preventDefault();
        onBegin({ ...USUAL_SETUP, dare, speed });
      }}
    >
      <h1 className="text-2xl font-semibold">{name}</h1>
      <p>{shows}</p>
      <p>
        You make a white layer on a clear one, as the bench asks for it, with a scale and a thermometer that
        are not there. At its moment you are told: “{told}” At the end you see what would have come of it.
        Nothing is taken from the shelf, and nothing comes into the Logbook.
      </p>
      <SpeedField speed={speed} onChange={setSpeed} />
      <div className="flex flex-wrap gap-3">
        <button type="submit" className="btn btn-primary btn-lg">
          Begin
        </button>
        <a className="btn btn-ghost btn-lg" href={back.href}>
          {back.label}
        </a>
      </div>
    </form>
  );
}
