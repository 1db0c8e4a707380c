export {
  breakageRate,
  defaultRate,
  RISK_FACTOR,
  riskFactor,
  risksOf,
  SKILL_FACTOR,
  SKILLS,
  type BreakageEvidence,
  type Skill,
} from './breakage.ts';
export { needleCard, type CardLine } from './card.ts';
export { FAULT_RULES, faultOf, suspectsOf, SYMPTOMS, type Suspect, type Symptom } from './faults.ts';
export {
  changesIn,
  fewestChanges,
  inOrder,
  inOrderOf,
  orderingTask,
  type Ordering,
  type OrderingTask,
} from './fewerChanges.ts';
export { peakOf } from './fillings.ts';
export { needleCounts } from './needleCounts.ts';
export { ladderOf, rungPlace, type Ladder, type LadderFlag, type Rung } from './flags.ts';
export { layOut, type LaidStretch } from './layout.ts';
export { judgeNeedle, ruleOf, type Verdict } from './judge.ts';
export {
  KIT_DEFAULTS,
  kitAgainst,
  needleKit,
  type KitMakers,
  type KitLine,
  type KitSetting,
  type NeedleKit,
} from './kit.ts';
export { factsOfNeedle, type NeedleFacts } from './needleFacts.ts';
export { handedOut, ownedFor, rankedFor, wantedOf } from './owned.ts';
export { needlePath, type Change, type ChangeCue, type Stretch } from './path.ts';
export { NEEDLE_RULES, type NeedleRuleId, type Strength } from './rules.ts';
export { atMost, fewestSpares } from './spares.ts';
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
  trayTotals,
  type Tap,
  type TrayLine,
} from './tray.ts';
export { TAPPED, type Pile, type Tapped } from './piles.ts';
export type { TrayProblem } from './problem.ts';
export { derivedNeeds, needsOf, type Need } from './needs.ts';
