import { pourLetter } from '../../core/plan/plan';

interface Props {
  name: string;
  pourIndex: number;
  counts: 'added' | 'content';
  onChange(counts: 'added' | 'content'): void;
}

/** What a dose says of a jug that later pours go on in: what is put in, or what it holds then. */
export function CountsField({ name, pourIndex, counts, onChange }: Props) {
  const letter = pourLetter(pourIndex);
  return (
    <label className="mt-2 flex flex-col">
      <span className="quiet text-xs">It says</span>
      <select
        className="select select-sm pointer-coarse:min-h-11 w-72 max-w-full"
        aria-label={`What the dose of ${name} says`}
        value={counts}
        onChange={({ target }) => onChange(target.value === 'content' ? 'content' : 'added')}
      >
        <option value="added">what is added to the jug before {letter}</option>
        <option value="content">what {letter} holds, with what is in the jug already</option>
      </select>
    </label>
  );
}
