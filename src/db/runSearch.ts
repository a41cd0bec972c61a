import type Database from 'better-sqlite3';
import type { VersionResult } from '../core/knows/bestVersion';
import type { FaultsBy, FaultsOf, MeasuredRun } from '../core/knows/knows';
import type { FacetValue, RunSearch } from '../core/run/facets';
import type { Measure, MeasureKind } from '../core/run/measures';
import { folded } from './folded';
import { keptByKey } from './keptUntilWritten';

/** The index of finished runs: what is found by words, and sorted out by facets. */
export function runSearchTable(db: Database.Database) {
  const placeOf = db.prepare<[string], { place: number }>('SELECT place FROM run_search WHERE run_id = ?');
  const addPlace = db.prepare<[string, string]>(
    `INSERT INTO run_search (run_id, ended_at) SELECT id, coalesce(ended_at, started_at) FROM runs WHERE id = ? AND ended = ?`,
  );
  const clearWords = db.prepare<[number]>('DELETE FROM run_words WHERE rowid = ?');
  const clearFacets = db.prepare<[number]>('DELETE FROM run_facets WHERE place = ?');
  const addWords = db.prepare<[number, string]>('INSERT INTO run_words (rowid, words) VALUES (?, ?)');
  const addFacet = db.prepare<[string, string, number]>(
    'INSERT INTO run_facets (facet, value, place) VALUES (?, ?, ?) ON CONFLICT DO NOTHING',
  );
  const clearMeasures = db.prepare<[number]>('DELETE FROM run_measures WHERE place = ?');
  const addMeasure = db.prepare<[number, string, number, number]>(
    'INSERT INTO run_measures (place, kind, predicted, measured) VALUES (?, ?, ?, ?)',
  );
  const measured = db.prepare<[string, number], MeasuredRun>(
    `SELECT s.run_id AS runId, m.predicted, m.measured FROM run_measures m JOIN run_search s ON s.place = m.place
     WHERE m.kind = ? AND ${SHOWN} ORDER BY s.ended_at DESC LIMIT ?`,
  );
  const faultsBy = db.prepare<[string], FaultsOf>(
    `SELECT f.value AS name, count(DISTINCT f.place) AS runs, count(DISTINCT x.place) AS withFaults, count(x.place) AS faults
     FROM run_facets f JOIN run_search s ON s.place = f.place
     LEFT JOIN run_facets x ON x.place = f.place AND x.facet = 'fault'
     WHERE f.facet = ? AND ${SHOWN} GROUP BY f.value ORDER BY faults DESC, runs DESC, name`,
  );
  const faultsByMonth = db.prepare<[], FaultsOf>(
    `SELECT substr(s.ended_at, 1, 7) AS name, count(DISTINCT s.place) AS runs, count(DISTINCT x.place) AS withFaults,
       count(x.place) AS faults
     FROM run_search s LEFT JOIN run_facets x ON x.place = s.place AND x.facet = 'fault'
     WHERE ${SHOWN} GROUP BY 1 ORDER BY 1`,
  );
  const ofVersions = db.prepare<[string], VersionResult>(
    `SELECT r.plan_version AS version, count(*) AS runs, coalesce(sum(m.measured), 0) AS good,
       coalesce(sum(m.predicted), 0) AS planned,
       coalesce(sum((SELECT count(*) FROM run_facets f WHERE f.place = s.place AND f.facet = 'fault')), 0) AS faults
     FROM runs r JOIN run_search s ON s.run_id = r.id
     LEFT JOIN run_measures m ON m.place = s.place AND m.kind = 'good-pieces'
     WHERE r.plan_id = ? AND ${SHOWN} GROUP BY r.plan_version ORDER BY r.plan_version DESC`,
  );
  const missing = db.prepare<[number], { id: string }>(
    `SELECT id FROM runs WHERE ended = 'finished' AND NOT EXISTS (SELECT 1 FROM run_search s WHERE s.run_id = runs.id)
     ORDER BY ended_at DESC LIMIT ?`,
  );
  const counts = db.prepare<[], { finished: number; indexed: number }>(
    `SELECT (SELECT count(*) FROM runs WHERE ended = 'finished') AS finished, (SELECT count(*) FROM run_search) AS indexed`,
  );
  const found = new Map<string, Database.Statement<unknown[], { id: string }>>();
  const keptMissing = keptByKey<readonly string[]>(db, 2);
  const keptCounts = keptByKey<{ finished: number; indexed: number }>(db, 1);
  const keptFinds = keptByKey<readonly { id: string }[]>(db, MOST_FINDS);
  const keptFacets = keptByKey<readonly (FacetValue & { count: number })[]>(db, MOST_KEPT);
  const faceted = new Map<string, Database.Statement<unknown[], FacetValue & { count: number }>>();

  return {
    /** What a finished run is found by, instead of what was there. */
    put(
      runId: string,
      words: string,
      facets: readonly FacetValue[],
      measures: readonly Measure[] = [],
    ): void {
      if (!placeOf.get(runId)) addPlace.run(runId, 'finished');
      const place = placeOf.get(runId)?.place;
      if (place === undefined) throw new RangeError(`no finished run “${runId}”`);
      clearWords.run(place);
      clearFacets.run(place);
      addWords.run(place, folded(words));
      clearMeasures.run(place);
      for (const { kind, predicted, measured } of measures) addMeasure.run(place, kind, predicted, measured);
      for (const { facet, value } of facets) addFacet.run(facet, value, place);
    },
    /** What was measured of one kind, the last finished first. */
    measured: (kind: MeasureKind, limit: number): MeasuredRun[] => measured.all(kind, limit),
    /** What came of each version of a plan that was made, the newest first. */
    resultsOf: (planId: string): VersionResult[] => ofVersions.all(planId),
    /** Faults that were seen, by the plan, base or mold of their runs, or by month. */
    faultsBy: (by: FaultsBy): FaultsOf[] => (by === 'month' ? faultsByMonth.all() : faultsBy.all(by)),
    /** Ids of finished runs that are not in the index yet, the last finished first. */
    missing: (limit: number): readonly string[] =>
      keptMissing(String(limit), () => missing.all(limit).map(({ id }) => id)),
    counts: () => keptCounts('', () => counts.get() ?? { finished: 0, indexed: 0 }),
    /** Ids of the runs that are found, the last finished first, and how many there are. */
    find(asked: RunSearch, offset: number, limit: number): { ids: string[]; total: number } {
      const { where, parts } = conditions(asked);
      if (where === null) return { ids: [], total: 0 };
      const statement =
        found.get(where) ??
        db.prepare<unknown[], { id: string }>(
          `SELECT s.run_id AS id FROM run_search s WHERE ${where} ORDER BY s.ended_at DESC, s.run_id`,
        );
      found.set(where, statement);
      const ids = keptFinds(JSON.stringify([where, parts]), () => statement.all(...parts));
      return { ids: ids.slice(offset, offset + limit).map(({ id }) => id), total: ids.length };
    },
    /**
     * How many of the runs that are found have each value, the most first.
     *
     * @param total how many are found: of many, all values are gone through; of few, only theirs
     */
    facets(asked: RunSearch, total: number): readonly (FacetValue & { count: number })[] {
      const { where, parts } = conditions(asked, total > MANY ? '+s.place' : 's.place');
      if (where === null) return [];
      const statement =
        faceted.get(where) ??
        db.prepare<unknown[], FacetValue & { count: number }>(
          `SELECT s.facet, s.value, count(*) AS count FROM run_facets s
           WHERE ${where} GROUP BY s.facet, s.value ORDER BY count DESC, s.value`,
        );
      faceted.set(where, statement);
      return keptFacets(JSON.stringify([where, parts]), () => statement.all(...parts));
    },
  };
}

