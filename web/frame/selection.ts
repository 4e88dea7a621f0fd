import { ref } from 'vue';

/** The piece or layer that is selected; a finding selects it from any stage. */
export const selectedPiece = ref<string>();
export const selectedLayer = ref<string>();
