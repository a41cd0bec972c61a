import type { Migration } from '../migrate';

/** What a record names: its kind, and its id. */
const NAMED = /* sql */ `SELECT DISTINCT iif(named.key = 'planId', 'plan', 'material'), named.atom`;

const IN = (record: string) => /* sql */ `
  json_tree(iif(json_valid(${record}), ${record}, '{}')) AS named
  WHERE named.type = 'text' AND named.key IN ('baseId', 'materialId', 'dispersantId', 'scrapId', 'planId')`;

const KEEP_NEW = /* sql */ `
  INSERT INTO plan_names (kind, named_id, plan_id, version)
    ${NAMED}, new.plan_id, new.version FROM ${IN('new.record')};`;

/**
 * The materials and the plans that each version of a plan names, so that nothing has to read all of them to know. Made
 * from the records alone.
 */
export const planNames: Migration = {
  number: 28,
  sql: /* sql */ `
    CREATE TABLE plan_names (
      kind TEXT NOT NULL CHECK (kind IN ('material', 'plan')),
      named_id TEXT NOT NULL,
      plan_id TEXT NOT NULL,
      version INTEGER NOT NULL,
      PRIMARY KEY (kind, named_id, plan_id, version),
      FOREIGN KEY (plan_id, version) REFERENCES plan_versions (plan_id, version) ON DELETE CASCADE
    ) STRICT, WITHOUT ROWID;
    CREATE INDEX plan_names_by_plan ON plan_names (plan_id, version);
    INSERT INTO plan_names (kind, named_id, plan_id, version)
      ${NAMED}, v.plan_id, v.version FROM plan_versions v, ${IN('v.record')};
    CREATE TRIGGER plan_names_added AFTER INSERT ON plan_versions BEGIN ${KEEP_NEW} END;
    CREATE TRIGGER plan_names_changed AFTER UPDATE OF record ON plan_versions BEGIN
      DELETE FROM plan_names WHERE plan_id = old.plan_id AND version = old.version;
      ${KEEP_NEW}
    END;
  `,
};
