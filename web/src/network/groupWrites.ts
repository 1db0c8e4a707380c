import type { WriteLogLine } from '@lanakit/core/api';

/** The same done again and again by one device, as a text that saves itself is. */
export interface WriteGroup {
  /** The last of them. */
  readonly line: WriteLogLine;
  readonly count: number;
  /** When the first of them was; ISO 8601, UTC. */
  readonly since: string;
}

const isSame = (a: WriteLogLine, b: WriteLogLine): boolean =>
  a.device === b.device && a.role === b.role && a.what === b.what && a.subject === b.subject;

/** One after another that tell the same, as one. @param lines the last first */
export function groupWrites(lines: readonly WriteLogLine[]): WriteGroup[] {
  const groups: WriteGroup[] = [];
  for (const line of lines) {
    const before = groups.at(-1);
    if (before && isSame(before.line, line))
      groups[groups.length - 1] = { ...before, count: before.count + 1, since: line.at };
    else groups.push({ line, count: 1, since: line.at });
  }
  return groups;
}
