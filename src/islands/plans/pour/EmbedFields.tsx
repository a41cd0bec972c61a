import { X } from 'lucide-react';
import type { Embed, EmbedSource } from '../../../core/plan/embed';
import { type PieceSize, parsePieceSize, writePieceSize } from '../../../core/plan/pieceSize';
import type { SheetEmbed } from '../../../core/plan/sheet';
import { fail, ok, type Result } from '../../../core/result';
import { parseFigure } from '../../../core/units/parseFigure';
import { showMass, showVolume } from '../../../core/units/showQuantity';
import { writeFigure } from '../../../core/units/writeQuantity';
import type { PartOfSheet } from '../../../core/work/rounds';
import { explainPieceSizeFault } from '../../../words/en/plan/sizeFaults';
import { explainFigureFault } from '../../../words/en/units/figureFault';
import { inclusionAmount } from '../../../words/en/work/inclusionAmount';
import { FigureField } from '../../shared/FigureField';
import { ParsedField } from '../../shared/ParsedField';
import { useShowing } from '../../shared/showing';
import { useNewRecord } from '../useNewRecord';

interface Source {
  name: string;
  kind: 'plan' | 'scrap' | 'piece';
  from: EmbedSource;
}

interface Props {
  embed: Embed;
  sources: readonly Source[];
  /** From the sheet; nothing while it has no size. */
  figures: SheetEmbed | undefined;
  /** All that is made. */
  of: PartOfSheet;
  onChange(embed: Embed, about: string): void;
  onRemove(): void;
}

const COUNT = { unit: '', least: 1, most: 500, whole: true };
const PARTS = { unit: '', least: 1, most: 100, whole: true };
const SHARE = { unit: '%', least: 1, most: 90 };
const HEIGHT = { unit: 'mm', least: 0.5, most: 500 };
const PLACE = { unit: 'mm', least: 0, most: 500 };
const GROUPS = { plan: 'Made ahead, by its plan', scrap: 'Scrap jar', piece: 'Bought' } as const;
const AS_IT_IS = { plan: 'as made', piece: 'as bought', scrap: '8 x 8 x 8 mm' } as const;

