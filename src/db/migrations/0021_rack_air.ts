import type { Migration } from '../migrate';

/** The air of the rack, °C and a fraction of what it can hold, as somebody read it. */
export const rackAir: Migration = {
  number: 21,
  sql: /* sql */ `
    CREATE TABLE rack_air (
      id TEXT PRIMARY KEY,
      at TEXT NOT NULL,
      temp_c REAL NOT NULL,
      humidity REAL
    ) STRICT;
    CREATE INDEX rack_air_by_time ON rack_air (at DESC);
  `,
};
