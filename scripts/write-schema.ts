/** Writes the JSON Schema of the document to docs/, where readers of the format find it. */
import { writeFileSync } from 'node:fs';
import { commissionJsonSchema } from '../core/commission/jsonSchema';

const target = new URL('../docs/commission.schema.json', import.meta.url);
writeFileSync(target, `${JSON.stringify(commissionJsonSchema(), null, 2)}\n`);
