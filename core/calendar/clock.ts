/** Clock time of a minute of the day: minute 95 after 08:30 is 10:05. */
export function clockOf(startTime: string, minute: number): string {
  const total = minuteOf(startTime) + Math.round(minute);
  const two = (n: number) => String(n).padStart(2, '0');
  return `${two(Math.floor(total / 60) % 24)}:${two(total % 60)}`;
}

/** Minutes from midnight to a clock time: 08:30 is 510. */
export function minuteOf(clock: string): number {
  const [h, m] = clock.split(':').map(Number);
  return h * 60 + m;
}
