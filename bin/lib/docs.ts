import { writeFileSync } from 'node:fs';
import { CardFile, PlanFile } from '@kelmot/contract';
import { calcs } from '@kelmot/core/calculations/registry';
import { formulasPage } from '@kelmot/core/tool/formulas';
import { z } from 'zod';

writeFileSync('docs/formulas.md', formulasPage(calcs));
for (const [name, schema] of [
  ['cards', CardFile],
  ['plan', PlanFile],
] as const)
  writeFileSync(
    `docs/formats/${name}.schema.json`,
    `${JSON.stringify(z.toJSONSchema(schema, { io: 'input' }), null, 2)}\n`,
  );