/** Of so many searches the values are kept: whoever turns the pages of one asks for them again. */
const MOST_KEPT = 20;
/** And what they find: each may find all runs. */
const MOST_FINDS = 5;

/** From so many on it is quicker to go through all of them. */
const MANY = 500;

/** Of a place; few runs are put away, and they are looked up once. */
const SHOWN = `s.place NOT IN (SELECT away.place FROM put_away p JOIN run_search away ON away.run_id = p.id WHERE p.kind = 'run')`;

/** null where nothing can be found. */
function conditions(
  { search, chosen }: RunSearch,
  place = 's.place',
): { where: string | null; parts: unknown[] } {
  const parts: unknown[] = [];
  const where = [SHOWN];
  if (search.trim() !== '') {
    const query = matchText(search);
    if (query === null) return { where: null, parts };
    where.push(`${place} IN (SELECT rowid FROM run_words WHERE run_words MATCH ?)`);
    parts.push(query);
  }
  for (const { facet, value } of chosen) {
    where.push(`${place} IN (SELECT place FROM run_facets WHERE facet = ? AND value = ?)`);
    parts.push(facet, value);
  }
  return { where: where.join(' AND '), parts };
}

/** Every word as a phrase of its letters and digits, the last of them as it begins: `261128-1b` is “261128 1b…”. */
export function matchText(search: string): string | null {
  const phrases = folded(search)
    .split(/\s+/)
    .map((word) => word.match(/[\p{L}\p{N}]+/gu)?.join(' '))
    .filter((phrase) => phrase !== undefined);
  return phrases.length === 0 ? null : phrases.map((phrase) => `"${phrase}"*`).join(' ');
}
