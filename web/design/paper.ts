import { useStyleTag } from '@vueuse/core';
import { computed, toValue, type MaybeRefOrGetter } from 'vue';
import { PAPERS } from '../../core/view/tiles';

/** Margin of an ordinary page, mm. */
const MARGIN_MM = 13;
/** Regions whose printers hold Letter; everywhere else A4 (ISO 216). */
const LETTER = new Set(['US', 'CA']);

/** The page that is printed: its sides as it lies in the printer, and its margin, mm. */
export interface Page {
  sizeMm: readonly [number, number];
  marginMm: number;
}

/** An ordinary upright page of the place where the studio works. */
export function pageOf(locale: string): Page {
  return {
    sizeMm: PAPERS[LETTER.has(new Intl.Locale(locale).region ?? '') ? 'Letter' : 'A4'],
    marginMm: MARGIN_MM,
  };
}

/** Sets the page for whatever is printed while this is shown; the innermost that says something counts. */
export function usePage(page: MaybeRefOrGetter<Page | undefined>): void {
  const css = computed(() => {
    const said = toValue(page);
    if (!said) return '';
    const [size, margin] = [said.sizeMm, [said.marginMm]].map((sides) =>
      sides.map((mm) => `${mm}mm`).join(' '),
    );
    return `@page{size:${size};margin:${margin}}`;
  });
  useStyleTag(css, { media: 'print' });
}
