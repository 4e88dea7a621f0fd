import { createPinia, setActivePinia } from 'pinia';
import { afterEach, expect, it } from 'vitest';
import { plan } from '../../../core/pipeline/plan';
import { slateValley } from '../../../demo/commissions/slateValley';
import { useCommission } from '../../document/commissionStore';
import { mount, type Mounted } from '../../testing/mount';
import LayerValues from './LayerValues.vue';

const TODAY = '2026-11-25';
let shown: Mounted;
afterEach(() => shown.unmount());

it('asks of filler whether it lies in bags: loose filler buys none', async () => {
  const pinia = createPinia();
  setActivePinia(pinia);
  const commission = useCommission();
  commission.document = slateValley(TODAY);
  commission.optionId = commission.document.chosen;
  const filler = () =>
    commission.option!.bed.find(
      (l) => commission.document!.catalogue.materials.find((m) => m.id === l.material)?.kind === 'filler',
    )!;
  const bags = () =>
    plan(commission.document!, { today: TODAY }).takeOff.lines.find((l) => l.id === 'mesh-bag');
  expect(bags()!.needed.value).toBeGreaterThan(0);
  shown = mount(LayerValues, { layer: filler(), materials: commission.document.catalogue.materials }, pinia);
  await shown.click('[data-test="bagged"] input');
  expect(filler().bagged).toBe(false);
  expect(bags()?.needed.value ?? 0).toBe(0);
});
