import { START_SET } from '../../core/catalogue/startSet';
import type { Material, Pack } from '../../core/commission/schema';

/*
 * Materials of the made-up studio: the start set with packs and prices, which are invented, and gear.
 */

const pack =
  (supplier: string, leadDays: number) =>
  (id: string, size: number, unit: Pack['unit'], price: number, name?: string): Pack => ({
    id,
    size,
    unit,
    priceMinor: Math.round(price * 100),
    supplier,
    leadDays,
    ...(name ? { name } : {}),
  });
const marl = pack('marl-timber', 4);
const brindle = pack('brindle', 3);
const quay = pack('quay-row', 2);
/** Gear of one kind: id, name, watts, price, and litres an hour where it moves water. */
const gear = (
  kind: NonNullable<Material['gear']>,
  list: [id: string, name: string, watts: number, price: number, litresPerHour?: number][],
  part?: Material['part'],
): Material[] =>
  list.map(([id, name, watts, price, litresPerHour]) => ({
    id,
    kind: 'equipment',
    gear: kind,
    ...(part ? { part } : {}),
    name,
    watts,
    ...(litresPerHour ? { litresPerHour } : {}),
    packs: [brindle(`${id}-1`, 1, 'piece', price)],
  }));

/** What each material of the start set is sold in. */
const PACKS: Readonly<Record<string, Pack[]>> = {
  'soil-granules': [
    marl('soil-3', 3, 'L', 14, 'bag'),
    marl('soil-9', 9, 'L', 32, 'bag'),
    quay('soil-q9', 9, 'L', 33.5, 'bag'),
  ],
  'soil-powder': [marl('powder-3', 3, 'L', 17, 'bag')],
  base: [marl('base-2', 2, 'L', 13, 'bag'), marl('base-6', 6, 'L', 34, 'bag')],
  'scoria-filler': [brindle('scoria-5', 5, 'L', 7, 'bag'), brindle('scoria-15', 15, 'L', 18, 'bag')],
  'quartz-sand': [
    brindle('sand-5', 5, 'kg', 6.5, 'bag'),
    brindle('sand-15', 15, 'kg', 16, 'bag'),
    quay('sand-q15', 15, 'kg', 16.8, 'bag'),
  ],
  'white-sand': [brindle('white-5', 5, 'kg', 8.9, 'bag')],
  'river-gravel': [brindle('gravel-5', 5, 'kg', 5.5, 'bag')],
  'slate-chips': [marl('chips-5', 5, 'kg', 7.5, 'bag')],
  slate: [marl('slate-kg', 1, 'kg', 4)],
  granite: [marl('granite-kg', 1, 'kg', 3.4)],
  basalt: [marl('basalt-kg', 1, 'kg', 3.8)],
  limestone: [marl('limestone-kg', 1, 'kg', 4.6)],
  honeycomb: [marl('honeycomb-kg', 1, 'kg', 5.2)],
  'scoria-rock': [marl('scoria-rock-kg', 1, 'kg', 3)],
  cobble: [marl('cobble-kg', 1, 'kg', 2.8)],
  petrified: [marl('petrified-kg', 1, 'kg', 6.5)],
  branch: [marl('branch-m', 1, 'piece', 42)],
  mangrove: [marl('mangrove-m', 1, 'piece', 36)],
  ironwood: [marl('ironwood-m', 1, 'piece', 54)],
  glue: [
    brindle('glue-20', 20, 'g', 5.5, 'bottle'),
    brindle('glue-50', 50, 'g', 11, 'bottle'),
    quay('glue-q20', 20, 'g', 5.9, 'bottle'),
  ],
  'glue-gel': [brindle('gel-5', 5, 'g', 3.8, 'tube'), brindle('gel-20', 20, 'g', 9, 'tube')],
  'glue-impact': [brindle('impact-50', 50, 'g', 12, 'tube')],
  silicone: [brindle('silicone-300', 300, 'g', 8.5, 'cartridge')],
  bacteria: [
    brindle('bacteria-100', 100, 'mL', 8, 'bottle'),
    brindle('bacteria-250', 250, 'mL', 15, 'bottle'),
  ],
  'root-tabs': [brindle('tabs-10', 10, 'piece', 6), brindle('tabs-30', 30, 'piece', 14)],
  fibre: [brindle('fibre-10', 10, 'g', 2.4, 'bag')],
  'mesh-bag': [brindle('mesh-1', 1, 'piece', 1.2), brindle('mesh-5', 5, 'piece', 4.5, 'set')],
  conditioner: [brindle('cond-100', 100, 'mL', 4.9, 'bottle'), brindle('cond-500', 500, 'mL', 14, 'bottle')],
  'plant-food': [
    brindle('food-250', 250, 'mL', 11, 'bottle'),
    brindle('food-1000', 1000, 'mL', 29, 'bottle'),
  ],
  gypsum: [brindle('gypsum-500', 500, 'g', 5.5, 'tub')],
  bicarbonate: [brindle('bicarbonate-500', 500, 'g', 3.2, 'tub')],
  tests: [brindle('tests-40', 40, 'piece', 19, 'box')],
  pad: [brindle('pad-1', 1, 'piece', 1.8)],
  tie: [brindle('tie-20', 20, 'm', 2.2, 'reel')],
};

