import type { Migration } from '../migrate';

/** Colours of colorants; frozen sheets tell what is set into a pour and what is added before it. */
export const embeds: Migration = {
  number: 4,
  sql: /* sql */ `
    UPDATE materials SET record = json_insert(record, '$.colour', json('null'), '$.match', json('null'))
      WHERE record ->> 'kind' = 'colorant';
    UPDATE molds SET record = json_insert(record, '$.stripMm', json('null'));
    UPDATE runs SET sheet = json_insert(
      json_set(sheet, '$.pours', (
        SELECT json_group_array(json(json_set(
          json_insert(pour.value,
            '$.way', json('{}'), '$.embeds', json('[]'), '$.embedsUnsized', json('[]'), '$.displacedMl', 0,
            '$.meltG', pour.value -> 'baseG', '$.surfaceMm', json(pour.value -> 'toMm')),
          '$.lines', json((
            SELECT json_group_array(json(json_insert(line.value, '$.addG', line.value -> 'massG')))
            FROM json_each(pour.value, '$.lines') AS line)))))
        FROM json_each(runs.sheet, '$.pours') AS pour)),
      '$.mold.stripMm', json('null'), '$.totals.embedsG', 0, '$.totals.trimmedG', 0);
  `,
};
