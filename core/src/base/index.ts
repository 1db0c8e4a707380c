export { wholeDown, wholeUp } from './rounding.ts';
