/** A stretch of the clock, minutes from midnight of the run’s day. */
export interface Stretch {
  readonly from: number;
  readonly to: number;
}

/** Stretches in their order, those that touch made into one; empty ones gone. */
export function merged(stretches: readonly Stretch[]): Stretch[] {
  const all: Stretch[] = [];
  for (const { from, to } of stretches
    .filter((each) => each.to > each.from)
    .toSorted((a, b) => a.from - b.from)) {
    const last = all.at(-1);
    if (last && from <= last.to) all[all.length - 1] = { from: last.from, to: Math.max(last.to, to) };
    else all.push({ from, to });
  }
  return all;
}

/** When hands are free to work from some time on. @param closed merged */
export function openFrom(closed: readonly Stretch[], time: number): number {
  for (const { from, to } of closed) {
    if (time < from) return time;
    if (time < to) return to;
  }
  return time;
}

/** When so many minutes of work are done that begin at an open time; what is closed stops them. @param closed merged */
export function workedUntil(closed: readonly Stretch[], start: number, minutes: number): number {
  let end = start + minutes;
  for (const { from, to } of closed) {
    if (to <= start) continue;
    if (from >= end) break;
    end += to - Math.max(from, start);
  }
  return end;
}
