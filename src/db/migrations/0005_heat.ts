import type { Migration } from '../migrate';

/** What the heat of a base is worked out from, not known of any so far. */
const BASE_LEARNS = ['sweatsAbove', 'setsC', 'setsOverK', 'latentJG', 'heatCapacityJGK', 'conductivityWMK']
  .map((key) => `'$.${key}', json('null')`)
  .join(', ');

/** Molds and jugs that are taught, what a base’s heat is worked out from; frozen sheets tell where and when they are made. */
export const heat: Migration = {
  number: 5,
  sql: /* sql */ `
    UPDATE materials SET record = json_insert(record, ${BASE_LEARNS}) WHERE record ->> 'kind' = 'base';
    UPDATE molds SET record = json_insert(record, '$.taught', json('[]'));
    UPDATE house_rules SET record = json_insert(
      CASE WHEN record -> 'jugs' IS NULL THEN record ELSE json_set(record, '$.jugs', (
        SELECT json_group_array(json(json_insert(jug.value, '$.taught', json('[]'))))
        FROM json_each(house_rules.record, '$.jugs') AS jug)) END,
      '$.microwaveW', 1000);
    UPDATE runs SET sheet = json_insert(
      json_set(sheet, '$.pours', (
        SELECT json_group_array(json(json_set(pour.value,
          '$.when', json('{}'), '$.base', json(json_insert(pour.value -> 'base', ${BASE_LEARNS})),
          '$.embeds', (SELECT json_group_array(json(json_insert(embed.value, '$.ofBase', json('null'))))
            FROM json_each(pour.value, '$.embeds') AS embed))))
        FROM json_each(runs.sheet, '$.pours') AS pour)),
      '$.mold.taught', json('[]'),
      '$.making', json('{"room":{"tempC":21,"spreadK":1,"humidity":0.5,"humiditySpread":0.08},"clock":null,"freezerMin":null}'));
  `,
};
