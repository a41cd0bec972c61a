import type Database from 'better-sqlite3';
import type { Plan } from '../core/plan/plan';
import type { StoredPlan } from '../core/plan/storedPlan';

interface Row {
  id: string;
  version: number;
  latest_version: number;
  revision: number;
  changed_at: string;
  used: 0 | 1;
  record: string;
}

const SELECT = /* sql */ `
  SELECT plans.id, v.version, plans.latest_version, plans.revision, v.changed_at, v.record,
    EXISTS (SELECT 1 FROM runs WHERE runs.plan_id = plans.id AND runs.plan_version = v.version) AS used
  FROM plans JOIN plan_versions v ON v.plan_id = plans.id`;

export function planTable(db: Database.Database) {
  const latest = db.prepare<[], Row>(
    `${SELECT} WHERE v.version = plans.latest_version ORDER BY plans.changed_at DESC, plans.id`,
  );
  const versionsOf = db.prepare<[string], Row>(`${SELECT} WHERE plans.id = ? ORDER BY v.version DESC`);
  const insertPlan = db.prepare<[string, string]>(
    'INSERT INTO plans (id, revision, latest_version, changed_at) VALUES (?, 1, 1, ?)',
  );
  const insertVersion = db.prepare<[string, number, string, string]>(
    'INSERT INTO plan_versions (plan_id, version, record, changed_at) VALUES (?, ?, ?, ?)',
  );
  const updateVersion = db.prepare<[string, string, string, number]>(
    'UPDATE plan_versions SET record = ?, changed_at = ? WHERE plan_id = ? AND version = ?',
  );
  const updatePlan = db.prepare<[number, string, string, number]>(
    'UPDATE plans SET latest_version = ?, changed_at = ?, revision = revision + 1 WHERE id = ? AND revision = ?',
  );
  const everyVersion = db.prepare<[], { record: string }>('SELECT record FROM plan_versions');
  const stored = (row: Row): StoredPlan => ({
    id: row.id,
    version: row.version,
    latestVersion: row.latest_version,
    revision: row.revision,
    changedAt: row.changed_at,
    used: row.used === 1,
    plan: JSON.parse(row.record),
  });

  return {
    /** The latest version of every plan, the last changed first. */
    all: (): StoredPlan[] => latest.all().map(stored),
    /** Every version of every plan, to see what they name. */
    everyVersion: (): Plan[] => everyVersion.all().map(({ record }) => JSON.parse(record)),
    /** Every version of a plan, newest first; empty for an unknown id. */
    versions: (id: string): StoredPlan[] => versionsOf.all(id).map(stored),
    insert: db.transaction((id: string, plan: Plan, at: string): void => {
      insertPlan.run(id, at);
      insertVersion.run(id, 1, JSON.stringify(plan), at);
    }),
    /** Writes over `version`, or adds it; false when the plan is no longer at `revision`. */
    save: db.transaction(
      (id: string, plan: Plan, version: number, isNew: boolean, revision: number, at: string): boolean => {
        if (updatePlan.run(version, at, id, revision).changes !== 1) return false;
        if (isNew) insertVersion.run(id, version, JSON.stringify(plan), at);
        else updateVersion.run(JSON.stringify(plan), at, id, version);
        return true;
      },
    ),
  };
}
