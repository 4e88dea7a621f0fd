import { say, type Text } from '../words/text';
import { fault, type Fault } from './fault';
import { NOW, nowOf } from './scapes';
import { strewnFaults } from './strewnFaults';
import { brokenDownFaults } from './brokenDownFaults';
import { receivedFaults } from './receivedFaults';
import { sittingFaults } from './sittingFaults';
import type { Commission, Option } from './schema';

/** Names that refer to nothing, names given twice, and pieces that stand on each other in a ring. */
export function referenceFaults(commission: Commission): Fault[] {
  const { materials, plants, suppliers } = commission.catalogue;
  return [
    ...twice('catalogue.materials', materials),
    ...twice('catalogue.plants', plants),
    ...alreadyMaterial(commission),
    ...twice('catalogue.suppliers', suppliers),
    ...packFaults(commission),
    ...gearFaults(commission),
    ...twice('options', commission.options),
    ...twice('shelved', commission.shelved, 'options', commission.options),
    ...outsideFaults(commission),
    ...(commission.options.some((o) => o.id === commission.chosen)
      ? []
      : [unknown('chosen', commission.chosen, say('id.of.option'))]),
    ...commission.options.flatMap((option, i) => optionFaults(commission, option, `options[${i}]`)),
    ...nowFaults(commission),
    ...sittingFaults(commission),
    ...brokenDownFaults(commission),
    ...receivedFaults(commission),
  ];
}

/** What lies in it without a shape has an id of its own and is of a material. */
function heapFaults({ now, catalogue }: Commission): Fault[] {
  const known = new Set(catalogue.materials.map((m) => m.id));
  const strange = (now?.heaps ?? []).flatMap(
    ({ material }, i) =>
    known.has(material) ? [] : [unknown(`now.heaps[${i}].material`, material, idOf('material', 'catalogue.materials'))], // prettier-ignore
  );
  return [...twice('now.heaps', now?.heaps), ...strange];
}

/** The tank as it is now: what it names, and what options name of it. Each thing of it is in a scape once, as what it is. */
function nowFaults(commission: Commission): Fault[] {
  const now = nowOf(commission);
  const own = now ? [...optionFaults(commission, now, 'now'), ...heapFaults(commission)] : [];
  const taken = now && commission.options.findIndex((o) => o.id === NOW);
  const clash = taken !== undefined && taken >= 0 ? [fault(`options[${taken}].id`, 'fault.id.now', { id: NOW })] : [];
  return [...own, ...clash, ...commission.options.flatMap((o, i) => ofNowFaults(o, now && { ...now, heaps: undefined, lying: commission.now!.heaps ?? [] }, `options[${i}]`))];
} // prettier-ignore

const THING = { bed: 'layer', pieces: 'piece', plants: 'planting', heaps: 'heap' } as const;
const ofNow = (list: keyof typeof THING) => say('id.of.now', { thing: say(`id.thing.${THING[list]}`) });

function ofNowFaults(
  option: Option,
  now: (Option & { lying: readonly { id: string }[] }) | undefined,
  path: string,
): Fault[] {
  const check = <T extends { id: string; now?: string }>(
    list: 'bed' | 'pieces' | 'plants',
    things: readonly T[],
    is: (thing: T) => string,
    there: readonly T[] = [],
  ) => {
    const known = new Map(there.map((t) => [t.id, t]));
    const seen = new Set<string>();
    return things.flatMap((thing, i): Fault[] => {
      if (thing.now === undefined) return [];
      const at = `${path}.${list}[${i}].now`;
      const was = known.get(thing.now);
      if (!was) return [unknown(at, thing.now, ofNow(list))];
      if (is(was) !== is(thing)) return [fault(at, 'fault.now.other', { id: thing.now, was: is(was), is: is(thing) })]; // prettier-ignore
      // A bed may be parted and a clump divided; a stone is one stone.
      if (list === 'pieces' && seen.has(thing.now)) return [fault(at, 'fault.id.twice', { id: thing.now })];
      seen.add(thing.now);
      return [];
    });
  };
  const isThere = (of: keyof typeof THING, id: string) =>
    (of === 'heaps' ? now?.lying : now?.[of])?.some((t) => t.id === id) ?? false;
  return [
    ...(option.heaps ?? []).flatMap((id, i) =>
      isThere('heaps', id) ? [] : [unknown(`${path}.heaps[${i}]`, id, ofNow('heaps'))],
    ),
    ...check('bed', option.bed, (l) => l.material, now?.bed),
    ...check('pieces', option.pieces, (p) => p.material, now?.pieces),
    ...check('plants', option.plants, (p) => p.plant, now?.plants),
    ...(option.leaving ?? []).flatMap(
      ({ of, id }, i) =>
      isThere(of, id) ? [] : [unknown(`${path}.leaving[${i}].id`, id, ofNow(of))], // prettier-ignore
    ),
  ];
}

