import type { Migration } from '../migrate';

/** Molds with their material, their limits and every measuring; boxes whose walls lean and corners are round. */
export const molds: Migration = {
  number: 3,
  sql: /* sql */ `
    UPDATE molds SET record = json_insert(record,
      '$.measures', json('[]'), '$.madeOf', 'unknown', '$.highestC', json('null'),
      '$.shrinkageFraction', json('null'), '$.sliceMm', json('null'), '$.endTrimMm', 0, '$.boughtFrom', '');
    UPDATE molds SET record = json_insert(record, '$.shape.draftDeg', 0, '$.shape.cornerMm', 0)
      WHERE record ->> '$.shape.kind' = 'box';
  `,
};
