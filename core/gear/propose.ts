import { plantOf } from '../commission/lookup';
import type { Commission, Material } from '../commission/schema';
import { rounded } from '../units/quantity';
import type { Device, GearKind } from './gear';

/** What a proposal rests on: free water, L, heaters that the heat balance asks for, W, and the plants of the option. */
export interface Need {
  freeWaterL: number;
  heatersW: readonly number[];
  plants: readonly string[];
}

/** Turnover of the free water an hour that a filter is chosen for, times (common practice: 5 to 10). */
export const TURNOVER = [5, 10] as const;
/** Watts of lamp for each litre by the plant that wants most light, and of a pump (common practice). */
const LAMP_W_PER_L = { low: 0.3, medium: 0.5, high: 0.8 } as const;
const PUMP_W_PER_L = 0.1;
const LEAST_PUMP_W = 6;
const VALVE_W = 5;

/**
 * Gear for a vessel: heaters by the heat balance, a filter by turnover, a lamp by the plant that wants most light,
 * gas where the brief has it, a timer. Where an article of the list serves, it is that one and it is bought.
 * Valid for planted tanks. Leaves out: head of the pump, how a lamp spreads, noise.
 * Test: gear.test.ts, "is proposed from litres, heat and light, with the smallest article that serves".
 */
export function proposedGear(
  commission: Pick<Commission, 'brief' | 'catalogue'>,
  { freeWaterL, heatersW, plants }: Need,
  articles: readonly Material[] = commission.catalogue.materials,
): Device[] {
  const flow = TURNOVER[0] * freeWaterL;
  const lampW = freeWaterL * LAMP_W_PER_L[lightClass(commission, plants)];
  const wanted: { id: string; kind: GearKind; name: string; watts: number; litresPerHour?: number }[] = [
    { id: 'filter', kind: 'filter', name: 'filter', watts: Math.max(LEAST_PUMP_W, rounded(freeWaterL * PUMP_W_PER_L, 0)), litresPerHour: rounded(flow, 0) }, // prettier-ignore
    ...heatersW.map((watts, i) => ({ id: heatersW.length > 1 ? `heater-${i + 1}` : 'heater', kind: 'heater' as const, name: 'heater', watts })), // prettier-ignore
    { id: 'light', kind: 'lamp', name: 'light', watts: rounded(lampW, 0) },
    ...(commission.brief.co2
      ? [{ id: 'valve', kind: 'co2' as const, name: 'CO2 valve', watts: VALVE_W }]
      : []),
  ];
  return wanted.map((device): Device => {
    const article = smallest(articles, device);
    if (!article) return device;
    const { litresPerHour } = article;
    return {
      ...device,
      name: article.name,
      watts: article.watts ?? device.watts,
      ...(litresPerHour ? { litresPerHour } : {}),
      material: article.id,
      origin: 'bought',
    };
  });
}

/** The smallest article of a kind that moves, heats or lights enough; undefined where none does. */
function smallest(
  articles: readonly Material[],
  { kind, watts, litresPerHour = 0 }: { kind: GearKind; watts: number; litresPerHour?: number },
): Material | undefined {
  const own = articles.filter((a) => a.kind === 'equipment' && a.gear === kind);
  const power = (a: Material) => (kind === 'filter' ? (a.litresPerHour ?? 0) : (a.watts ?? 0));
  const least = kind === 'filter' ? litresPerHour : kind === 'co2' ? 0 : watts;
  return own.filter((a) => power(a) >= least).sort((a, b) => power(a) - power(b))[0];
}

function lightClass(
  { catalogue }: Pick<Commission, 'catalogue'>,
  plants: readonly string[],
): keyof typeof LAMP_W_PER_L {
  const known = catalogue.plants.length > 0 ? plants : [];
  const wanted = known.map((id) => plantOf({ catalogue } as Commission, id).light ?? 'medium');
  if (wanted.includes('high')) return 'high';
  return wanted.length > 0 && wanted.every((l) => l === 'low') ? 'low' : 'medium';
}