function unknown(path: string, id: string, allowed: Text): Fault {
  return fault(path, 'fault.unknown.id', { id, allowed });
}

/** What an id has to be: that of an entry in a list. */
function idOf(thing: 'material' | 'plant' | 'supplier' | 'piece', where: string): Text {
  return say('id.of.entry', { thing: say(`id.thing.${thing}`), where });
}

type Named = readonly { id: string }[];

/** Ids that a list has twice, or that another list has which shares its scope. */
function twice(path: string, list: Named = [], where = '', others: Named = []): Fault[] {
  const elsewhere = new Set(others.map((o) => o.id));
  const seen = new Set<string>();
  return list.flatMap(({ id }, i) => {
    if (elsewhere.has(id)) return [fault(`${path}[${i}].id`, 'fault.id.elsewhere', { id, where })];
    if (seen.has(id)) return [fault(`${path}[${i}].id`, 'fault.id.twice', { id })];
    seen.add(id);
    return [];
  });
}

/** A plant and a material of one id would be one line of the take-off. */
function alreadyMaterial({ catalogue: { plants, materials } }: Commission): Fault[] {
  const own = plants.filter((p, i) => plants.findIndex((q) => q.id === p.id) === i);
  const taken = new Set(materials.map((m) => m.id));
  return own
    .filter((p) => taken.has(p.id))
    .map((p) => unknown(`catalogue.plants[${plants.indexOf(p)}].id`, p.id, say('id.own')));
}

/** Lists outside the options: everything in them that has an id has one of its own. */
function outsideFaults({
  brief,
  vessel,
  site,
  pictures,
  log,
  catalogue,
  taken,
  candidates,
}: Commission): Fault[] {
  return [
    ...twice('brief.seats', brief.seats),
    ...twice('taken', taken),
    ...twice('candidates', candidates),
    ...candidateFaults(catalogue, candidates),
    ...twice('brief.owned', brief.owned),
    ...twice('vessel.chambers', vessel.chambers),
    ...twice('vessel.fixed', vessel.fixed),
    ...twice('site.route', site?.route),
    ...twice('site.devices', site?.devices),
    ...twice('catalogue.animals', catalogue.animals),
    ...twice('pictures', pictures),
    ...twice('log', log),
  ];
}

/** An actual piece is of a material of the catalogue; the piece that it is for may be gone. */
function candidateFaults(
  { materials }: Commission['catalogue'],
  candidates: Commission['candidates'] = [],
): Fault[] {
  const known = new Set(materials.map((m) => m.id));
  return candidates.flatMap(
    ({ material }, i) =>
    known.has(material) ? [] : [unknown(`candidates[${i}].material`, material, idOf('material', 'catalogue.materials'))], // prettier-ignore
  );
}

/** Gear that is an article of the catalogue has to be in it. */
function gearFaults({ site, catalogue }: Commission): Fault[] {
  const known = new Set(catalogue.materials.map((m) => m.id));
  const devices = new Set((site?.devices ?? []).map((d) => d.id));
  const strange = (site?.devices ?? []).flatMap(({ id, replaces }, i) =>
    replaces === undefined || (devices.has(replaces) && replaces !== id)
      ? []
      : [unknown(`site.devices[${i}].replaces`, replaces, say('id.of.device'))],
  );
  const articles = (site?.devices ?? []).flatMap(({ material }, i) =>
    material === undefined || known.has(material)
      ? []
      : [unknown(`site.devices[${i}].material`, material, idOf('material', 'catalogue.materials'))],
  );
  return [...strange, ...articles];
}

