/** Spans of height within one column, as pairs of ends in a row that grows when it has to. */
export class Spans {
  ends = new Float64Array(64);
  /** Ends in use: twice as many as spans. */
  count = 0;

  /** One span and nothing else. */
  start(lo: number, hi: number): void {
    this.ends[0] = lo;
    this.ends[1] = hi;
    this.count = 2;
  }

  /** Whether nothing was taken off the span that it was started with. */
  is(lo: number, hi: number): boolean {
    return this.count === 2 && this.ends[0] === lo && this.ends[1] === hi;
  }

  /** Takes a span off; one that is cut in its middle leaves two. */
  without(lo: number, hi: number): void {
    const before = this.count;
    let isEmptied = false;
    for (let s = 0; s < before; s += 2) {
      const from = this.ends[s];
      const to = this.ends[s + 1];
      if (hi <= from || lo >= to) continue;
      if (lo > from && hi < to) {
        this.add(hi, to);
        this.ends[s + 1] = lo;
      } else if (lo > from) this.ends[s + 1] = lo;
      else if (hi < to) this.ends[s] = hi;
      else {
        this.ends[s + 1] = from;
        isEmptied = true;
      }
    }
    if (isEmptied) this.close();
  }

  private add(lo: number, hi: number): void {
    if (this.count + 2 > this.ends.length) {
      const larger = new Float64Array(this.ends.length * 2);
      larger.set(this.ends);
      this.ends = larger;
    }
    this.ends[this.count++] = lo;
    this.ends[this.count++] = hi;
  }

  /** Closes the gaps that spans leave of which nothing is left. */
  private close(): void {
    const { ends } = this;
    let kept = 0;
    for (let s = 0; s < this.count; s += 2) {
      if (ends[s + 1] <= ends[s]) continue;
      ends[kept++] = ends[s];
      ends[kept++] = ends[s + 1];
    }
    this.count = kept;
  }
}

/** Length that two spans of height have in common. */
export function shared(lo: number, hi: number, from: number, to: number): number {
  const length = Math.min(hi, to) - Math.max(lo, from);
  return length > 0 ? length : 0;
}

/** Adds what a span has in each layer, whose tops stand in `tops` from `from` on, or takes it off again. */
export function addLayers(inLayer: Float64Array, tops: Float64Array, from: number, lo: number, hi: number, sign = 1): void {
  for (let i = 0, below = 0; i < inLayer.length; below = tops[from + i++])
    inLayer[i] += sign * shared(lo, hi, below, tops[from + i]);
} // prettier-ignore
