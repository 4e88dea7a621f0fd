import type { Brief, Commission, Site, Vessel } from '../../core/commission/schema';
import { useCommission } from './commissionStore';

/** An object with one field set, or without it when the answer is taken back. */
function withField<T extends object, K extends keyof T>(whole: T, key: K, value: T[K] | undefined): T {
  const next = { ...whole, [key]: value };
  if (value === undefined || (value as unknown) === '') delete next[key];
  return next;
}

/** Edits of brief, vessel and site; each answers with what is wrong, if anything, and changes nothing then. */
export function useDocEdit() {
  const commission = useCommission();
  const edit = (key: string, change: (d: Commission) => Commission) => commission.tryEdit(key, change);
  const brief = <K extends keyof Brief>(key: K, value: Brief[K] | undefined) =>
    edit(`brief ${String(key)}`, (d) => ({ ...d, brief: withField(d.brief, key, value) }));
  const vessel = <K extends keyof Vessel>(key: K, value: Vessel[K] | undefined) =>
    edit(`vessel ${String(key)}`, (d) => ({ ...d, vessel: withField(d.vessel, key, value) }));
  const vesselParts = (key: string, part: Partial<Vessel>) =>
    edit(`vessel ${key}`, (d) => ({ ...d, vessel: { ...d.vessel, ...part } }));
  const site = <K extends keyof Site>(key: K, value: Site[K] | undefined) =>
    edit(`site ${String(key)}`, (d) => ({ ...d, site: withField(d.site ?? {}, key, value) }));
  const tap = <K extends keyof NonNullable<Site['tap']>>(
    key: K,
    value: NonNullable<Site['tap']>[K] | undefined,
  ) =>
    edit(`tap ${String(key)}`, (d) => ({
      ...d,
      site: { ...d.site, tap: withField(d.site?.tap ?? {}, key, value) },
    }));
  const target = (key: 'gh' | 'kh' | 'tempC', value: number | undefined) =>
    edit(`target ${key}`, (d) => ({
      ...d,
      site: { ...d.site, target: withField(d.site?.target ?? {}, key, value) },
    }));
  return { edit, brief, vessel, vesselParts, site, tap, target };
}
