/**
 * Currencies whose minor unit is not a hundredth, by decimal places. Source: the exponents of ISO 4217, list
 * one; money.test.ts holds them against the list as a package keeps it. (What browsers carry differs from the
 * standard: it follows custom, and gives the forint none.)
 */
const PLACES: Readonly<Record<number, string>> = {
  0: 'BIF CLP DJF GNF ISK JPY KMF KRW PYG RWF UGX UYI VND VUV XAF XOF XPF',
  3: 'BHD IQD JOD KWD LYD OMR TND',
  4: 'CLF UYW',
};
const USUAL_PLACES = 2;
const known = new Map(
  Object.entries(PLACES).flatMap(([places, codes]) => codes.split(' ').map((c) => [c, Number(places)])),
);

/** Decimal places of a currency, by which its minor unit divides the major one: 2 for GBP, none for JPY. */
export function placesOf(currency: string): number {
  return known.get(currency) ?? USUAL_PLACES;
}

/** An amount in the major unit: 1250 pence are 12.5 pounds. */
export function majorOf(minor: number, currency: string): number {
  return minor / 10 ** placesOf(currency);
}

/** An amount in the minor unit, whole: 12.5 pounds are 1250 pence. */
export function minorOf(major: number, currency: string): number {
  return Math.round(major * 10 ** placesOf(currency));
}

/** An amount with the places its currency has and without its name: `12.50`, in yen `1250`. */
export function amount(minor: number, currency: string): string {
  return majorOf(minor, currency).toFixed(placesOf(currency));
}
