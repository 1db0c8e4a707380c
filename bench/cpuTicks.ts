import { readFileSync } from 'node:fs';

/** Clock ticks of a process so far; a hundred make a second. */
export function cpuTicks(pid: number): number {
  const fields = readFileSync(`/proc/${pid}/stat`, 'utf8').split(') ')[1]?.split(' ') ?? [];
  return Number(fields[11]) + Number(fields[12]);
}
