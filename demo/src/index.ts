export { loadDemo } from './loadDemo.ts';
