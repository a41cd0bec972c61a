import { READING_TIMES, type ReadingTime } from '../../../formats/readings';
import type { LessonTexts, Way } from './lesson';

interface Props {
  way: Way;
  texts: LessonTexts;
  unit: '°C' | '°F';
  /** Letters of the layer that is touched. */
  letters: string;
  onChange(change: Partial<LessonTexts>): void;
  onProblem(problem: string): void;
}

const TIME_WORDS: Record<ReadingTime, string> = {
  minutes: 'minutes: 2.5 or 2:30',
  seconds: 'seconds',
  clock: 'a clock: 14:05',
};
const LARGEST_FILE = 1_000_000;

/** What is read or touched, as text. */
export function LessonFields({ way, texts, unit, letters, onChange, onProblem }: Props) {
  if (way === 'touch')
    return (
      <label className="flex w-56 flex-col text-xs">
        <span className="quiet">{letters} carried after, min:s</span>
        <input
          className="input input-sm pointer-coarse:min-h-11"
          placeholder="6:40"
          value={texts.text}
          onChange={({ target }) => onChange({ text: target.value })}
        />
      </label>
    );

  async function take(file: File | undefined) {
    if (!file) return;
    if (file.size > LARGEST_FILE) onProblem('The file is over 1 MB. Readings are a few lines.');
    else onChange({ text: await file.text() });
  }

  return (
    <div className="grid gap-2 sm:grid-cols-[1fr_11rem]">
      <label className="flex flex-col text-xs">
        <span className="quiet">Readings, one a line: time, then {unit}</span>
        <textarea
          className="textarea h-32 w-full font-mono text-sm"
          placeholder={unit === '°F' ? '0:00 158\n1:00 156\n2:00 154' : '0:00 70\n1:00 69.1\n2:00 68.2'}
          value={texts.text}
          onChange={({ target }) => onChange({ text: target.value })}
        />
        <input
          type="file"
          accept=".csv,.txt,text/csv,text/plain"
          aria-label="Readings from a CSV file"
          className="file-input file-input-sm mt-1 w-full pointer-coarse:min-h-11"
          onChange={async ({ target }) => {
            await take(target.files?.[0]);
            target.value = '';
          }}
        />
      </label>
      <div className="flex flex-col gap-2">
        <label className="flex flex-col text-xs">
          <span className="quiet">Time is in</span>
          <select
            className="select select-sm pointer-coarse:min-h-11"
            value={texts.time}
            onChange={({ target }) => onChange({ time: target.value as ReadingTime })}
          >
            {READING_TIMES.map((each) => (
              <option key={each} value={each}>
                {TIME_WORDS[each]}
              </option>
            ))}
          </select>
        </label>
        <Text label={`Room, ${unit}`} value={texts.room} onChange={(room) => onChange({ room })} />
        {way === 'jug' && (
          <Text label="In the jug, g" value={texts.content} onChange={(content) => onChange({ content })} />
        )}
      </div>
    </div>
  );
}

function Text({ label, value, onChange }: { label: string; value: string; onChange(value: string): void }) {
  return (
    <label className="flex flex-col text-xs">
      <span className="quiet">{label}</span>
      <input
        className="input input-sm pointer-coarse:min-h-11"
        inputMode="decimal"
        value={value}
        onChange={({ target }) => onChange(target.value)}
      />
    </label>
  );
}
