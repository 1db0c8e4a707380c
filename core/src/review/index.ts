export { remarksOf, type Remark } from './remarks.ts';
