import { useState } from 'react';
import type { Reading, Taught } from '../../core/heat/taught';
import { parseFigure } from '../../core/units/parseFigure';
import { showNumber, showPercent } from '../../core/units/showQuantity';
import { READING_TIMES, type ReadingTime, readLengthS, readReadings } from '../../formats/readings';
import { teachFaultWords } from '../../words/en/heat/teachWords';
import { explainFigureFault } from '../../words/en/units/figureFault';
import { TaughtCurve } from '../shared/TaughtCurve';
import { TaughtList } from '../shared/TaughtList';
import { today } from '../shared/today';
import type { DetailsProps } from './detailsProps';
import { changeTaught, type Pupil, useTeacher } from './useTeacher';

type Props = Pick<
  DetailsProps,
  'file' | 'sheet' | 'pourPlan' | 'pourIndex' | 'rules' | 'showing' | 'onTaught'
>;

const WAYS = {
  jug: 'the jug, by a thermometer in it',
  mold: 'the mold, by a thermometer in its first pour',
  touch: 'the mold, by touch',
} as const;
type Way = keyof typeof WAYS;
const TIME_WORDS: Record<ReadingTime, string> = {
  minutes: 'minutes: 2.5 or 2:30',
  seconds: 'seconds',
  clock: 'a clock: 14:05',
};
const MOST_KEPT = 20;

