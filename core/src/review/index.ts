export { heightFault, type HeightFault } from './heightOfParts.ts';
export { writingFindings, type WritingFinding } from './remarks.ts';
