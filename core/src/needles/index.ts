export {
  breakageRate,
  defaultRate,
  RISK_FACTOR,
  riskFactor,
  RISKS,
  risksOf,
  SKILL_FACTOR,
  SKILLS,
  type BreakageEvidence,
  type BreakageRate,
  type Risk,
  type Skill,
} from './breakage.ts';
export { needleCard, type CardLine } from './card.ts';
export {
  FAULT_RULES,
  faultOf,
  suspectsOf,
  SYMPTOMS,
  type FaultId,
  type Suspect,
  type Symptom,
} from './faults.ts';
export {
  changesIn,
  fewestChanges,
  inOrder,
  inOrderOf,
  orderingTask,
  type Ordering,
  type OrderingTask,
} from './fewerChanges.ts';
export { peakOf, type Filling } from './fillings.ts';
export { needleCounts, type NeedleCount } from './needleCounts.ts';
export { betterFor, ladderOf, rungPlace, type Ladder, type LadderFlag, type Rung } from './flags.ts';
export { layOut, type LaidStretch } from './layout.ts';
export { compareStrength, judgeNeedle, ruleOf, type Verdict } from './judge.ts';
export {
  KIT_DEFAULTS,
  kitAgainst,
  needleKit,
  type KitMakers,
  type HolderNeed,
  type KitLine,
  type KitSetting,
  type NeedleKit,
} from './kit.ts';
export { factsOfNeedle, factsOfWanted, type NeedleFacts } from './needleFacts.ts';
export { handedOut, ownedFor, rankedFor, wantedOf, type Owned } from './owned.ts';
export {
  CHANGE_CUES,
  needlePath,
  type Change,
  type ChangeCue,
  type NeedlePath,
  type Stretch,
} from './path.ts';
export { NEEDLE_RULES, STRENGTHS, type NeedleRule, type NeedleRuleId, type Strength } from './rules.ts';
export { atMost, fewestSpares, type Spares } from './spares.ts';
export { factsOfSteps, type StepFacts } from './stepFacts.ts';
export {
  checkTap,
  emptyLine,
  isProblems,
  ResolveInput,
  TapInput,
  tapsToClose,
  tapsToResolve,
  trayOf,
  type Tap,
  type TrayLine,
} from './tray.ts';
export { PILES, TAPPED, type Pile, type Tapped } from './piles.ts';
export type { TrayProblem } from './problem.ts';
export { derivedNeeds, needsOf, type Need, type NeedsList } from './needs.ts';
