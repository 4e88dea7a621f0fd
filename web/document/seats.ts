import { computed, ref } from 'vue';
import { useCommission } from './commissionStore';

/** The seats of the brief, and the one that is looked from: the first until another is chosen. */
export function useSeats() {
  const commission = useCommission();
  const seats = computed(() => commission.document?.brief.seats ?? []);
  const seatId = ref(seats.value[0]?.id ?? '');
  const seat = computed(() => seats.value.find((s) => s.id === seatId.value));
  return { seats, seatId, seat };
}
