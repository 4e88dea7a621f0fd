/*
 * Warmth of a tank in a room at rest: what goes through the panes, what evaporates, what devices bring.
 */

/** Thermal transmittance of a single pane in still air, W/m²K: 0.13 + 0.04 m²K/W (ISO 6946, from memory). */
export const GLASS_U = 5.6;
/** Surface of open water to the room, by convection and radiation, W/m²K (ISO 6946: 1/0.10, from memory). */
export const OPEN_U = 10;
/** A lid stops nearly all evaporation; what is left of it (common practice). */
const LID_LEAK = 0.1;
/** Relative humidity of a room when it is not known: the middle of what is comfortable (30 to 70 %: ISO 7730, from memory). */
export const HUMIDITY = 0.5;
/** Share of the still-pool rate at an undisturbed surface (ASHRAE Applications, private pool, from memory). */
const CALM = 0.5;
/** Latent heat of water near 24 °C, kJ/kg (from memory of steam tables). */
const LATENT_KJ_PER_KG = 2444;

export interface HeatAsk {
  /** Panes that water touches, bottom included, and the open surface, m². */
  glassM2: number;
  surfaceM2: number;
  lid: boolean;
}

/**
 * Saturation pressure of water vapour, kPa: Magnus form of WMO No. 8, from memory. 2.98 kPa at 24 °C.
 * Valid for 0 to 50 °C. Leaves out: dissolved salts.
 * Test: site.test.ts, "has vapour pressures of 2.34 kPa at 20 °C and 2.98 at 24 °C (steam tables, from memory)".
 */
export function saturationKPa(celsius: number): number {
  return 0.6112 * Math.exp((17.62 * celsius) / (243.12 + celsius));
}

/**
 * Water that evaporates, kg an hour: A·(pw − pa)·0.089 / latent heat, times a calm surface (ASHRAE).
 * Valid for still rooms, 10 to 35 °C. Leaves out: draughts, fans and a film on the surface.
 * Test: site.test.ts, "evaporates more from an open top, and more in a cool room".
 */
export function evaporationKgPerH(ask: HeatAsk, waterC: number, roomC: number): number {
  const drive = Math.max(0, saturationKPa(waterC) - HUMIDITY * saturationKPa(roomC));
  const perSecond = (ask.surfaceM2 * drive * 0.089 * CALM) / LATENT_KJ_PER_KG;
  return perSecond * 3600 * (ask.lid ? LID_LEAK : 1);
}

export interface HeatLoss {
  glassW: number;
  surfaceW: number;
  evaporationW: number;
  totalW: number;
}

/**
 * Heat that leaves a tank at one temperature in a room at another, W: U·A·ΔT and evaporation.
 * Valid for tanks at rest in a still room. Leaves out: sun, the stand’s insulation, warmth kept in stone and bed.
 * Test: site.test.ts, "leaves through single glass at U·A·ΔT: 5.6 · 1.5 · 6 = 50.4 W".
 */
export function heatLoss(ask: HeatAsk, waterC: number, roomC: number): HeatLoss {
  const glassW = GLASS_U * ask.glassM2 * (waterC - roomC);
  const surfaceW = (ask.lid ? GLASS_U : OPEN_U) * ask.surfaceM2 * (waterC - roomC);
  const evaporationW = (evaporationKgPerH(ask, waterC, roomC) * LATENT_KJ_PER_KG) / 3.6;
  return { glassW, surfaceW, evaporationW, totalW: glassW + surfaceW + evaporationW };
}

/**
 * Temperature at which what devices bring equals what leaves, °C; found by halving.
 * Valid for 10 °C under to 40 °C over the room. Leaves out: how long it takes to come to rest.
 * Test: site.test.ts, "rests where gain and loss are equal".
 */
export function restingCelsius(ask: HeatAsk, roomC: number, devicesW: number): number {
  let [low, high] = [roomC - 10, roomC + 40];
  for (let i = 0; i < 60; i++) {
    const middle = (low + high) / 2;
    if (heatLoss(ask, middle, roomC).totalW < devicesW) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

/** Heaters are sold in these sizes, W (common practice). */
export const HEATER_SIZES = [25, 50, 75, 100, 150, 200, 250, 300, 400, 500] as const;

/** The heaters that make up a loss, W: the next size up, or two alike, so that one failing cooks nothing. */
export function heatersFor(watts: number): number[] {
  if (watts <= 0) return [];
  const one = HEATER_SIZES.find((w) => w >= watts);
  if (one !== undefined && one <= 200) return [one];
  const each = HEATER_SIZES.find((w) => w >= watts / 2) ?? 500;
  const count = Math.max(2, Math.ceil(watts / each));
  return Array.from({ length: count }, () => each);
}

/** The trade's rule, W: half a watt to one watt a litre (common practice). */
export function ruleOfThumbW(volumeL: number): [number, number] {
  return [0.5 * volumeL, volumeL];
}
