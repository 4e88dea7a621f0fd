import { cellAt, onFloor, regionHas, type BedField } from '../substrate/bedField';
import { DrawnAlong, layersAt } from '../substrate/stack';
import type { Standing } from './settle';

/** Columns of a piece up to which the bed under each is kept once it was asked; roots have far more. */
const MOST_KEPT = 12_000;
/** What is known of a column. */
const [UNKNOWN, INSIDE, BEYOND] = [0, 1, 2];

/** The bed under each column of a standing piece: how high each layer is there. */
export class Under {
  readonly layers: number;
  /** Upper surface of each layer, mm: that of layer i under the column last asked stands at `from + i`. */
  readonly tops: Float64Array;
  from = 0;
  surface = 0;
  private readonly inside: Uint8Array;
  /** Of each column what is known; empty where nothing is kept. */
  private readonly known: Uint8Array;
  /** The drawn tops along the row last asked; at one spot where nothing is kept, which is asked here and there. */
  private readonly drawn: DrawnAlong;
  private readonly xsMm: Float64Array;
  private drawnRow = -1;

  constructor(
    private readonly field: BedField,
    private readonly standing: Standing,
  ) {
    const { columns, rows, x0, dxMm } = standing.columns;
    this.layers = field.stack.count;
    const kept = columns * rows <= MOST_KEPT ? columns * rows : 0;
    this.inside = new Uint8Array(field.stack.count).fill(1);
    this.tops = new Float64Array(field.stack.count * Math.max(1, kept));
    this.known = new Uint8Array(kept);
    this.xsMm = new Float64Array(kept > 0 ? columns : 1);
    for (let column = 0; column < this.xsMm.length; column++)
      this.xsMm[column] = standing.xMm + x0 + column * dxMm;
    this.drawn = new DrawnAlong(field.stack, this.xsMm);
  }

  /** Asks one column; false beyond the glass. */
  at(row: number, column: number): boolean {
    const c = row * this.standing.columns.columns + column;
    const { known, layers: count } = this;
    if (known.length > 0) this.from = c * count;
    if (known.length === 0 || known[c] === UNKNOWN) {
      const isInside = this.ask(row, column);
      if (known.length > 0) known[c] = isInside ? INSIDE : BEYOND;
      if (!isInside) return false;
    } else if (known[c] === BEYOND) return false;
    this.surface = count > 0 ? this.tops[this.from + count - 1] : 0;
    return true;
  }

  private ask(row: number, column: number): boolean {
    const { columns: col, xMm, yMm } = this.standing;
    const { field, inside } = this;
    const [x, y] = [xMm + col.x0 + column * col.dxMm, yMm + col.y0 + row * col.dyMm];
    if (!onFloor(field, x, y)) return false;
    const { stack, coverage } = field;
    const cell = cellAt(field, x, y);
    for (let i = 0; i < stack.count; i++) {
      const region = stack.regions[i];
      if (region) inside[i] = regionHas(region, coverage[i]![cell], x, y) ? 1 : 0;
    }
    layersAt(stack, this.drawn, this.draw(row, column, x, y), inside, this.tops, this.from);
    return true;
  }

  /** Sees to it that a column's drawn tops are there; answers at which spot of the line. */
  private draw(row: number, column: number, x: number, y: number): number {
    if (this.known.length === 0) {
      this.xsMm[0] = x;
      this.drawn.at(y);
      return 0;
    }
    if (row !== this.drawnRow) this.drawn.at(y);
    this.drawnRow = row;
    return column;
  }
}
