import type Database from 'better-sqlite3';
import { withIds } from '../core/plan/ids';
import type { Plan } from '../core/plan/plan';
import { planSchema } from '../core/plan/planSchema';
import type { StoredPlan } from '../core/plan/storedPlan';
import { ok, type Result } from '../core/result';
import { draftFrom1, type Plan1 } from '../formats/planFile1';
import { folded } from './folded';
import { keptByKey } from './keptUntilWritten';
import { isShown } from './putAway';
import {
  type BrokenRecord,
  broken,
  itemOf,
  MOST_CHARACTERS,
  type Page,
  pageOf,
  type RecordReader,
  readable,
  recordReader,
} from './readRecord';
import type { KeptText } from './recordVersions';

interface Row {
  id: string;
  version: number;
  latest_version: number;
  revision: number;
  changed_at: string;
  used: 0 | 1;
  record: string;
  shape: number;
}

/** Readers by the bars of a plan's mold, which decide what its pieces were in shape 1. */
const READERS = new Map<number, RecordReader<Plan>>();

function readerFor(bars: number): RecordReader<Plan> {
  const known = READERS.get(bars);
  if (known) return known;
  const upcasters = [(record: unknown) => withIds(draftFrom1(record as Plan1, bars))];
  const reader = recordReader(planSchema, upcasters, MOST_CHARACTERS, true);
  READERS.set(bars, reader);
  return reader;
}

const SHAPE = 2;

const SELECT = /* sql */ `
  SELECT plans.id, v.version, plans.latest_version, plans.revision, v.changed_at, v.record, v.shape,
    EXISTS (SELECT 1 FROM runs WHERE runs.plan_id = plans.id AND runs.plan_version = v.version) AS used
  FROM plans JOIN plan_versions v ON v.plan_id = plans.id`;

const LATEST = 'v.version = plans.latest_version';

/** Several times an ordinary plan. */
const LONG_BYTES = 20_000;

/** Of so many lists what was read is kept until something is written. */
const MOST_PAGES = 10;

type Asked = { named: string; limit: number; offset: number };

