import { ref } from 'vue';

/** The take-off line whose workings are open: a figure in the Tally opens it from any stage. */
export const openLine = ref<string>();
