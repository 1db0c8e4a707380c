import type { RunState, RunWants } from '../run/index.ts';
import { counted } from './amounts.ts';

export const RUN_STATE_WORDS: Readonly<Record<RunState, string>> = {
  planned: 'planned',
  bought: 'bought',
  weighed: 'weighed',
  packed: 'packed',
  done: 'done',
};

/** What is missing before a run goes on. */
export function wantsWords(wants: RunWants, count: number): string {
  switch (wants) {
    case 'choices':
      return `${counted(count, 'seat has', 'seats have')} not chosen yet.`;
    case 'stock':
      return `${counted(count, 'thing is', 'things are')} short. Buy them, or count again.`;
    case 'amounts':
      return `${counted(count, 'amount')} ${count === 1 ? 'is' : 'are'} unknown: what is bought for is at least so much.`;
    case 'counts':
      return `${counted(count, 'fibre was', 'fibres were')} never counted. Weigh what is there.`;
    case 'weighing':
      return `${counted(count, 'weighing is', 'weighings are')} not ticked, or ticked for another amount.`;
    case 'packing':
      return `${counted(count, 'pack is', 'packs are')} not ticked yet.`;
    case 'left-out':
      return `${counted(count, 'pack was', 'packs were')} closed with something left out. Pack says what.`;
    case 'needles':
      return `${counted(count, 'needle is', 'needles are')} still out or missing.`;
    case 'sharps':
      return `${counted(count, 'sharp')} beside needles ${count === 1 ? 'is' : 'are'} still out.`;
    case 'heat':
      return `${counted(count, 'tool is', 'tools are')} still hot.`;
    case 'tips':
      return `${counted(count, 'tip')} of broken needles ${count === 1 ? 'was' : 'were'} not found.`;
    case 'difference':
      return `${counted(count, 'pack', 'packs')} would be other now than planned. Take the new numbers, or put it back.`;
  }
}
