import { writeFileSync } from 'node:fs';
import { CardFile } from '@kelmot/contract';
import { calcs } from '@kelmot/core/calc/registry';
import { formulasPage } from '@kelmot/core/tool/formulas';
import { z } from 'zod';

writeFileSync('docs/formulas.md', formulasPage(calcs));
writeFileSync(
  'docs/formats/cards.schema.json',
  `${JSON.stringify(z.toJSONSchema(CardFile, { io: 'input' }), null, 2)}\n`,
);
