export const ALWAYS: readonly string[];
export const TURNS: number;
export function takes(file: string): number;
export function browserFiles(): string[];
export function turnsOf(files: readonly string[]): string[][];
export function turnNow(): number;
export function turnOfCommit(sha: string): number;
