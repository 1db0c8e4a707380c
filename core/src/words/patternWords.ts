import type { Level, Stage } from '../pattern/index.ts';

export const STAGE_WORDS: Readonly<Record<Stage, string>> = {
  skeleton: 'Skeleton',
  core: 'Core',
  shape: 'Shape',
  coat: 'Coat',
  join: 'Join',
  detail: 'Detail',
  hair: 'Hair',
  mount: 'Mount',
  finish: 'Finish',
};

export const LEVEL_WORDS: Readonly<Record<Level, string>> = {
  'first-timer': 'first-timer',
  'some-practice': 'some practice',
  practised: 'practised',
};
