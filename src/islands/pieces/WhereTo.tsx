import { type AsideSaid, WASTE_REASONS, type WasteReason } from '../../core/pieces/aside';
import { WASTE_NAMES } from '../../words/en/pieces/piecesWords';
import { Choices } from '../bench/Choices';

type Where = AsideSaid['to']['is'];

/** Where something goes, as it is typed. */
export interface WhereDraft {
  where: Where;
  jar: string;
  place: string;
  reason: WasteReason;
}

export const NOWHERE_YET: WhereDraft = { where: 'jar', jar: '', place: '', reason: 'dropped' };

const WHERES: readonly (readonly [Where, string])[] = [
  ['jar', 'A scrap jar'],
  ['pieces', 'Kept to be set in'],
  ['sample', 'A sample'],
  ['waste', 'Thrown away'],
];
export const LONGEST_JAR_NAME = 80;

/** @param usualJar where nothing is typed */
export function whereOf({ where, jar, place, reason }: WhereDraft, usualJar: string): AsideSaid['to'] {
  switch (where) {
    case 'jar':
      return { is: 'jar', name: jar.trim() || usualJar };
    case 'pieces':
      return { is: 'pieces' };
    case 'sample':
      return { is: 'sample', place: place.trim() };
    case 'waste':
      return { is: 'waste', reason };
  }
}

/** What is wrong with it; null where it can be kept. */
export function whereFault({ where, jar, place }: WhereDraft, isPieces: boolean): string | null {
  if (where === 'pieces' && !isPieces) return 'Only pieces are kept to be set in.';
  if (where === 'jar' && jar.includes(';')) return 'A name has no semicolon.';
  return where === 'sample' && place.trim() === '' ? 'Write where it is kept.' : null;
}

interface Props {
  draft: WhereDraft;
  usualJar: string;
  /** Names of the scrap jars there are. */
  jars: readonly string[];
  fault: string | null;
  onChange(draft: WhereDraft): void;
}

/** A jar, pieces that are kept, a sample, or the bin. */
export function WhereTo({ draft, usualJar, jars, fault, onChange }: Props) {
  const { where, jar, place, reason } = draft;
  const name = jar.trim() || usualJar;
  const says =
    fault ??
    (jars.includes(name) ? 'It is on the shelf: what it holds is worked out anew.' : `A new jar: “${name}”.`);
  return (
    <>
      <Choices<Where>
        legend="Where to"
        name="aside-to"
        options={WHERES}
        value={where}
        onChange={(next) => onChange({ ...draft, where: next })}
      />
      {where === 'jar' && (
        <div>
          <label htmlFor="aside-jar" className="text-lg font-semibold">
            Jar
          </label>
          <input
            id="aside-jar"
            className={`input block h-14 w-full max-w-md text-xl ${fault ? 'input-error' : ''}`}
            list="jars"
            maxLength={LONGEST_JAR_NAME}
            placeholder={usualJar}
            value={jar}
            aria-describedby="aside-jar-says"
            onChange={({ target }) => onChange({ ...draft, jar: target.value })}
          />
          <datalist id="jars">
            {jars.map((each) => (
              <option key={each} value={each} />
            ))}
          </datalist>
          <span id="aside-jar-says" className={fault ? 'text-error' : 'quiet'}>
            {says}
          </span>
        </div>
      )}
      {where === 'pieces' && fault && <p className="text-error">{fault}</p>}
      {where === 'sample' && (
        <div>
          <label htmlFor="aside-place" className="text-lg font-semibold">
            Kept where
          </label>
          <input
            id="aside-place"
            className="input block h-14 w-full max-w-md text-xl"
            maxLength={200}
            value={place}
            aria-describedby="aside-place-says"
            onChange={({ target }) => onChange({ ...draft, place: target.value })}
          />
          <span id="aside-place-says" className="quiet">
            {fault ?? 'It stands in its batch with today’s date.'}
          </span>
        </div>
      )}
      {where === 'waste' && (
        <Choices<WasteReason>
          legend="Why it must not be melted again"
          name="aside-reason"
          options={WASTE_REASONS.map((each) => [each, WASTE_NAMES[each]])}
          value={reason}
          onChange={(next) => onChange({ ...draft, reason: next })}
        />
      )}
    </>
  );
}
