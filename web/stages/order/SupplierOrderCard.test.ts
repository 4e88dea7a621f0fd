import { describe, expect, it, vi } from 'vitest';
import type { Confirmation } from '../../../core/ordering/confirmation';
import { order } from '../../../core/ordering/order';
import { survey } from '../../../core/survey/survey';
import { takeOff } from '../../../core/takeoff/takeOff';
import { example } from '../../../core/testing/scape';
import { inEnglish } from '../../../core/words/english';
import type { SentOrder } from '../../document/api';
import { mount } from '../../testing/mount';
import SupplierOrderCard from './SupplierOrderCard.vue';
import { resolved } from '../../../core/testing/resolved';

const commission = example('held-root');
const taken = takeOff(resolved(commission), survey(commission));
const ordered = (confirmation?: Confirmation) =>
  order(resolved(commission), taken, '2027-01-07', confirmation ? [{ reference: 'r', supplier: 'marl-timber', confirmation }] : []); // prettier-ignore
const asked = ordered().suppliers.find((s) => s.supplier === 'marl-timber')!.lines;

/** What the yard answers: all of it on the 12th, unless said otherwise. */
function answer(given: (count: number, pack: string) => number = (n) => n): Confirmation {
  const lines = asked.map(({ line, pack, count, name }) => {
    const there = given(count, pack);
    const remark = there < count ? `only ${there} in stock` : undefined;
    return { item: line, pack, name: inEnglish(name), asked: count, given: there, ...(remark ? { remark } : {}) }; // prettier-ignore
  });
  return { supplierReference: 'MA-12345', deliveryDay: '2027-01-12', totalMinor: 11_800, lines };
}

function card(sent?: Partial<SentOrder>) {
  const all: SentOrder[] = sent
    ? [
        {
          reference: 'r',
          supplier: 'marl-timber',
          state: 'confirmed',
          reason: null,
          sentAt: '',
          answeredAt: null,
          confirmation: null,
          ...sent,
        },
      ]
    : [];
  const now = ordered(sent?.confirmation ?? undefined);
  const props = {
    group: now.suppliers.find((s) => s.supplier === 'marl-timber')!,
    currency: 'GBP',
    findings: now.findings.filter((f) => f.at.supplier === 'marl-timber'),
    sent: all,
    onOrder: vi.fn(),
  };
  return { ...mount(SupplierOrderCard, props), order: props.onOrder };
}

describe('an order to a supplier', () => {
  it('lists what is asked for, by when, and is looked over before it is sent', async () => {
    const c = card();
    expect(c.words()).toMatch(/Marl & Timber Yard order by Fri 8 Jan/);
    expect(c.words()).toMatch(/2 × 9 L Active soil, granules arrives Tue 12 Jan by 8 Jan £64\.00/);
    await c.click('button');
    expect(c.order).toHaveBeenCalledTimes(1);
  });

  it('waits for an answer, and cannot be sent twice meanwhile', () => {
    const c = card({ state: 'sending' });
    expect(c.words()).toContain('waiting for the answer');
    expect(c.find<HTMLButtonElement>('button').disabled).toBe(true);
  });

  it('is done once all of it is confirmed: number, day, price, and nothing to send', () => {
    const c = card({ confirmation: answer() });
    expect(c.words()).toMatch(/all of it is confirmed MA-12345 comes Tue 12 Jan ?All of it came ?£118\.00 2 × 9 L Active soil, granules/); // prettier-ignore
    expect(c.el.querySelector('[data-test="order"]')).toBeNull();
  });

  it('says what came in part, and asks for the rest', () => {
    const c = card({ state: 'partly', confirmation: answer((n, pack) => (pack === 'soil-9' ? 1 : n)) });
    expect(c.words()).toContain('1 × 9 L Active soil, granules of 2 asked for, only 1 in stock');
    expect(c.words()).toContain('Marl & Timber Yard gives 1 of 2 packs of Active soil, granules.');
    expect(c.words()).toMatch(/3 × 3 L Active soil, granules/);
    expect(c.find('button').textContent!.trim()).toBe('Order the rest');
    // Too few is no reason to call the day late on which the rest can still be ordered.
    expect(c.el.querySelector('header .late, td.late')).toBeNull();
  });

  it('can be sent again after a refusal or when nobody answered', () => {
    const refused = card({ state: 'refused', reason: 'Closed until spring.' });
    expect(refused.words()).toContain('Refused: Closed until spring.');
    expect(refused.find('button').textContent!.trim()).toBe('Send again');
    expect(card({ state: 'unreachable', reason: 'No answer.' }).words()).toContain(
      'Not confirmed: No answer.',
    );
  });
});
