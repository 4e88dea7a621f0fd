/** What a CO2 set is put together from, on the way of the gas. */
export const CO2_PARTS = [
  'cylinder',
  'regulator',
  'check-valve',
  'bubble-counter',
  'diffuser',
  'drop-checker',
] as const;
