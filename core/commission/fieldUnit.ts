/** Units that the names of the document's fields end in (`docs/format.md`), the longer before what they end in themselves. */
const ENDINGS: Readonly<Record<string, string>> = {
  Mm: 'mm',
  Kg: 'kg',
  Deg: '°',
  MgL: 'mg/L',
  L: 'L',
  W: 'W',
  C: '°C',
  M: 'm',
};
/** Fields that are called by their unit, or by what is always measured in one. */
const WHOLE: Readonly<Record<string, string>> = { mm: 'mm', celsius: '°C', gh: '°d', kh: '°d', watts: 'W' };

/** A field's name without its unit, and that unit; what is so much per something else has none of these. */
export function fieldUnit(name: string): { stem: string; unit?: string } {
  const ending = Object.keys(ENDINGS).find(
    (e) => name.endsWith(e) && /[a-z]/.test(name.at(-e.length - 1) ?? ''),
  );
  const stem = name.slice(0, name.length - (ending?.length ?? 0));
  if (ending && !stem.includes('Per')) return { stem, unit: ENDINGS[ending] };
  return Object.hasOwn(WHOLE, name) ? { stem: name, unit: WHOLE[name] } : { stem: name };
}
