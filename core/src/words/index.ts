export {
  capital,
  counted,
  findingAmount,
  showChange,
  showDay,
  showGramNumber,
  showCount,
  showCountRange,
  showGramRange,
  showGrams,
  showLikely,
  showMoney,
  showRange,
  showUseGrams,
  showWeighed,
  showWeighedNumber,
  timesWords,
} from './amounts.ts';
export {
  ENCLOSURE_WORDS,
  enclosureWords,
  fitWords,
  measuredWords,
  proportionWords,
  wireEndWords,
  hangingWords,
  HELD_WORDS,
  keepUpWords,
  notPlacedWords,
  notWeighedWords,
  overAllWords,
  PAIR_RULE_WORDS,
  CUT_RUNS_WORDS,
  RESTS_WORDS,
  sideWords,
  standingWords,
} from './figureWords.ts';
export { keepsWords, keptWords, stillWords } from './bagWords.ts';
export { fibreNamesOf } from './fibreNames.ts';
export { handsWords, showHandLength } from './handsWords.ts';
export {
  cutLines,
  finishedWords,
  pieceLines,
  type PieceLine,
  type WoolLine,
  FINISHED,
} from './pieceWords.ts';
export { statedWords } from './statedWords.ts';
export { csvRefusalWords } from './csvRefusalWords.ts';
export {
  breakWords,
  chanceWords,
  clockWords,
  lengthOfTime,
  leverCostWords,
  leverWords,
  sharedWords,
  sittingClock,
  stepTitle,
} from './timetableWords.ts';
export { checkWords } from './checkWords.ts';
export { timeOfSteps } from './timeOfSteps.ts';
export { problemWords } from './problemWords.ts';
export { refusalWords } from './refusalWords.ts';
export {
  FIBRE_FLAG_WORDS,
  FINDING_CAUTIONS,
  FINDING_FLAG_WORDS,
  FINENESS_WORDS,
  MEASURED_BY_WORDS,
  NAP_WORDS,
  PREPARATION_WORDS,
  PROFILE_WORDS,
  PROVISION_WORDS,
  REASON_WORDS,
  SORT_WORDS,
  TOOL_SORT_WORDS,
  UNIT_WORDS,
} from './shelfWords.ts';
export { sizeWords } from './sizeWords.ts';
export { outlineRefusalWords } from './outlineWords.ts';
export {
  CAUSE_REMEDIES,
  CAUSE_WORDS,
  CUT_WORDS,
  FIRMNESS_WORDS,
  FORM_WORDS,
  ACROSS_BY_WORDS,
  acrossReasonWords,
  JOIN_METHOD_WORDS,
  PACKING_WORDS,
  ROLE_HINTS,
  ROLE_WORDS,
  ROLES_WORDS,
  SHAPE_WORDS,
  SOURCE_WORDS,
  STAGE_SIZE_WORDS,
  unknownWords,
  warningWords,
} from './woolWords.ts';
export { changeTitle, fieldWords } from './changeWords.ts';
export {
  ACT_WORDS,
  CAUTION_NAMES,
  CAUTION_WORDS,
  DEPTH_WORDS,
  linkReason,
  linkWords,
  MEASURE_WORDS,
  needName,
  TOOL_WORDS,
  ORIGIN_WORDS,
  PERMISSION_STATE_WORDS,
  grantsWords,
  PERMITTED_WORDS,
  PLACE_WORDS,
  STATE_WORDS,
  STRENGTH_WORDS,
  STROKE_WORDS,
} from './writingWords.ts';
export { choiceWords } from './choiceWords.ts';
export { minutesWords, showKnownMinutes, showMinutes, showPace } from './minutesWords.ts';
export { makeNotes, makeWords } from './makeWords.ts';
export {
  amountWords,
  cutNeedLines,
  findingLines,
  insertLines,
  type NeedLine,
  piecesOfFibreWords,
  woolLines,
} from './needLines.ts';
export { actWords, stepMarks, stillAfter } from './stepWords.ts';
export {
  cueWords,
  mendWords,
  PILE_WORDS,
  reasonsOf,
  SCHOOL_HINTS,
  SCHOOL_WORDS,
  SKILL_WORDS,
  STRENGTH_OF_NEEDLE,
  SYMPTOM_WORDS,
  verdictWords,
  wantedName,
} from './needleWords.ts';
export { LEVEL_WORDS, STAGE_WORDS } from './patternWords.ts';
export {
  BAGGING_WORDS,
  bagWords,
  keepBackWords,
  mergedWords,
  BOX_FORM_WORDS,
  creditLine,
  groupWords,
  sizedWords,
  holdsWords,
  ownerWords,
  packedWoolWords,
  packWords,
  pairWords,
  partingWords,
} from './runWords.ts';
export {
  cutSizeWords,
  joinWords,
  orWords,
  pieceNames,
  piecesLine,
  SPARE_RULE_WORDS,
  spareRuleWords,
  tooLargeWords,
} from './cutWords.ts';
export { orderText, packName } from './buyingWords.ts';
export { nameOfShort } from './shortWords.ts';
export {
  cardLines,
  guideLines,
  guidePagesWords,
  guideSigns,
  guideTitle,
  notInGuideWords,
  stretchWords,
} from './guideWords.ts';
export { allTerms, type TermId, termOf, termOfLabel } from './glossary.ts';
export { papersOfRun } from './papersOfRun.ts';
export { RUN_STATE_WORDS, wantsWords } from './runStateWords.ts';
export { changeOfRunWords } from './runFieldWords.ts';
export {
  ALL_REMARKS,
  readReview,
  remarkLines,
  remarksWanted,
  RULE_KIND_WORDS,
  type RemarksWanted,
  type MeantLine,
  type RemarkLine,
  type ReviewRead,
} from './remarkLines.ts';
export { remarkPlace } from './remarkPlace.ts';
export { remarkWords } from './remarkWords.ts';
export { seriesWords } from './seriesWords.ts';
