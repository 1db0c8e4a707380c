export { writingFindings, type WritingFinding } from './remarks.ts';
