/** What runs in each thread of the pools. */
export { doTask as default } from './tasks.ts';
