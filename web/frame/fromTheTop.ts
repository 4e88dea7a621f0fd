import { watch, type Ref } from 'vue';
import { useRoute } from 'vue-router';

/** A stage opens at its top, however far down the one before it was read. What is led to is brought into sight after that. */
export function useFromTheTop(box: Ref<HTMLElement | undefined | null>): void {
  const route = useRoute();
  watch(
    () => route.name,
    () => {
      if (box.value) box.value.scrollTop = 0;
    },
    { flush: 'pre' },
  );
}
