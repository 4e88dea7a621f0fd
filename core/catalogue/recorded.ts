/** What packs of a plant gave when they were split, counted on a build day. */
export interface Gave {
  plant: string;
  packs: number;
  plugs: number;
}

/** Plugs a pack as the studio's own crews counted them: fewest, as a rule, most; and how many packs that rests on. */
export interface Recorded {
  plugsAPack: [number, number, number];
  packs: number;
}

/**
 * What a studio knows of its plants: for each the least, the middle and the most that a pack gave, each build counted as
 * often as it had packs. Three packs of 8 and one of 12 give 8 as a rule.
 * Valid for whole packs. Leaves out: who split them, and what size the pack was.
 * Test: recorded.test.ts, "is the middle of what packs gave".
 */
export function recordedOf(records: readonly Gave[]): Record<string, Recorded> {
  const byPlant = new Map<string, number[]>();
  for (const { plant, packs, plugs } of records) {
    const each = byPlant.get(plant) ?? [];
    for (let i = 0; i < packs; i++) each.push(plugs / packs);
    byPlant.set(plant, each);
  }
  return Object.fromEntries(
    [...byPlant].map(([plant, each]) => {
      const sorted = each.sort((a, b) => a - b);
      const at = (share: number) => Math.max(1, Math.round(sorted[Math.round(share * (sorted.length - 1))]));
      return [plant, { plugsAPack: [at(0), at(0.5), at(1)], packs: sorted.length }];
    }),
  );
}
