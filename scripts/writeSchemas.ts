import { readFileSync, writeFileSync } from 'node:fs';
import { OPEN_VERSION, openJsonSchema } from '../src/formats/openFormats';
import { PLAN_FILE_VERSIONS, planJsonSchema } from '../src/formats/planJsonSchema';
import { practiceMarkdown } from './practiceTable';

/** Writes what is published from what the product checks and computes with: the schemas, and the table of the model. */
for (const version of PLAN_FILE_VERSIONS) {
  const path = new URL(`../docs/schemas/plan-${version}.schema.json`, import.meta.url);
  writeFileSync(path, `${JSON.stringify(planJsonSchema(version), null, 2)}\n`);
}

writeFileSync(
  new URL(`../docs/schemas/workshop-${OPEN_VERSION}.schema.json`, import.meta.url),
  `${JSON.stringify(openJsonSchema())}\n`,
);

const page = new URL('../docs/model.md', import.meta.url);
const [before, , after] = readFileSync(page, 'utf8').split(/<!-- \/?practice -->\n/);
writeFileSync(page, `${before}<!-- practice -->\n${practiceMarkdown()}\n<!-- /practice -->\n${after}`);
