import type { Material } from '../core/materials/material';
import type { Run } from '../core/run/run';
import type { Workshop } from './openWorkshop';

/** So many of a kind go to a page. */
const MOST = 40;

/** What of the shelf may be taken into a run's plan instead or besides: bases that look like its own, what wets, what wraps. */
export function shelfForChanges({ materials }: Workshop, run: Run): Material[] {
  const looks = new Set(run.snapshot.sheet.pours.map(({ base }) => base.look));
  const items = materials.all().flatMap(({ item }) => (item.archived ? [] : [item]));
  return [
    ...items.filter((item) => item.kind === 'base' && looks.has(item.look)).slice(0, MOST),
    ...items.filter(({ kind }) => kind === 'dispersant').slice(0, MOST),
    ...items.filter(({ kind }) => kind === 'packaging').slice(0, MOST),
  ];
}
