import type { Layer } from '../../../core/commission/schema';

/** The layer that handles, brushes and typed values are for: the selected one, otherwise the soil that makes the slope. */
export function chosenLayer(bed: readonly Layer[], selected: string | undefined): Layer | undefined {
  return bed.find((l) => l.id === selected) ?? bed.find((l) => !l.cuts && l.top.kind === 'ramp') ?? bed[0];
}
