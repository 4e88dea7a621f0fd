/** What cannot be had in time. */
export const ORDERING = {
  'order.never.says': '{supplier} does not deliver {name} before {day}.',
  'order.never.because': 'It is closed on every delivery day of the year before. Choose another supplier.',
  'order.late.says': '{name} had to be ordered by {day}, {late, plural, one {# day ago} other {# days ago}}.',
  'order.late.because':
    '{supplier} cannot bring it before {day}. Ask for it sooner, choose another supplier, or move the build day.',
  'order.keeps.says': '{name} arrives {early} days before it is needed and keeps {keeps}.',
  'order.keeps.because': 'The last delivery is too early. Choose another supplier or move the build day.',
} as const;
