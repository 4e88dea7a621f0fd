/** What the drawing says. */
export const DRAWING = {
  'chartView.failed': 'The chart could not be loaded. Its figures stand beside it.',
  'frontView.pieceAt': '{id}, {material}, at {left} from the left, {front} from the front',
  'seatView.none': 'This browser draws no perspective. The other three views have everything.',
  'seatView.drawing': 'Drawing it from the seat…',
  'frontView.pieceWeighed': '{id}, {material}, {mass}, at {left} from the left, {front} from the front',
  'growing.planted': 'As it is planted',
  'growing.week': 'Week {week}',
  'growing.alt': 'The scape: {when}',
  'growing.drawing': 'Being drawn…',
  'growing.none': 'This browser draws no perspective: there are no pictures of the scape growing.',
  'growing.noFilm':
    'This browser makes no film of a page that came over an open connection. On the machine that Utsuwa runs on it does.',
  'growing.failed': 'The film could not be made. The five pictures show the same weeks.',
  'growing.make': 'Make a film of weeks 0 to 16',
  'growing.again': 'Make it again',
  'growing.making': 'Filming: {percent} %',
  'growing.off': 'Call it off',
  'growing.old': 'The planting has changed since: this film is of what it was.',
  'growing.keep': 'Keep it as WebM',
  'growing.written': 'Week {week}, {day}',
  'growing.waits': 'How it grows is being worked out…',
} as const;
