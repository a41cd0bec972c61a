import { Delete } from 'lucide-react';

const KEYS = ['7', '8', '9', '4', '5', '6', '1', '2', '3', '.', '0'] as const;

/** Big keys for wet gloves, where the tablet's own keyboard is too small. */
export function Keypad({ onKey }: { onKey(key: string): void }) {
  const look = 'btn btn-secondary h-full min-h-16 text-3xl';
  return (
    <fieldset className="grid grid-cols-3 grid-rows-4 gap-2" aria-label="Keypad">
      {KEYS.map((key) => (
        <button key={key} type="button" className={look} onClick={() => onKey(key)}>
          {key}
        </button>
      ))}
      <button
        type="button"
        className={look}
        aria-label="Take the last figure back"
        onClick={() => onKey('back')}
      >
        <Delete size={30} aria-hidden="true" />
      </button>
    </fieldset>
  );
}