/** One thing that is set in: what, how many or how much, how big, and where it sits. */
export function EmbedFields({ embed, sources, figures, of, onChange, onRemove }: Props) {
  const showing = useShowing();
  const source = sources.find(({ from }) => keyOf(from) === keyOf(embed.from));
  const { newOption, newForm, choosing } = useNewRecord({
    what: 'scrap',
    onMade: (materialId) => onChange({ ...embed, from: { is: 'shelf', materialId } }, 'source'),
  });
  return (
    <fieldset className="border-base-300 grid grid-cols-2 gap-x-3 gap-y-1 rounded-lg border p-2 text-sm sm:grid-cols-4">
      <legend className="sr-only">{source?.name ?? 'Embed'}</legend>
      <label className="col-span-2 flex flex-col sm:col-span-3">
        <span className="quiet text-xs">{embed.as === 'filling' ? 'Filled with' : 'Set in'}</span>
        <select
          className="select select-sm w-full pointer-coarse:min-h-11"
          value={keyOf(embed.from)}
          onChange={({ target }) =>
            choosing((key) => {
              const next = sources.find(({ from }) => keyOf(from) === key);
              if (next) onChange({ ...embed, from: next.from }, 'source');
            })(target.value)
          }
        >
          {!source && <option value={keyOf(embed.from)}>No longer there</option>}
          {(Object.keys(GROUPS) as Source['kind'][]).map((kind) => (
            <optgroup key={kind} label={GROUPS[kind]}>
              {sources
                .filter((each) => each.kind === kind)
                .map(({ name, from }) => (
                  <option key={keyOf(from)} value={keyOf(from)}>
                    {name}
                  </option>
                ))}
            </optgroup>
          ))}
          {newOption}
        </select>
      </label>
      {newForm}
      <button
        type="button"
        className="btn btn-ghost btn-square min-h-11 min-w-11 justify-self-end"
        aria-label={`Take out ${source?.name ?? 'it'}`}
        onClick={onRemove}
      >
        <X size={18} />
      </button>
      {embed.as === 'filling' ? (
        <FigureField
          label="Share of the pour"
          rule={SHARE}
          value={embed.ofRoom * 100}
          onChange={(share) => onChange({ ...embed, ofRoom: share / 100 }, 'share')}
        />
      ) : (
        <>
          <FigureField
            label="In each cavity"
            rule={COUNT}
            value={embed.perPiece}
            onChange={(perPiece) => onChange({ ...embed, perPiece }, 'count')}
          />
          {source?.kind !== 'scrap' && (
            <FigureField
              label="Cut each into"
              rule={PARTS}
              value={embed.partsOfOne ?? 1}
              onChange={(parts) => onChange(inParts(embed, parts), 'parts')}
            />
          )}
          <ParsedField<PieceSize | null>
            label="Size of one"
            written={embed.size ? writePieceSize(embed.size) : ''}
            placeholder={AS_IT_IS[source?.kind ?? 'scrap']}
            read={readPieceSize}
            onChange={(size) => onChange({ ...embed, size }, 'size')}
          />
          <FigureField
            label="Above the pour’s floor"
            rule={PLACE}
            value={embed.liftMm}
            onChange={(liftMm) => onChange({ ...embed, liftMm }, 'lift')}
          />
          <FigureField
            label="Stands out of it by"
            rule={PLACE}
            value={embed.standsOutMm}
            onChange={(standsOutMm) => onChange({ ...embed, standsOutMm }, 'out')}
          />
          {needsHeight(embed) && (
            <ParsedField
              label="Height of one"
              written={embed.heightMm === null ? '' : `${writeFigure(embed.heightMm, 3)} mm`}
              placeholder={source?.kind === 'plan' ? 'as made' : 'not known'}
              read={readHeight}
              onChange={(heightMm) => onChange({ ...embed, heightMm }, 'height')}
            />
          )}
        </>
      )}
      {figures && (
        <p className="quiet col-span-2 self-end text-xs sm:col-span-3">
          {inclusionAmount(figures, of, showing)} in all
          {figures.perPiece !== null && figures.eachG !== null && (
            <>
              , {showMass(figures.eachG, showing)} each, {showMass(figures.massG, showing)}
              {figures.partsOfOne > 1 &&
                `, out of ${Math.ceil((figures.perPiece * Math.ceil(of.cavities)) / figures.partsOfOne)} whole ones`}
            </>
          )}
          ; takes {showVolume(figures.volumeMl / of.cavities, showing.locale)} of each cavity
        </p>
      )}
    </fieldset>
  );
}

/** A box or a ball says how high it is; of anything else it must be told, to stand out or to be drawn true. */
function needsHeight({ size }: Extract<Embed, { as: 'pieces' }>): boolean {
  return size?.by !== 'box' && size?.by !== 'ball';
}

/** Set in whole, or in so many parts of each. */
function inParts({ partsOfOne: _, ...embed }: Extract<Embed, { as: 'pieces' }>, parts: number): Embed {
  return parts > 1 ? { ...embed, partsOfOne: parts } : embed;
}

function readPieceSize(text: string): Result<PieceSize | null, string> {
  if (text.trim() === '') return ok(null);
  const read = parsePieceSize(text);
  return read.success ? read : fail(explainPieceSizeFault(read.error));
}

function readHeight(text: string): Result<number | null, string> {
  if (text.trim() === '') return ok(null);
  const read = parseFigure(text, HEIGHT);
  return read.success ? read : fail(explainFigureFault(read.error, HEIGHT));
}

function keyOf(from: EmbedSource): string {
  return from.is === 'plan' ? `plan ${from.planId}` : `shelf ${from.materialId}`;
}
