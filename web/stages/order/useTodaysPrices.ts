import { computed, ref, shallowRef, watch, type Ref } from 'vue';
import type { PriceToday } from '../../../core/catalogue/listed';
import type { Order } from '../../../core/ordering/order';
import { pricesSince, stillBought } from '../../../core/ordering/todaysPrices';
import { useCommission } from '../../document/commissionStore';
import { prices } from '../../document/prices';

/** What is still to be ordered and has another price today than it was quoted at; `isKnown` once the lists were asked. */
export function useTodaysPrices(order: Readonly<Ref<Order | undefined>>) {
  const commission = useCommission();
  const today = shallowRef<PriceToday[]>([]);
  const isKnown = ref(false);
  /** Asked for once by what is bought, not by every change of how many. */
  const asked = computed(() => order.value && JSON.stringify([...stillBought(order.value).keys()].sort()));
  watch(
    asked,
    async (now) => {
      if (now === undefined) return;
      const packs = (JSON.parse(now) as string[]).map((key) => {
        const [supplier, article] = JSON.parse(key) as [string, string];
        return { supplier, article };
      });
      const found = packs.length === 0 ? [] : await prices.today(packs).then((a) => a.prices, () => []); // prettier-ignore
      if (asked.value !== now) return;
      today.value = found;
      isKnown.value = true;
    },
    { immediate: true },
  );
  const others = computed(() =>
    order.value ? pricesSince(commission.document!.catalogue, order.value, today.value) : [],
  );
  return { others, isKnown };
}
