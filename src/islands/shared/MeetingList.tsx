import type { Choice, Choices, Met } from '../../formats/meeting';

interface Props {
  /** All of them; those that differ from what is here are asked for. */
  met: readonly Met[];
  choices: Choices;
  onChoose(choices: Choices): void;
}

const NAMES: Record<Choice, string> = {
  both: 'Keep both',
  here: 'Use the one here',
  file: 'Save the file’s over it',
};

/** Records of a file that are other here, side by side, each with what becomes of it. */
export function MeetingList({ met, choices, onChoose }: Props) {
  const others = met.filter(({ verdict }) => verdict === 'other');
  const count = (verdict: Met['verdict']) => met.filter((each) => each.verdict === verdict).length;
  return (
    <>
      <p className="quiet text-sm">
        {count('same')} the same here, {count('new')} new, {others.length} other.
      </p>
      <ul className="my-2 flex flex-col gap-3">
        {others.map(({ id, name, kind, here, changes }) => (
          <li key={`${kind} ${id}`} className="border-base-300 rounded-lg border p-3">
            <p className="font-semibold">
              {name}
              {here && here.name !== name && <span className="quiet font-normal"> · here “{here.name}”</span>}
            </p>
            <table className="table-sm table">
              <thead>
                <tr className="text-base-content">
                  <th scope="col">{kind === 'mold' ? 'Mold' : 'Material'}</th>
                  <th scope="col">Here</th>
                  <th scope="col">In the file</th>
                </tr>
              </thead>
              <tbody>
                {changes.map(({ label, was, is }) => (
                  <tr key={label}>
                    <th scope="row" className="font-normal">
                      {label}
                    </th>
                    <td>{was || <em className="quiet">nothing</em>}</td>
                    <td>{is || <em className="quiet">nothing</em>}</td>
                  </tr>
                ))}
              </tbody>
            </table>
            <fieldset className="mt-1 flex flex-wrap gap-x-5">
              <legend className="sr-only">What becomes of {name}</legend>
              {(Object.keys(NAMES) as Choice[]).map((choice) => (
                <label key={choice} className="flex min-h-11 cursor-pointer items-center gap-2">
                  <input
                    type="radio"
                    className="radio"
                    name={`meets-${kind}-${id}`}
                    checked={(choices[id] ?? 'both') === choice}
                    onChange={() => onChoose({ ...choices, [id]: choice })}
                  />
                  {NAMES[choice]}
                </label>
              ))}
            </fieldset>
          </li>
        ))}
      </ul>
    </>
  );
}
