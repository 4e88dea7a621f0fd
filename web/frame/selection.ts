import { computed, ref } from 'vue';
import { openLine } from './openLine';

/** The piece or layer that is selected; a finding selects it from any stage. */
export const selectedPiece = ref<string>();
export const selectedLayer = ref<string>();

/** Further pieces that are moved, turned and copied with the selected one. */
export const selectedBeside = ref<string[]>([]);
/** All of them, the one that is shown first. */
export const selectedPieces = computed(() =>
  selectedPiece.value
    ? [selectedPiece.value, ...selectedBeside.value.filter((id) => id !== selectedPiece.value)]
    : [],
);

/** As a commission is opened: numbers of pieces and lines are its own. */
export function nothingChosen(): void {
  [selectedPiece.value, selectedLayer.value, openLine.value] = [undefined, undefined, undefined];
  selectedBeside.value = [];
}

/** Selects one piece; `further` keeps those that are selected, and takes it out again where it is one of them. */
export function selectPiece(id: string | undefined, further = false): void {
  if (!further || !id || !selectedPiece.value) {
    if (!id || !selectedPieces.value.includes(id)) selectedBeside.value = [];
    selectedPiece.value = id;
    return;
  }
  const rest = selectedPieces.value.filter((other) => other !== id);
  const isOut = rest.length < selectedPieces.value.length;
  selectedPiece.value = isOut ? rest[0] : id;
  selectedBeside.value = isOut ? rest.slice(1) : rest;
}
