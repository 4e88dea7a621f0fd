import { ref } from 'vue';
import { withScape } from '../../../core/commission/scapes';
import type { Pack, Plant, Planting } from '../../../core/commission/schema';
import { newOrigin, plantingOrigin } from '../../../core/commission/origin';
import { lyingOn, regionWithout } from '../../../core/planting/apart';
import { joinedRegion, splitAcross, splitRegion } from '../../../core/planting/cutRegion';
import { usualSpacingMm } from '../../../core/planting/spacing';
import { withPacks } from '../../../core/edits/packs';
import { useCommission } from '../../document/commissionStore';
import { withPlant } from '../../document/materials';
import { usePlants } from '../../document/plants';
import { useBecoming } from '../../frame/plants/becoming';
import { useStudio } from '../../document/studioStore';
import { wording } from '../../words/wording';

/** How plantings on the same ground settle it. */
export type SettleGround = 'share' | 'leave' | 'take';

/** Plants that can be planted, what is planted, and which of it is looked at. */
export function usePlantings() {
  const commission = useCommission();
  const studio = useStudio();
  const chosen = ref<string>();

  const plants = usePlants();

  function add(plant: Plant, how: Partial<Planting>): string | undefined {
    const ids = new Set(commission.option!.plants.map((p) => p.id));
    let n = 1;
    while (ids.has(`P-${n}`)) n++;
    // Where old plants stay, a new one has to say that it is new.
    const fresh = newOrigin(commission.document!.brief);
    const planting: Planting = { id: `P-${n}`, plant: plant.id, ...fresh, ...how };
    commission.endStep();
    const fault = commission.tryEdit(`plant ${planting.id}`, (d) =>
      withScape(withPlant(d, plant), commission.optionId, (o) => ({ ...o, plants: [...o.plants, planting] })),
    );
    if (!fault) chosen.value = planting.id;
    return fault;
  }
  const spacingOf = (plant: Plant) => usualSpacingMm(plant, commission.document!.brief.schools?.spacing);
  const addRegion = (plant: Plant, region: [number, number][]) =>
    add(plant, { region, spacingMm: spacingOf(plant) });

  const become = useBecoming(plants);
  /** The same region as in a mirror in the middle of the tank, beside the one that is there. */
  function mirror(id: string): void {
    const own = commission.option!.plants.find((p) => p.id === id);
    const plant = plants.value.find((p) => p.id === own?.plant);
    if (!own?.region || !plant) return;
    const { length } = commission.document!.vessel.innerMm;
    const { id: _id, now: _now, ...rest } = own;
    add(plant, { ...rest, region: own.region.map(([x, y]): [number, number] => [length - x, y]).reverse() });
  }

  /** What lies on the ground of a planting and would be counted for the whole with it. */
  const on = (planting: Planting) => lyingOn(planting, commission.option?.plants ?? []);
  /** One of the ways to settle it: all of them share the ground evenly, this one leaves the others theirs, or takes its own from them. */
  function settle(id: string, how: SettleGround): void {
    const own = commission.option!.plants.find((p) => p.id === id);
    if (!own?.region) return;
    const others = on(own);
    const ids = new Set([id, ...others.map((p) => p.id)]);
    const less = (p: Planting, by: readonly Planting[]): Planting[] => {
      const left = regionWithout(p.region!, by.map((o) => o.region!)).map(([x, y]): [number, number] => [x, y]); // prettier-ignore
      return left.length < 3 ? [] : [{ ...p, region: left }];
    };
    const settled = (p: Planting): Planting[] => {
      if (!ids.has(p.id)) return [p];
      if (how === 'share') return [{ ...p, share: Math.round(1000 / ids.size) / 1000 }];
      const gives = how === 'leave' ? p.id === id : p.id !== id;
      return gives ? less(p, how === 'leave' ? others : [own]) : [p];
    };
    commission.endStep();
    commission.editOption(`settle ${id}`, (o) => ({ ...o, plants: o.plants.flatMap(settled) }));
  }

  /** A planting cut in two along a line; what is wrong with the line, if anything. */
  function split(id: string, a: [number, number], b: [number, number]): string | undefined {
    const own = commission.option!.plants.find((p) => p.id === id);
    const parts = own?.region && splitRegion(own.region, a, b);
    const plant = plants.value.find((p) => p.id === own?.plant);
    if (!own || !parts || !plant) return wording('usePlantings.cut');
    const [one, other] = parts.map((ring) => ring.map(([x, y]): [number, number] => [x, y]));
    // What was counted of the whole is not that of a half.
    const { id: _id, packs: _p, ownPlugs: _o, gave: _g, count: _c, ...rest } = own;
    // Where old plants stay, half of one that is there is there too.
    const { brief } = commission.document!;
    add(plant, { ...rest, region: other, ...(brief.rescape ? { origin: plantingOrigin(brief, own) } : {}) });
    commission.editOption(`plant ${chosen.value}`, (o) => ({
      ...o,
      plants: o.plants.map((p) => (p.id === id ? { ...rest, id, region: one } : p)),
    }));
    commission.endStep();
    chosen.value = id;
    return undefined;
  }
  /** What the plugs at hand do not reach becomes a planting of its own, which is then looked at and given another plant. */
  function giveBack(own: Planting, yMm: number): void {
    const [front, behind] = (own.region && splitAcross(own.region, yMm)) ?? [];
    const plant = plants.value.find((p) => p.id === own.plant);
    if (!front || !behind || !plant) return;
    const plain = (ring: typeof front) => ring.map(([x, y]): [number, number] => [x, y]);
    const { id: _id, packs: _p, ownPlugs: _o, gave: _g, count: _c, ...rest } = own;
    add(plant, { ...rest, region: plain(behind) });
    commission.editOption(`plant ${chosen.value}`, (o) => ({
      ...o,
      plants: o.plants.map((p) => (p.id === own.id ? { ...own, region: plain(front) } : p)),
    }));
    commission.endStep();
  }
  /** Plantings of the same plant that touch one, and what they would be together. */
  const joinable = (own: Planting) =>
    (commission.option?.plants ?? []).flatMap((p) => {
      if (p.id === own.id || p.plant !== own.plant || !p.region || !own.region) return [];
      const region = joinedRegion(own.region, p.region);
      return region ? [{ id: p.id, region: region.map(([x, y]): [number, number] => [x, y]) }] : [];
    });
  function join(own: Planting, otherId: string): void {
    const found = joinable(own).find((o) => o.id === otherId);
    if (!found) return;
    const { packs: _p, ownPlugs: _o, gave: _g, count: _c, ...rest } = own;
    commission.endStep();
    commission.editOption(`join ${own.id}`, (o) => ({
      ...o,
      plants: o.plants.flatMap((p) =>
        p.id === otherId ? [] : p.id === own.id ? [{ ...rest, region: found.region }] : [p],
      ),
    }));
  }

  /** What a plant is bought in, in this document. */
  function packed(plantId: string, packs: Pack[]): void {
    commission.endStep();
    const sellers = studio.studio?.catalogue.suppliers ?? [];
    commission.edit(`packs ${plantId}`, (d) => withPacks(d, plantId, packs, sellers));
  }

  function remove(id: string): void {
    commission.endStep();
    commission.editOption(`unplant ${id}`, (o) => ({ ...o, plants: o.plants.filter((p) => p.id !== id) }));
    chosen.value = undefined;
  }
  return {
    plants,
    chosen,
    add,
    addRegion,
    become,
    mirror,
    on,
    settle,
    split,
    giveBack,
    joinable,
    join,
    packed,
    remove,
  };
}
