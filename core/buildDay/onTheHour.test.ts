import { describe, expect, it } from 'vitest';
import { clockOf } from '../calendar/clock';
import type { Commission } from '../commission/schema';
import { plan } from '../pipeline/plan';
import { example } from '../testing/scape';

const doc = example('held-root');
const base = plan(doc, { today: '2026-12-20', cellMm: 20, planted: 'later' });
const carpet = base.takeOff.lines.find((l) => l.id === 'carpet-grass')!;
const placed = [{ reference: 'r-1', supplier: 'glasshouse-nine', confirmation: {
  supplierReference: 'GL-1', deliveryDay: doc.brief.buildDay, totalMinor: 0,
  lines: carpet.packs.map(({ pack, count }) => ({ item: carpet.id, pack, name: 'x', asked: count, given: count })),
} }]; // prettier-ignore
const found = (hour?: string) => {
  const parcels: Commission['parcels'] = hour ? [{ reference: 'r-1', openedBy: 'Ines', hour }] : [];
  const { findings } = plan(
    { ...doc, parcels },
    { today: '2026-12-20', cellMm: 20, planted: 'later', placed },
  );
  return findings.filter((f) => f.at.line === carpet.id).map((f) => f.id);
};

describe('plants that come on the day itself', () => {
  it('is in time as long as it is unpacked when the first task wants it', () => {
    const first = base.build.tasks.find((t) => t.id.startsWith('plant-carpet-grass'))!;
    // Opened, looked through and rinsed within an hour (common practice).
    const at = (minute: number) => clockOf(base.build.startTime, first.startMin + minute);
    expect(found(at(-60))).toEqual([]);
    expect(found(at(-59))).toEqual(['build.hour']);
  });

  it('is too late by the day as long as nobody knows the hour, and then waited for', () => {
    expect(found()).toContain('order.after');
    expect(found('08:00')).not.toContain('order.after');
  });
});
