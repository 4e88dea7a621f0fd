/** What of units a reader may choose, by the words that are shown. */
export const UNITS = [
  { value: 'metric', title: 'millimetres, litres, kilograms, °C' },
  { value: 'us', title: 'inches, US gallons, pounds, °F' },
];
const AS_UNITS = { value: 'as-units', title: 'as the units have them' };
export const VOLUMES = [
  AS_UNITS,
  { value: 'metric', title: 'litres' },
  { value: 'us', title: 'US gallons' },
  { value: 'imperial', title: 'imperial gallons' },
];
export const MASSES = [AS_UNITS, { value: 'metric', title: 'kilograms' }, { value: 'us', title: 'pounds' }];
export const TEMPERATURES = [AS_UNITS, { value: 'metric', title: '°C' }, { value: 'us', title: '°F' }];
export const HARDNESS = [
  { value: 'degree', title: 'degrees, °d' },
  { value: 'ppm', title: 'mg/L as CaCO3' },
  { value: 'mmol', title: 'mmol/L' },
];