function packFaults({ catalogue }: Commission): Fault[] {
  const known = new Set(catalogue.suppliers.map((s) => s.id));
  const lists = { materials: catalogue.materials, plants: catalogue.plants };
  return Object.entries(lists).flatMap(([name, entries]) =>
    entries.flatMap((entry, i) => {
      const path = `catalogue.${name}[${i}].packs`;
      const strange = (entry.packs ?? []).flatMap(({ supplier }, p) =>
        known.has(supplier)
          ? []
          : [unknown(`${path}[${p}].supplier`, supplier, idOf('supplier', 'catalogue.suppliers'))],
      );
      return [...twice(path, entry.packs), ...strange];
    }),
  );
}

function optionFaults({ catalogue }: Commission, option: Option, path: string): Fault[] {
  const materials = new Set(catalogue.materials.map((m) => m.id));
  const plants = new Set(catalogue.plants.map((p) => p.id));
  const pieces = new Set(option.pieces.map((p) => p.id));
  const layers = new Set(option.bed.map((l) => l.id));
  const faults = [
    ...twice(`${path}.bed`, option.bed),
    ...twice(`${path}.pieces`, option.pieces),
    ...twice(`${path}.joints`, option.joints),
    ...twice(`${path}.plants`, option.plants),
    ...twice(`${path}.pockets`, option.pockets ?? []),
    ...twice(`${path}.free`, option.free ?? []),
    ...strewnFaults(catalogue, option, path),
  ];
  const want = (set: Set<string>, at: string, id: string, allowed: Text) => {
    if (!set.has(id)) faults.push(unknown(at, id, allowed));
  };
  const material = idOf('material', 'catalogue.materials');
  const piece = idOf('piece', `${path}.pieces`);
  option.bed.forEach((l, i) => {
    want(materials, `${path}.bed[${i}].material`, l.material, material);
    l.mix?.forEach((m, k) => want(materials, `${path}.bed[${i}].mix[${k}].material`, m.material, material));
  });
  option.pieces.forEach((p, i) => {
    want(materials, `${path}.pieces[${i}].material`, p.material, material);
    if (p.stand.kind === 'bed' && p.stand.layer !== undefined)
      want(layers, `${path}.pieces[${i}].stand.layer`, p.stand.layer, say('id.of.layer', { where: `${path}.bed` })); // prettier-ignore
    if (p.stand.kind === 'on') want(pieces, `${path}.pieces[${i}].stand.piece`, p.stand.piece, piece);
  });
  option.joints.forEach((j, i) =>
    j.pieces.forEach((id, k) => want(pieces, `${path}.joints[${i}].pieces[${k}]`, id, piece)),
  );
  option.pockets?.forEach((p, i) => {
    want(materials, `${path}.pockets[${i}].material`, p.material, material);
    want(pieces, `${path}.pockets[${i}].on`, p.on, piece);
  });
  option.plants.forEach((p, i) => {
    want(plants, `${path}.plants[${i}].plant`, p.plant, idOf('plant', 'catalogue.plants'));
    if (p.on !== undefined) want(pieces, `${path}.plants[${i}].on`, p.on, piece);
  });
  return [...faults, ...ringFaults(option, path)];
}

function ringFaults(option: Option, path: string): Fault[] {
  const below = new Map(option.pieces.map((p) => [p.id, p.stand.kind === 'on' ? p.stand.piece : undefined]));
  return option.pieces.flatMap((piece, i) => {
    const passed = new Set<string>();
    let id: string | undefined = piece.id;
    while (id !== undefined && !passed.has(id)) {
      passed.add(id);
      id = below.get(id);
    }
    if (id !== piece.id) return [];
    return [fault(`${path}.pieces[${i}].stand.piece`, 'fault.on.itself', { id: piece.id })];
  });
}
