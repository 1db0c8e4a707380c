export { problemWords } from './problemWords.ts';
export { refusalWords } from './refusalWords.ts';
export { sizeWords } from './sizeWords.ts';
