import type { Migration } from '../migrate';

/** Records are JSON that its schema in core has checked; `revision` counts the saves of a record. */
export const firstSlice: Migration = {
  number: 1,
  sql: /* sql */ `
    CREATE TABLE materials (
      id TEXT PRIMARY KEY,
      record TEXT NOT NULL CHECK (json_valid(record)),
      revision INTEGER NOT NULL CHECK (revision >= 1),
      changed_at TEXT NOT NULL
    ) STRICT;

    CREATE TABLE molds (
      id TEXT PRIMARY KEY,
      record TEXT NOT NULL CHECK (json_valid(record)),
      revision INTEGER NOT NULL CHECK (revision >= 1),
      changed_at TEXT NOT NULL
    ) STRICT;

    CREATE TABLE plans (
      id TEXT PRIMARY KEY,
      revision INTEGER NOT NULL CHECK (revision >= 1),
      latest_version INTEGER NOT NULL CHECK (latest_version >= 1),
      changed_at TEXT NOT NULL
    ) STRICT;

    CREATE TABLE plan_versions (
      plan_id TEXT NOT NULL REFERENCES plans (id),
      version INTEGER NOT NULL CHECK (version >= 1),
      record TEXT NOT NULL CHECK (json_valid(record)),
      changed_at TEXT NOT NULL,
      PRIMARY KEY (plan_id, version)
    ) STRICT;

    CREATE TABLE runs (
      id TEXT PRIMARY KEY,
      plan_id TEXT NOT NULL,
      plan_version INTEGER NOT NULL,
      started_at TEXT NOT NULL,
      sheet TEXT NOT NULL CHECK (json_valid(sheet)),
      findings TEXT NOT NULL CHECK (json_valid(findings)),
      ended TEXT CHECK (ended IN ('finished', 'abandoned')),
      FOREIGN KEY (plan_id, plan_version) REFERENCES plan_versions (plan_id, version)
    ) STRICT;

    CREATE TABLE run_events (
      run_id TEXT NOT NULL REFERENCES runs (id),
      place INTEGER NOT NULL CHECK (place >= 1),
      event_id TEXT NOT NULL,
      at TEXT NOT NULL,
      event TEXT NOT NULL CHECK (json_valid(event)),
      PRIMARY KEY (run_id, place),
      UNIQUE (run_id, event_id)
    ) STRICT;

    CREATE INDEX runs_of_version ON runs (plan_id, plan_version);

    -- What has happened at the bench is never rewritten.
    CREATE TRIGGER run_events_stay BEFORE UPDATE ON run_events
      BEGIN SELECT RAISE(ABORT, 'run events are never changed'); END;
    CREATE TRIGGER run_events_remain BEFORE DELETE ON run_events
      BEGIN SELECT RAISE(ABORT, 'run events are never deleted'); END;

    -- A version that a run has used stays as it was.
    CREATE TRIGGER used_versions_stay BEFORE UPDATE ON plan_versions
      WHEN EXISTS (SELECT 1 FROM runs WHERE plan_id = OLD.plan_id AND plan_version = OLD.version)
      BEGIN SELECT RAISE(ABORT, 'a run has used this version'); END;
  `,
};
