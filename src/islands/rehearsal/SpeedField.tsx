import { SPEEDS, type Speed, USUAL_SETUP } from './setup';

interface Props {
  speed: Speed;
  onChange(speed: Speed): void;
}

/** How fast the clock of a rehearsal runs while hands only wait. */
export function SpeedField({ speed, onChange }: Props) {
  return (
    <label>
      <span className="block font-semibold">Waits pass</span>
      <select
        className="select min-h-11 w-44"
        value={speed}
        onChange={({ target }) =>
          onChange(SPEEDS.find((each) => each === Number(target.value)) ?? USUAL_SETUP.speed)
        }
      >
        {SPEEDS.map((each) => (
          <option key={each} value={each}>
            {each === 1 ? 'as they are' : `${each} times as fast`}
          </option>
        ))}
      </select>
    </label>
  );
}