function statementsOf(db: Database.Database) {
  const SHOWN = isShown('plan', 'plans.id');
  const NOT_DELETED =
    "NOT EXISTS (SELECT 1 FROM put_away p WHERE p.kind = 'plan' AND p.id = plans.id AND p.state = 'deleted')";
  // A record that can't be read has no name, and is found while no name is asked for.
  const NAMED = `${LATEST} AND instr(folded(iif(json_valid(v.record), v.record ->> 'name', '')), @named) > 0`;
  const ORDER = 'ORDER BY plans.changed_at DESC, plans.id LIMIT @limit OFFSET @offset';
  const latest = db.prepare<[Asked], Row>(`${SELECT} WHERE ${LATEST} AND ${SHOWN} ${ORDER}`);
  const latestNamed = db.prepare<[Asked], Row>(`${SELECT} WHERE ${NAMED} AND ${SHOWN} ${ORDER}`);
  const long = db.prepare<[Asked & { long: number }], { id: string }>(
    `SELECT id FROM (
       SELECT plans.id, octet_length(v.record) AS bytes FROM plans JOIN plan_versions v ON v.plan_id = plans.id
       WHERE ${LATEST} AND (@named = '' OR ${NAMED}) AND ${SHOWN} ${ORDER})
     WHERE bytes > @long`,
  );
  const known = db.prepare<[], Row>(
    `${SELECT} WHERE ${LATEST} AND ${NOT_DELETED} ORDER BY plans.changed_at DESC, plans.id`,
  );
  const newest = db.prepare<[string], Row>(`${SELECT} WHERE ${LATEST} AND plans.id = ?`);
  const count = db.prepare<[], { total: number }>(
    "SELECT (SELECT count(*) FROM plans) - (SELECT count(*) FROM put_away WHERE kind = 'plan') AS total",
  );
  const countNamed = db.prepare<[{ named: string }], { total: number }>(
    `SELECT count(*) AS total FROM plans JOIN plan_versions v ON v.plan_id = plans.id WHERE ${NAMED} AND ${SHOWN}`,
  );
  const versionsOf = db.prepare<[string], Row>(
    `${SELECT} WHERE plans.id = ? AND ${NOT_DELETED} ORDER BY v.version DESC`,
  );
  const oneVersion = db.prepare<{ id: string; version: number | null }, Row>(
    `${SELECT} WHERE plans.id = @id AND v.version = coalesce(@version, plans.latest_version) AND ${NOT_DELETED}`,
  );
  const insertPlan = db.prepare<[string, string]>(
    'INSERT INTO plans (id, revision, latest_version, changed_at) VALUES (?, 1, 1, ?)',
  );
  const insertVersion = db.prepare<[string, number, string, number, string]>(
    'INSERT INTO plan_versions (plan_id, version, record, shape, changed_at) VALUES (?, ?, ?, ?, ?)',
  );
  const updateVersion = db.prepare<[string, number, string, string, number]>(
    'UPDATE plan_versions SET record = ?, shape = ?, changed_at = ? WHERE plan_id = ? AND version = ?',
  );
  const updatePlan = db.prepare<[number, string, string, number]>(
    'UPDATE plans SET latest_version = ?, changed_at = ?, revision = revision + 1 WHERE id = ? AND revision = ?',
  );
  const idsWhere = (which: string) =>
    db.prepare<[], string>(`SELECT id FROM plans WHERE ${which} ORDER BY changed_at DESC, id`).pluck();
  const ids = { known: idsWhere(NOT_DELETED), shown: idsWhere(SHOWN) };
  const latestThatName = db.prepare<[string], Row>(
    `${SELECT} JOIN plan_names n ON n.plan_id = plans.id AND n.version = v.version
     WHERE n.kind = 'plan' AND n.named_id = ? AND ${LATEST} AND ${NOT_DELETED} ORDER BY plans.changed_at DESC, plans.id`,
  );
  const nameOf = db
    .prepare<[string], unknown>(
      `SELECT iif(json_valid(v.record), v.record ->> 'name', NULL) FROM plans JOIN plan_versions v ON v.plan_id = plans.id
       WHERE ${LATEST} AND plans.id = ?`,
    )
    .pluck();
  const materialsNamed = db
    .prepare<[], string>("SELECT DISTINCT named_id FROM plan_names WHERE kind = 'material'")
    .pluck();
  return {
    latest,
    latestNamed,
    long,
    known,
    newest,
    count,
    countNamed,
    versionsOf,
    oneVersion,
    insertPlan,
    insertVersion,
    updateVersion,
    updatePlan,
    ids,
    latestThatName,
    nameOf,
    materialsNamed,
  };
}

