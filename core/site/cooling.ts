/** Heat that a kilogram of water holds for each degree, kJ/kgK (steam tables, from memory: 4.18 at 20 °C). */
const WATER_KJ = 4.18;

/** Water that stands without a heater: how much, through what it loses warmth. */
export interface Standing {
  litres: number;
  /** Conductance to the room, W/K: the sum of U·A over all its faces. */
  wattsPerK: number;
}

/**
 * Temperature after some hours in a room, °C: Newton's law of cooling, T = room + (T0 − room)·e^(−UA·t / mc).
 * 60 L at 24 °C that lose 5 W/K to a room of 17 °C are at 21.9 °C after five hours.
 * Valid for water that is mixed and covered. Leaves out: evaporation from open water, warmth in the floor.
 * Test: cooling.test.ts, "cools as Newton has it".
 */
export function cooledCelsius({ litres, wattsPerK }: Standing, waterC: number, roomC: number, hours: number): number {
  return roomC + (waterC - roomC) * Math.exp(-rateAnHour({ litres, wattsPerK }) * hours);
} // prettier-ignore

/** Hours until so many degrees are lost; Infinity where the room never takes as many. */
export function hoursToLose(standing: Standing, waterC: number, roomC: number, degrees: number): number {
  const share = degrees / (waterC - roomC);
  return share > 0 && share < 1 ? -Math.log(1 - share) / rateAnHour(standing) : Infinity;
}

function rateAnHour({ litres, wattsPerK }: Standing): number {
  return (wattsPerK * 3.6) / (litres * WATER_KJ);
}
