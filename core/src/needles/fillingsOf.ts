import { type Tool, wantedKey } from '../shelf/index.ts';
import type { Filling } from './fillings.ts';
import type { NeedlePath } from './path.ts';

/** Each sort in each size of holder, from its first step to its last. */
export function fillingsOf({ stretches }: Pick<NeedlePath, 'stretches'>, tools: readonly Tool[]): Filling[] {
  const fillings = new Map<string, Filling>();
  for (const { step, at, wanted } of stretches) {
    if (!wanted) continue;
    const size = step.holder ?? 1;
    const key = wantedKey(wanted);
    const filling = fillings.get(`${key} ${size}`);
    const per = size === 1 ? 'person' : (holderFor(size, tools)?.provision ?? 'table');
    fillings.set(`${key} ${size}`, { key, size, per, first: filling?.first ?? at, last: at });
  }
  return [...fillings.values()];
}

/** The smallest holder that takes so many. */
export const holderFor = (needles: number, tools: readonly Tool[]): Tool | null =>
  tools
    .filter((tool) => tool.sort === 'holder' && !tool.archived && (tool.needles ?? 0) >= needles)
    .sort((a, b) => (a.needles ?? 0) - (b.needles ?? 0))[0] ?? null;