/** @param barsOf how many bars a cavity of a mold gives; one where the mold is not known or not sliced */
export function planTable(db: Database.Database, barsOf: (moldId: string) => number) {
  const planOf = (id: string, record: string, shape: number) =>
    readerFor(shape < SHAPE ? barsOf(moldIdOf(record)) : 1).read(id, record, shape);
  const sql = statementsOf(db);
  const read = (row: Row) => {
    const plan = planOf(row.id, row.record, row.shape);
    if (!plan.success) return plan;
    return ok<StoredPlan>({
      id: row.id,
      version: row.version,
      latestVersion: row.latest_version,
      revision: row.revision,
      changedAt: row.changed_at,
      used: row.used === 1,
      plan: plan.data,
    });
  };
  const keptPages = keptByKey<Page<StoredPlan>>(db, MOST_PAGES);
  const keptLong = keptByKey<string[]>(db, MOST_PAGES);

  return {
    /** The latest version of every plan that can be read, archived ones too, the last changed first. */
    all: (): StoredPlan[] => readable(sql.known.all().map(read)),
    /** The latest version of a plan, also of one that is deleted. */
    newest(id: string): Result<StoredPlan, BrokenRecord> | undefined {
      const row = sql.newest.get(id);
      return row && read(row);
    },
    /**
     * A page of those that are not put away, with those that can't be read.
     *
     * @param named what the name contains
     */
    page(limit: number, offset: number, named = ''): Page<StoredPlan> {
      const asked = { named: folded(named), limit, offset };
      return keptPages(JSON.stringify(asked), () => {
        const reads = (named === '' ? sql.latest : sql.latestNamed).all(asked).map(read);
        const { total } = (named === '' ? sql.count.get() : sql.countNamed.get(asked)) ?? { total: 0 };
        return pageOf(reads, total);
      });
    },
    /** Ids of those on such a page that take long to be read. */
    longOnPage(limit: number, offset: number, named = ''): string[] {
      const asked = { named: folded(named), limit, offset, long: LONG_BYTES };
      return keptLong(JSON.stringify(asked), () => sql.long.all(asked).map(({ id }) => id));
    },
    /** Plans that can't be read. */
    broken: (): BrokenRecord[] => broken(sql.known.all().map(read)),
    /** Their ids, with those that can't be read; of those that are known, or that are not put away. */
    ids: (of: 'known' | 'shown'): string[] => sql.ids[of].all(),
    /** The name of a plan, also of one that is deleted; null where it has none that can be read. */
    nameOf(id: string): string | null {
      const name = sql.nameOf.get(id);
      return typeof name === 'string' ? name : null;
    },
    /** Those whose latest version has pieces of another plan set in, that can be read. */
    withPiecesOf: (id: string): StoredPlan[] => readable(sql.latestThatName.all(id).map(read)),
    /** Ids of the materials that any version of any plan names, without what is in those. */
    materialsNamed: (): string[] => sql.materialsNamed.all(),
    /**
     * Every version of a plan, newest first; empty for an id that is unknown, or of a plan that is deleted.
     *
     * @throws BrokenRecordError
     */
    versions: (id: string): StoredPlan[] => sql.versionsOf.all(id).map((row) => itemOf(read(row))),
    /**
     * A version of a plan, or its newest; undefined for one that is unknown, or of a plan that is deleted.
     *
     * @throws BrokenRecordError
     */
    version(id: string, version: number | null = null): StoredPlan | undefined {
      const row = sql.oneVersion.get({ id, version });
      return row && itemOf(read(row));
    },
    /** Every version of a plan as it can be read, or not. */
    versionsRead: (id: string) =>
      sql.versionsOf
        .all(id)
        .map((row) => ({ version: row.version, changedAt: row.changed_at, read: read(row) })),
    /** The shape that is written today. */
    shape: SHAPE,
    /** A version of a plan from its text. */
    readText: (id: string, { record, shape }: KeptText) => planOf(id, record, shape),
    forgetDeleted: forgetting(db),
    insert: db.transaction((id: string, plan: Plan, at: string): void => {
      sql.insertPlan.run(id, at);
      sql.insertVersion.run(id, 1, JSON.stringify(plan), SHAPE, at);
    }).immediate,
    /** Writes over `version`, or adds it; false when the plan is no longer at `revision`. */
    save: db.transaction(
      (id: string, plan: Plan, version: number, isNew: boolean, revision: number, at: string): boolean => {
        if (sql.updatePlan.run(version, at, id, revision).changes !== 1) return false;
        if (isNew) sql.insertVersion.run(id, version, JSON.stringify(plan), SHAPE, at);
        else sql.updateVersion.run(JSON.stringify(plan), SHAPE, at, id, version);
        return true;
      },
    ).immediate,
  };
}

/** Forgets for good what was deleted before a moment. */
function forgetting(db: Database.Database): (before: string) => void {
  const deletedBefore = "(SELECT id FROM put_away WHERE kind = 'plan' AND state = 'deleted' AND at < ?)";
  const statements = [
    db.prepare<[string]>(`DELETE FROM plan_versions WHERE plan_id IN ${deletedBefore}`),
    db.prepare<[string]>(`DELETE FROM plans WHERE id IN ${deletedBefore}`),
    db.prepare<[string]>("DELETE FROM put_away WHERE kind = 'plan' AND state = 'deleted' AND at < ?"),
  ];
  return db.transaction((before: string): void => {
    for (const statement of statements) statement.run(before);
  }).immediate;
}

function moldIdOf(record: string): string {
  try {
    const { moldId } = JSON.parse(record) as { moldId?: unknown };
    return typeof moldId === 'string' ? moldId : '';
  } catch {
    return '';
  }
}
