import type { FacetValue } from '../../core/run/facets';
import { progress } from '../../core/run/progress';
import type { Run } from '../../core/run/run';
import { usedMaterials } from '../../core/run/usedMaterials';
import { FAULT_NAMES } from '../../words/en/inspection/faultNames';
import { asideWords } from '../../words/en/pieces/piecesWords';
import { VERDICT_NAMES } from '../../words/en/run/verdictNames';
import type { Workshop } from '../openWorkshop';

const MONTH = new Intl.DateTimeFormat('en', { month: 'long', year: 'numeric', timeZone: 'UTC' });

/** What a finished run is found by, and sorted out by: all that was written of it, and all that went into it. */
export function runSearchText(
  { lots }: Pick<Workshop, 'lots'>,
  run: Run,
): { words: string; facets: FacetValue[] } {
  const so = progress(run);
  const { sheet } = run.snapshot;
  const { ended } = so;
  const day = run.startedAt.slice(0, 10);
  const faults = [...new Set(so.inspections.flatMap((each) => each.faults.map(({ fault }) => fault)))];
  const bases = [...new Set(sheet.pours.map(({ base }) => base.name))];
  const makers = [...new Set(run.events.flatMap(({ source }) => source.makerId ?? []))];
  const lotNumbers = new Set(lots.entriesOfRun(run.id).map(({ lotId }) => lotId));
  const verdict = ended?.kind === 'finished' ? VERDICT_NAMES[ended.verdict] : '';
  const letters = sheet.pours.map(({ letter }) => letter);
  const words = [
    ...[sheet.planName, run.code ?? '', day, MONTH.format(new Date(run.startedAt)), verdict],
    ...[sheet.mold.name, sheet.secondMold?.name ?? '', sheet.note, ended?.note ?? ''],
    ...sheet.pours.map(({ note }) => note),
    ...usedMaterials(run).map(({ name }) => name),
    ...sheet.pours.flatMap(({ embeds }) => embeds.map(({ name }) => name)),
    ...[...lotNumbers].map((id) => numberOf(lots, id)),
    ...so.tasks.map(({ note }) => note),
    ...faults.map((fault) => FAULT_NAMES[fault]),
    ...so.inspections.map(({ note }) => note),
    ...so.asides.map((aside) => asideWords(aside, letters, { system: 'metric', locale: 'en' })),
    ...so.complaints.flatMap((each) => [each.words, each.from, each.done]),
    ...so.remarks.map(({ note }) => note),
    ...makers,
  ];
  const facet = (name: FacetValue['facet'], values: readonly string[]) =>
    values.filter((value) => value !== '').map((value) => ({ facet: name, value }));
  return {
    words: words.filter((each) => each !== '').join('\n'),
    facets: [
      ...facet('plan', [sheet.planName]),
      ...facet('verdict', [verdict]),
      ...facet(
        'fault',
        faults.map((fault) => FAULT_NAMES[fault]),
      ),
      ...facet('base', bases),
      ...facet('mold', [sheet.mold.name]),
      ...facet('year', [run.startedAt.slice(0, 4)]),
      ...facet('maker', makers),
    ],
  };
}

/** A lot that can't be read has no number here. */
function numberOf(lots: Workshop['lots'], id: string): string {
  try {
    return lots.find(id)?.item.number ?? '';
  } catch {
    return '';
  }
}
