import { z } from 'zod';
import { commissionSchema } from './schema';

/** The document as JSON Schema 2020-12, for those who read or write it with other programs. */
export function commissionJsonSchema(): Record<string, unknown> {
  const schema = z.toJSONSchema(commissionSchema, {
    target: 'draft-2020-12',
    unrepresentable: 'any',
    io: 'input',
  });
  return {
    $id: 'urn:utsuwa:commission:1',
    title: 'Utsuwa commission, version 1',
    ...(schema as Record<string, unknown>),
  };
}
