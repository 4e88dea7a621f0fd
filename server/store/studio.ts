import { asc } from 'drizzle-orm';
import type { Studio } from '../../core/catalogue/studio';
import { entries } from './schema';
import type { Store } from './store';

const EMPTY: Studio = {
  name: '',
  currency: 'GBP',
  catalogue: { materials: [], plants: [], suppliers: [] },
  yard: [],
};

export async function readStudio({ db }: Store): Promise<Studio> {
  const rows = await db.select().from(entries).orderBy(asc(entries.position));
  const of = <T>(kind: string) => rows.filter((r) => r.kind === kind).map((r) => r.value as T);
  const self = of<Partial<Studio>>('studio')[0];
  return {
    ...EMPTY,
    ...self,
    catalogue: { materials: of('material'), plants: of('plant'), suppliers: of('supplier') },
    yard: of('yard'),
  };
}

/** Replaces the studio's catalogue, yard and settings. */
export async function writeStudio(store: Store, studio: Studio): Promise<void> {
  const { catalogue, yard, ...self } = studio;
  const kinds: [string, { id: string }[]][] = [
    ['material', catalogue.materials],
    ['plant', catalogue.plants],
    ['supplier', catalogue.suppliers],
    ['yard', yard],
    ['studio', [{ id: 'self', ...self }]],
  ];
  const rows = kinds.flatMap(([kind, list]) =>
    list.map((value, position) => ({ key: `${kind}/${value.id}`, kind, position, value })),
  );
  await store.write((db) => db.batch([db.delete(entries), db.insert(entries).values(rows)]));
}
