/** What was changed in a commission. */
export const HISTORY = {
  'history.title': 'What was changed, and by whom',
  'history.none': 'Nothing has been changed since this is written down.',
  'history.somebody': 'somebody',
  'history.before': 'Back to before this',
  'history.takeBack': 'Take back',
  'history.much': 'Much at once: what it was is not kept.',
  'history.besides': '{count, plural, one {and one change more} other {and # changes more}}',
  'history.more': 'Older ones',
  'history.back': 'Taken back. Undo brings it in again.',
  'history.since': 'It was changed again since: take that back first.',
  'history.notKnown': 'Among what came after it is one of which is not kept what it was.',
  'history.asItWas': 'As it was before. Undo brings back how it is now.',
} as const;
