import type { Resolved } from '../resolved/resolved';
import { CONTINUOUS_SHARE, powerLoad, type Device, type PowerLoad } from '../site/power';
import type { Finding } from '../words/finding';
import { PRACTICE, say } from '../words/text';
import { rounded } from '../units/quantity';

export interface PowerPlan extends PowerLoad {
  devices: Device[];
  findings: Finding[];
}

/** What all devices draw, and what is short, over or unprotected. */
export function powerPlan(commission: Resolved): PowerPlan {
  const { site, vessel } = commission;
  const devices: Device[] = [
    ...commission.gear.map((g) => g.device),
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

function guardFindings(site: Resolved['site']): Finding[] {
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
