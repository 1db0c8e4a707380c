export { type KnownWord, nearestWord } from './nearestWord.ts';
export { placesOfPattern, placesOfRun, placesWith, type SearchedPlace } from './placesWith.ts';
export { beginsEach, wordsIn } from './wordsIn.ts';
