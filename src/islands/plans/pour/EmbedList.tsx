import { useEffect } from 'react';
import type { Embed, EmbedSource } from '../../../core/plan/embed';
import { freshId } from '../../../core/plan/freshId';
import { wholeSheet } from '../../../core/work/rounds';
import { usePlanPage } from '../planContext';
import { withPour } from '../planEdits';
import { useNewRecord } from '../useNewRecord';
import { EmbedFields } from './EmbedFields';
import type { PourPanelProps } from './pourPanel';

const MOST_EMBEDS = 20;
const ONE = { ofAll: 1, cavities: 1 };

/** What is set into a pour, and more of it. */
export function EmbedList({ file, pourIndex, sheet, letter }: PourPanelProps & { letter: string }) {
  const { editShown, seekMade } = usePlanPage();
  useEffect(seekMade, [seekMade]);
  const { plan, materials, made = [] } = file;
  const embeds = plan.pours[pourIndex]?.embeds ?? [];
  const sources = [
    ...made.map(({ planId, name }) => ({
      name,
      kind: 'plan' as const,
      from: { is: 'plan' as const, planId },
    })),
    ...materials.flatMap(({ id, name, kind, archived }) =>
      (kind === 'scrap' || kind === 'piece') && !archived
        ? [{ name, kind, from: { is: 'shelf' as const, materialId: id } }]
        : [],
    ),
  ];
  const change = (next: readonly Embed[], about: string) =>
    editShown(
      withPour(plan, pourIndex, ({ embeds: _, ...rest }) =>
        next.length === 0 ? rest : { ...rest, embeds: [...next] },
      ),
      about,
    );
  const { newForm, make } = useNewRecord({
    what: 'scrap',
    onMade: (materialId) => addFrom('pieces', { is: 'shelf', materialId }),
  });
  function add(as: Embed['as']) {
    const source =
      as === 'filling' ? (sources.find(({ kind }) => kind === 'scrap') ?? sources[0]) : sources[0];
    if (source) addFrom(as, source.from);
  }
  function addFrom(as: Embed['as'], from: EmbedSource) {
    const id = freshId(plan.pours, 'embed');
    const embed: Embed =
      as === 'filling'
        ? { id, as, from, ofRoom: 0.3 }
        : { id, as, from, perPiece: 1, size: null, heightMm: null, liftMm: 0, standsOutMm: 0 };
    change([...embeds, embed], `embed ${Date.now()}`);
  }
  return (
    <section aria-label={`Set into ${letter}`} className="flex flex-col gap-2">
      {embeds.map((embed, index) => (
        <EmbedFields
          key={embed.id}
          embed={embed}
          sources={sources}
          figures={sheet?.pours[pourIndex]?.embeds.find(({ embedIndex }) => embedIndex === index)}
          of={sheet ? wholeSheet(sheet) : ONE}
          onChange={(next, about) =>
            change(
              embeds.map((each, place) => (place === index ? next : each)),
              `${about} of embed ${index} of ${pourIndex}`,
            )
          }
          onRemove={() =>
            change(
              embeds.filter((_, place) => place !== index),
              `remove embed ${Date.now()}`,
            )
          }
        />
      ))}
      {sources.length === 0 ? (
        <div>
          <button type="button" className="btn btn-sm btn-secondary min-h-11" onClick={make}>
            Set in new scrap …
          </button>
          <p className="quiet mt-1 text-xs">
            Pieces of another plan are made there first; bought ones are put on the{' '}
            <a className="link" href="/shelf">
              Shelf
            </a>
            .
          </p>
          {newForm}
        </div>
      ) : (
        <span className="flex gap-2">
          <button
            type="button"
            className="btn btn-sm btn-secondary min-h-11"
            disabled={embeds.length >= MOST_EMBEDS}
            onClick={() => add('pieces')}
          >
            Set pieces in
          </button>
          <button
            type="button"
            className="btn btn-sm btn-secondary min-h-11"
            disabled={embeds.length >= MOST_EMBEDS}
            onClick={() => add('filling')}
          >
            Fill with cubes or gratings
          </button>
        </span>
      )}
    </section>
  );
}
