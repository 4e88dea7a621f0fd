import { describe, expect, it, vi } from 'vitest';
import { inEnglish } from '../../../core/words/english';
import { order } from '../../../core/ordering/order';
import { survey } from '../../../core/survey/survey';
import { takeOff } from '../../../core/takeoff/takeOff';
import { example } from '../../../core/testing/scape';
import type { SentOrder } from '../../document/api';
import { mount } from '../../testing/mount';
import SupplierOrderCard from './SupplierOrderCard.vue';

const commission = example('held-root');
const whole = order(commission, takeOff(commission, survey(commission)), '2027-01-07');
const group = whole.suppliers.find((s) => s.supplier === 'marl-timber')!;
const asked = group.lines.map((l) => ({
  pack: l.pack,
  name: inEnglish(l.name),
  asked: l.count,
  given: l.count,
}));

function card(sent?: Partial<SentOrder>, given = asked) {
  const confirmation = {
    supplierReference: 'MA-12345',
    deliveryDay: '2027-01-12',
    totalMinor: 11_800,
    lines: given,
  };
  const whole: SentOrder = {
    reference: 'r',
    supplier: 'marl-timber',
    state: 'confirmed',
    reason: null,
    sentAt: '',
    answeredAt: null,
    confirmation,
  };
  const send = vi.fn();
  const props = {
    group,
    currency: 'GBP',
    findings: [],
    onSend: send,
    ...(sent ? { sent: { ...whole, ...sent } } : {}),
  };
  return { ...mount(SupplierOrderCard, props), send };
}

describe('an order to a supplier', () => {
  it('lists what is asked for, by when, and can be sent', async () => {
    const c = card();
    expect(c.words()).toMatch(/Marl & Timber Yard order by Fri 8 Jan/);
    expect(c.words()).toMatch(/2 × 9 L Active soil, granules arrives Tue 12 Jan by 8 Jan £64\.00/);
    await c.click('button');
    expect(c.send).toHaveBeenCalledTimes(1);
  });

  it('waits for an answer, and cannot be sent twice meanwhile', () => {
    const c = card({ state: 'sending', confirmation: null });
    expect(c.words()).toContain('waiting for the answer');
    expect(c.find<HTMLButtonElement>('button').disabled).toBe(true);
  });

  it('shows a confirmation, and is done', () => {
    const c = card({});
    expect(c.words()).toContain('Confirmed as MA-12345, delivered Tue 12 Jan, £118.00.');
    expect(c.find('button').textContent).toBe('Sent');
  });

  it('shows what came in part, beside its line', () => {
    const c = card({ state: 'partly' }, [
      { ...asked[0], given: 1, remark: 'only 1 in stock' } as (typeof asked)[0],
      ...asked.slice(1),
    ]);
    expect(c.words()).toContain('Confirmed in part');
    expect(c.words()).toContain('Active soil, granules only 1 in stock');
  });

  it('says when the scape has changed since, and can be sent as it is now', () => {
    const c = card({}, [{ ...asked[0], asked: 9, given: 9 }, ...asked.slice(1)]);
    expect(c.words()).toContain('The scape has changed since.');
    expect(c.find<HTMLButtonElement>('button').disabled).toBe(false);
  });

  it('can be sent again after a refusal or when nobody answered', () => {
    const refused = card({ state: 'refused', reason: 'Closed until spring.', confirmation: null });
    expect(refused.words()).toContain('Refused: Closed until spring.');
    expect(refused.find('button').textContent).toBe('Send again');
    expect(card({ state: 'unreachable', reason: 'No answer.', confirmation: null }).words()).toContain(
      'Not confirmed: No answer.',
    );
  });
});