export const MATERIALS: readonly Material[] = [
  ...START_SET.map((material) => ({ ...material, packs: PACKS[material.id] })),
  ...gear('filter', [
    ['filter-350', 'Outside filter, 350 L/h', 8, 79, 350],
    ['filter-700', 'Outside filter, 700 L/h', 14, 129, 700],
    ['filter-1400', 'Outside filter, 1400 L/h', 24, 215, 1400],
  ]),
  ...gear('heater', [
    ['heater-50', 'Heater, 50 W', 50, 24],
    ['heater-100', 'Heater, 100 W', 100, 27],
    ['heater-200', 'Heater, 200 W', 200, 33],
  ]),
  ...gear('lamp', [
    ['lamp-20', 'Lamp, 20 W', 20, 65],
    ['lamp-60', 'Lamp, 60 W', 60, 145],
    ['lamp-120', 'Lamp, 120 W', 120, 280],
  ]),
  ...gear('co2', [['co2-cylinder', 'CO2 cylinder, 2 kg, filled', 0, 58]], 'cylinder'),
  ...gear('co2', [['co2-regulator', 'CO2 regulator with solenoid', 5, 96]], 'regulator'),
  ...gear('co2', [['co2-check-valve', 'Check valve for CO2', 0, 6]], 'check-valve'),
  ...gear('co2', [['co2-bubble-counter', 'Bubble counter, glass', 0, 14]], 'bubble-counter'),
  ...gear('co2', [['co2-diffuser', 'CO2 diffuser, ceramic', 0, 22]], 'diffuser'),
  ...gear('co2', [['co2-drop-checker', 'Drop checker with reagent', 0, 12]], 'drop-checker'),
  ...gear('media', [['media-set', 'Filter media, set for an outside filter', 0, 24]]),
  ...gear('pipes', [['pipes-glass', 'Glass inflow and outflow, 12/16 mm', 0, 48]]),
  ...gear('skimmer', [['skimmer-5', 'Surface skimmer', 5, 34]]),
  ...gear('timer', [['timer-1', 'Timer socket', 0, 9]]),
  ...gear('mat', [['mat-foam', 'Foam mat, cut to the base', 0, 12]]),
  ...gear('film', [['film-black', 'Background film, a metre', 0, 8]]),
  ...gear('test-kit', [['test-kit', 'Drop tests: ammonia, nitrite, nitrate, pH, GH, KH', 0, 42]]),
  ...gear('food', [['food-fine', 'Fine dry food, 50 g', 0, 6]]),
];
