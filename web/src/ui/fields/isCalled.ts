import { hasWords } from '@lanakit/core/base';

interface Option {
  readonly label?: unknown;
  readonly disabled?: boolean | undefined;
}

/** Until what is called so has been found, what is not called so is no longer offered: Enter takes nothing else. */
export const isCalled = (typed: string, option: Option | undefined): boolean =>
  option?.disabled === true || (typeof option?.label === 'string' && hasWords(option.label, typed));
