import { describe, expect, it } from 'vitest';
import { clockOf } from '../calendar/clock';
import type { Commission } from '../commission/schema';
import { plan } from '../pipeline/plan';
import type { ComingLine } from '../ordering/coming';
import { resolved } from '../testing/resolved';
import { example } from '../testing/scape';
import { onTheHour } from './onTheHour';

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

  it('is wanted with the first task where no task is of it by name, and by days where it is wanted before', () => {
    const parcels: Commission['parcels'] = [{ reference: 'r-1', hour: '08:15' }];
    const job = resolved({ ...doc, parcels });
    const line = (id: string) => ({ reference: 'r-1', line: id, day: doc.brief.buildDay, given: 1, supplier: 'marl-timber' }) as ComingLine; // prettier-ignore
    const build = { tasks: base.build.tasks, startTime: '08:30' };
    expect(onTheHour(job, build, [line('gravel-glue')])).toEqual([]);
    expect(onTheHour(job, { ...build, startTime: '08:29' }, [line('gravel-glue')]).map((f) => f.limit)).toEqual([509]); // prettier-ignore
    // Wood that soaks is wanted weeks before: the hour of that day says nothing, it is too late.
    const wood = structuredClone(doc);
    wood.catalogue.materials[2].soakDays = 21;
    wood.options[0].joints = [];
    const day = '2026-12-24';
    const late = [{ reference: 'r-1', supplier: 'marl-timber', confirmation: { supplierReference: 'MA-1', deliveryDay: day, totalMinor: 0, lines: [{ item: 'branch', pack: 'branch-m', name: 'x', asked: 1, given: 1 }] } }]; // prettier-ignore
    const { findings } = plan({ ...wood, parcels }, { today: '2026-12-01', cellMm: 20, planted: 'later', placed: late }); // prettier-ignore
    expect(findings.filter((f) => f.at.line === 'branch').map((f) => f.id)).toContain('order.after');
  });

  it('is too late by the day as long as nobody knows the hour, and then waited for', () => {
    expect(found()).toContain('order.after');
    expect(found('08:00')).not.toContain('order.after');
  });
});
