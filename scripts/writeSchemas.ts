import { writeFileSync } from 'node:fs';
import { planJsonSchema } from '../src/formats/planJsonSchema';

/** Writes the published schemas from the ones the product checks with. */
const path = new URL('../docs/schemas/plan-1.schema.json', import.meta.url);
writeFileSync(path, `${JSON.stringify(planJsonSchema(), null, 2)}\n`);
