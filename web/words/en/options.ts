/** What the options says. */
export const OPTIONS = {
  'optionsSheet.now': 'before any work',
  'optionsSheet.chosen': 'the chosen one drives order and build; the others stay',
  'optionFigures.daysBefore': '{days, plural, one {# day before} other {# days before}} the build',
  'optionFigures.asFurniture': 'as furniture of that mass',
  'optionFigures.day':
    '{tasks, plural, one {# task} other {# tasks}}, {people, plural, one {# person} other {# people}}',
} as const;
