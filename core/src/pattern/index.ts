export { duplicateItem, moveItem } from './arrange.ts';
export { blankPart, blankPattern, blankStep } from './blank.ts';
export { checkPart, checkPattern, PATTERN_BOUNDS } from './checkPattern.ts';
export { comparePatterns, type Difference } from './compare.ts';
export { fibreReferences, fibresUsed, strangeFibres } from './fibresUsed.ts';
export { missingForPublishing, missingInPart } from './missingForPublishing.ts';
export { LEVELS, Part, Pattern, STAGES, Step, type Level, type Stage } from './pattern.ts';
