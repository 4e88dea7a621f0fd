/** A device on the site's list: its name and what it draws, W. */
export interface Device {
  name: string;
  watts: number;
}

export interface PowerLoad {
  watts: number;
  amps: number;
  plugs: number;
  /** Sockets that are missing. */
  socketsShort: number;
  /** Share of the circuit's rating that is drawn; left out where the rating is not known. */
  circuitShare?: number;
  /** Watts that may stay on at that rating; left out where it is not known. */
  stayW?: number;
}

/** Mains voltage where it is not given, V (EN 50160, from memory). */
export const USUAL_VOLTS = 230;
/** A load that stays on takes at most this share of a circuit (NEC 210.20, from memory; elsewhere a custom). */
export const CONTINUOUS_SHARE = 0.8;

/**
 * What all devices together draw, and whether there are sockets for them.
 * Valid for loads that stay on, on one circuit. Leaves out: starting currents and power factor.
 * Test: site.test.ts, "adds up: 260 W are 1.13 A at 230 V".
 */
export function powerLoad(
  devices: readonly Device[],
  { sockets, circuitA, volts = USUAL_VOLTS }: { sockets?: number; circuitA?: number; volts?: number },
): PowerLoad {
  const watts = devices.reduce((sum, d) => sum + d.watts, 0);
  // Lids, stands and media draw nothing and need no plug.
  const plugs = devices.filter((d) => d.watts > 0).length;
  return {
    watts,
    amps: watts / volts,
    plugs,
    socketsShort: sockets === undefined ? 0 : Math.max(0, plugs - sockets),
    ...(circuitA === undefined
      ? {}
      : { circuitShare: watts / volts / circuitA, stayW: circuitA * CONTINUOUS_SHARE * volts }),
  };
}