/** Teaches a jug or a mold how readily it loses heat: one figure, from readings or from a touch. */
export function Teach(props: Props) {
  const { file, sheet, pourPlan, pourIndex, rules, showing, onTaught } = props;
  const [way, setWay] = useState<Way>('jug');
  const [text, setText] = useState('');
  const [time, setTime] = useState<ReadingTime>('minutes');
  const [room, setRoom] = useState('');
  const place = pourPlan.layers.findIndex(({ pourIndexes }) => pourIndexes.includes(pourIndex));
  const jugOfPour = pourPlan.layers[place]?.jugs.find((each) => each.pourIndex === pourIndex);
  const [content, setContent] = useState(jugOfPour ? String(Math.round(jugOfPour.contentG)) : '');
  const [problem, setProblem] = useState<string | null>(null);
  const [read, setRead] = useState<{ readings: Reading[]; roomC: number; contentG: number } | null>(null);
  const [carriedS, setCarriedS] = useState(0);
  const { fit, busy, failed, result, forget } = useTeacher(sheet, rules);
  const [saving, setSaving] = useState(false);

  const jug = rules.jugs.find(({ name }) => name === jugOfPour?.name);
  const pupil: Pupil | null =
    way === 'jug' ? (jug ? { is: 'jug', name: jug.name } : null) : { is: 'mold', id: file.mold.id };
  const taught = way === 'jug' ? (jug?.taught ?? []) : file.mold.taught;
  const unit = showing.system === 'us' ? '°F' : '°C';
  const base = sheet.pours[pourIndex]?.base.name ?? '';

  function start() {
    forget();
    setProblem(null);
    if (way === 'touch') {
      const seconds = readLengthS(text);
      if (seconds === null || !(seconds >= 10 && seconds <= 86_400))
        return setProblem('Carried after: write how long after pouring, such as 6:40.');
      setCarriedS(seconds);
      const waits = pourPlan.layers.slice(1).map(({ afterS }) => afterS);
      return fit({ of: 'touch', layerIndex: place, waits, carriedS: seconds });
    }
    const readings = readReadings(text, time, unit);
    if (!readings.success)
      return setProblem(`Readings, line ${readings.error.line}: ${readings.error.reason}`);
    if (room.trim() === '')
      return setProblem(
        'Room: its temperature is missing. Without it nothing can be learnt; read the thermometer on the wall.',
      );
    const rule = { unit, least: unit === '°F' ? 32 : 0, most: unit === '°F' ? 120 : 50 };
    const roomRead = parseFigure(room, rule);
    if (!roomRead.success) return setProblem(`Room: ${explainFigureFault(roomRead.error, rule)}`);
    const roomC = unit === '°F' ? (roomRead.data - 32) / 1.8 : roomRead.data;
    if (way === 'mold') {
      setRead({ readings: readings.data, roomC, contentG: 0 });
      return fit({ of: 'mold', readings: readings.data, roomC });
    }
    const contentRule = { unit: 'g', least: 5, most: 50_000 };
    const contentRead = parseFigure(content, contentRule);
    if (!contentRead.success)
      return setProblem(`In the jug: ${explainFigureFault(contentRead.error, contentRule)}`);
    if (!jug) return;
    setRead({ readings: readings.data, roomC, contentG: contentRead.data });
    fit({
      of: 'jug',
      holdsMl: jug.holdsMl,
      contentG: contentRead.data,
      pourIndex,
      readings: readings.data,
      roomC,
    });
  }

  async function changeIt(how: (list: Taught[]) => Taught[]) {
    if (!pupil || saving) return false;
    setSaving(true);
    setProblem(null);
    const answer = await changeTaught(pupil, how);
    setSaving(false);
    if (!answer.success) {
      setProblem(answer.error);
      return false;
    }
    onTaught(answer.data);
    return true;
  }

  async function keep() {
    if (!result?.success) return;
    const { scale, spread } = result.data;
    const from: Taught['from'] =
      way === 'touch'
        ? { is: 'touch', carriedS, planName: file.plan.name }
        : {
            is: 'readings',
            readings: read?.readings ?? [],
            roomC: read?.roomC ?? 21,
            contentG: way === 'jug' ? (read?.contentG ?? null) : null,
            baseName: base,
            curve: result.data.curve ?? [],
          };
    const isKept = await changeIt((list) =>
      [...list, { on: today(), scale, spread, from }].slice(-MOST_KEPT),
    );
    if (!isKept) return;
    forget();
    setText('');
  }

  return (
    <div className="flex flex-col gap-2 text-sm">
      <label className="flex flex-col text-xs">
        <span className="quiet">Teach</span>
        <select
          className="select select-sm max-w-sm pointer-coarse:min-h-11"
          value={way}
          onChange={({ target }) => {
            setWay(target.value as Way);
            forget();
            setProblem(null);
          }}
        >
          {Object.entries(WAYS).map(([key, words]) => (
            <option key={key} value={key}>
              {words}
            </option>
          ))}
        </select>
      </label>
      {way === 'jug' && !jug ? (
        <p>
          {jugOfPour
            ? 'No jugs are entered in the house rules yet. Add them, and each can be taught.'
            : 'This pour goes on in the jug of the pour before. Choose that one.'}{' '}
          <a className="link" href="/house-rules">
            House rules
          </a>
        </p>
      ) : (
        <>
          <TaughtList
            key={JSON.stringify(pupil)}
            whose={way === 'jug' ? (jug?.name ?? '') : file.mold.name}
            taught={taught}
            showing={showing}
            onTakeOut={(one) => changeIt((list) => list.filter((each) => !isSame(each, one)))}
            onPutBack={(one, at) => changeIt((list) => list.toSpliced(at, 0, one))}
          />
          {way === 'touch' ? (
            <label className="flex w-56 flex-col text-xs">
              <span className="quiet">{pourPlan.layers[place]?.letters} carried after, min:s</span>
              <input
                className="input input-sm pointer-coarse:min-h-11"
                placeholder="6:40"
                value={text}
                onChange={({ target }) => setText(target.value)}
              />
            </label>
          ) : (
            <div className="grid gap-2 sm:grid-cols-[1fr_11rem]">
              <label className="flex flex-col text-xs">
                <span className="quiet">Readings, one a line: time, then {unit}</span>
                <textarea
                  className="textarea h-32 w-full font-mono text-sm"
                  placeholder={
                    unit === '°F' ? '0:00 158\n1:00 156\n2:00 154' : '0:00 70\n1:00 69.1\n2:00 68.2'
                  }
                  value={text}
                  onChange={({ target }) => setText(target.value)}
                />
                <input
                  type="file"
                  accept=".csv,.txt,text/csv,text/plain"
                  aria-label="Readings from a CSV file"
                  className="file-input file-input-sm mt-1 w-full pointer-coarse:min-h-11"
                  onChange={async ({ target }) => {
                    const file = target.files?.[0];
                    if (file && file.size > 1_000_000)
                      setProblem('The file is over 1 MB. Readings are a few lines.');
                    else if (file) setText(await file.text());
                    target.value = '';
                  }}
                />
              </label>
              <div className="flex flex-col gap-2">
                <label className="flex flex-col text-xs">
                  <span className="quiet">Time is in</span>
                  <select
                    className="select select-sm pointer-coarse:min-h-11"
                    value={time}
                    onChange={({ target }) => setTime(target.value as ReadingTime)}
                  >
                    {READING_TIMES.map((each) => (
                      <option key={each} value={each}>
                        {TIME_WORDS[each]}
                      </option>
                    ))}
                  </select>
                </label>
                <Text label={`Room, ${unit}`} value={room} onChange={setRoom} />
                {way === 'jug' && <Text label="In the jug, g" value={content} onChange={setContent} />}
              </div>
            </div>
          )}
          <button
            type="button"
            className="btn btn-primary btn-sm self-start pointer-coarse:min-h-11"
            disabled={busy}
            onClick={start}
          >
            {busy ? 'Fitting …' : 'See what it says'}
          </button>
        </>
      )}
      {problem && (
        <p role="alert" className="text-error">
          {problem}
        </p>
      )}
      {failed && (
        <p role="alert" className="text-error">
          The readings could not be fitted. They are still here: press the button again.
        </p>
      )}
      {result && !result.success && (
        <p role="alert" className="text-error">
          {teachFaultWords(result.error, showing)}
        </p>
      )}
      {result?.success && (
        <div role="status">
          <p>
            It loses heat <strong>{showNumber(result.data.scale, 2, showing.locale)} times</strong> as fast as
            the model has it, ± {showPercent(result.data.spread, showing.locale, 0)}
            {result.data.offK !== undefined &&
              `; the readings lie ${showNumber(result.data.offK, 1, showing.locale)} K off the curve`}
            .
          </p>
          {read && result.data.curve && (
            <TaughtCurve readings={read.readings} curve={result.data.curve} showing={showing} />
          )}
          <button
            type="button"
            className="btn btn-primary btn-sm mt-1 pointer-coarse:min-h-11"
            disabled={saving}
            onClick={keep}
          >
            Keep it for {way === 'jug' ? jug?.name : file.mold.name}
          </button>
        </div>
      )}
    </div>
  );
}

function isSame(one: Taught, other: Taught): boolean {
  return JSON.stringify(one) === JSON.stringify(other);
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
