/** What the buildDay says. */
export const BUILD_DAY = {
  'dayNotes.perKg': 'min and {setPerKg} min a kg',
  'dayNotes.saved': 'Minutes saved here are minutes saved on the day.',
} as const;
