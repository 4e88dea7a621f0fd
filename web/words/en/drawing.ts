/** What the drawing says. */
export const DRAWING = {
  'chartView.failed': 'The chart could not be loaded. Its figures stand beside it.',
  'frontView.pieceAt': '{id}, {material}, at {left} from the left, {front} from the front',
  'seatView.none': 'This browser draws no perspective. The other three views have everything.',
  'seatView.drawing': 'Drawing it from the seat…',
  'frontView.pieceWeighed': '{id}, {material}, {mass}, at {left} from the left, {front} from the front',
} as const;
