import type { Commission, Site } from '../commission/schema';
import { CONTINUOUS_SHARE, powerLoad, type Device, type PowerLoad } from '../site/power';
import type { Finding } from '../words/finding';
import { PRACTICE, say } from '../words/text';
import { rounded } from '../units/quantity';
import type { HeatPlan } from './heat';

export interface PowerPlan extends PowerLoad {
  devices: Device[];
  findings: Finding[];
}

/** What all devices draw, and what is short, over or unprotected. */
export function powerPlan({ site, vessel }: Commission): PowerPlan {
  const devices: Device[] = [
    ...(site?.devices ?? []),
    ...(vessel.backlightW ? [{ name: 'backlight', watts: vessel.backlightW }] : []),
  ];
  const load = powerLoad(devices, site ?? {});
  return {
    ...load,
    devices,
    findings: [...loadFindings(load, site?.sockets, site?.circuitA), ...guardFindings(site)],
  };
}

function loadFindings(load: PowerLoad, sockets?: number, circuitA?: number): Finding[] {
  const found: Finding[] = [];
  if (load.socketsShort > 0)
    found.push({
      id: 'power.sockets',
      severity: 'warn',
      at: { field: 'site.sockets' },
      measured: sockets ?? 0,
      limit: load.plugs,
      unit: 'sockets',
      says: say('power.sockets.says', {
        short: load.socketsShort,
        plugs: load.plugs,
        sockets: sockets ?? 0,
      }),
      because: say('power.sockets.because'),
      source: say('source.site'),
    });
  if (load.circuitShare !== undefined && load.circuitShare > CONTINUOUS_SHARE)
    found.push({
      id: 'power.load',
      severity: 'stop',
      at: { field: 'site.circuitA' },
      measured: rounded(load.amps, 1),
      limit: rounded((circuitA ?? 0) * CONTINUOUS_SHARE, 1),
      unit: 'A',
      says: say('power.load.says', {
        amps: rounded(load.amps, 1),
        circuit: circuitA ?? 0,
        most: rounded((circuitA ?? 0) * CONTINUOUS_SHARE, 1),
      }),
      because: say('power.load.because'),
      source: say('source.nec'),
    });
  return found;
}

function guardFindings(site: Commission['site']): Finding[] {
  const found: Finding[] = [];
  const base = { measured: 0, limit: 1, source: PRACTICE };
  if (site?.residualCurrent === false)
    found.push({
      ...base,
      id: 'power.protection',
      severity: 'stop',
      at: { field: 'site.residualCurrent' },
      unit: 'devices',
      says: say('power.protection.says'),
      because: say('power.protection.because'),
    });
  if (site?.dripLoops === false)
    found.push({
      ...base,
      id: 'power.loops',
      severity: 'warn',
      at: { field: 'site.dripLoops' },
      unit: 'loops',
      says: say('power.loops.says'),
      because: say('power.loops.because'),
    });
  return found;
}

/** Watts of light and of pump for each litre of a planted tank (common practice). */
const LIGHT_W_PER_L = 0.5;
const PUMP_W_PER_L = 0.1;
const LEAST_PUMP_W = 6;
const VALVE_W = 5;

/** A list to begin with: heater by the heat balance, light and filter by litres, valve where there is CO2. */
export function usualDevices(
  { brief }: Commission,
  { heatersW, thumbW }: Pick<HeatPlan, 'heatersW' | 'thumbW'>,
): NonNullable<Site['devices']> {
  // The rule of thumb's upper figure is one watt a litre: it has the litres.
  const litres = thumbW[1];
  return [
    ...heatersW.map((watts, i) => ({ id: `heater-${i + 1}`, name: 'heater', watts })),
    { id: 'light', name: 'light', watts: rounded(litres * LIGHT_W_PER_L, 0) },
    { id: 'filter', name: 'filter', watts: Math.max(LEAST_PUMP_W, rounded(litres * PUMP_W_PER_L, 0)) },
    ...(brief.co2 ? [{ id: 'valve', name: 'CO2 valve', watts: VALVE_W }] : []),
  ];
}
