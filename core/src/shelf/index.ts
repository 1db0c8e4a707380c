export { itemsNamed } from './itemsNamed.ts';
export * from './blend/index.ts';
export * from './fibre/index.ts';
export * from './finding/index.ts';
export * from './needle/index.ts';
export type { ShelfProblem } from './checks/problem.ts';
export * from './stock/index.ts';
export * from './supplier/index.ts';
export * from './tool/index.ts';
