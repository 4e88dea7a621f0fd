/** What one measurement of endurance gives: figures by name, and whether they are what is promised. */
export interface Result {
  measured: string;
  figures: Record<string, number>;
  wanted: string;
  holds: boolean;
  /** The first few things that went wrong, in words. */
  wrong: string[];
}

export function result(
  measured: string,
  figures: Record<string, number>,
  wanted: string,
  wrong: string[],
  holds = wrong.length === 0,
): Result {
  return { measured, figures, wanted, holds: holds && wrong.length === 0, wrong: wrong.slice(0, 12) };
}
