export { classMaking, woolSum, type ClassMaking, type WoolSum } from './classMaking.ts';
