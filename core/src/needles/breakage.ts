import type { StepFacts } from './stepFacts.ts';

/** How steady and how quick a hand is. */
export const SKILLS = ['practised', 'some', 'first-timer'] as const;
export type Skill = (typeof SKILLS)[number];

/** Breakages for each that an author has in the same steps: learners are slower, and less steady. Ours, uncalibrated. */
export const SKILL_FACTOR: Readonly<Record<Skill, number>> = { practised: 1, some: 1.5, 'first-timer': 2.5 };

/** What makes a needle break sooner, times as often each. Ours, uncalibrated. */
const RISKS = ['deep', 'wire', 'glass', 'thin', 'steering'] as const;
export type Risk = (typeof RISKS)[number];
export const RISK_FACTOR: Readonly<Record<Risk, number>> = {
  deep: 1.5,
  wire: 2.5,
  glass: 2,
  thin: 1.3,
  steering: 1.4,
};

/** A step’s own risks. Steering is pulling firm wool along with the tip. */
export function risksOf(step: StepFacts, stroke: string | null): Risk[] {
  const isSteering =
    (stroke === 'along' || stroke === 'one-direction') &&
    (step.firmnessBefore === 'firm' || step.firmnessBefore === 'solid');
  const held: Record<Risk, boolean> = {
    deep: step.depth === 'through',
    wire: step.behind.wire,
    glass: step.behind.glass,
    thin: step.isThinFlat,
    steering: isSteering,
  };
  return RISKS.filter((risk) => held[risk]);
}

export const riskFactor = (risks: readonly Risk[]): number =>
  risks.reduce((factor, risk) => factor * RISK_FACTOR[risk], 1);

/** Breakages in a thousand quiet minutes of stabbing with a 38; finer ones break more often. Ours, uncalibrated. */
const PER_1000_MIN_38 = 1.6;
const FINER_FACTOR = 1.2;

/** Breakages a minute of quiet stabbing by an author’s hand; a needle nobody knows the gauge of counts as a 38. */
export const defaultRate = (gauge: number | null): number =>
  (PER_1000_MIN_38 / 1000) * FINER_FACTOR ** ((gauge ?? 38) - 38);

/** What was counted after classes for one gauge. */
export interface BreakageEvidence {
  readonly gauge: number | null;
  readonly broken: number;
  /** Minutes of stabbing, each times its risk and skill: what a quiet author’s hand would have spent. */
  readonly exposureMinutes: number;
}

/** A rate, and what it rests on. */
export interface BreakageRate {
  readonly perMinute: number;
  readonly source: 'default' | 'counted';
  readonly broken: number;
  readonly exposureMinutes: number;
}

/** How many breakages our default is worth: it gives way as counts come in. */
const DEFAULT_WEIGHT = 2;

/** The rate for a gauge: our default, drawn to what was counted (a gamma’s mean). */
export function breakageRate(gauge: number | null, evidence: readonly BreakageEvidence[]): BreakageRate {
  const breakageEvidences = evidence.filter(
    (breakageEvidence) => breakageEvidence.gauge === gauge && breakageEvidence.exposureMinutes > 0,
  );
  const broken = breakageEvidences.reduce((sum, breakageEvidence) => sum + breakageEvidence.broken, 0);
  const exposureMinutes = breakageEvidences.reduce(
    (sum, breakageEvidence) => sum + breakageEvidence.exposureMinutes,
    0,
  );
  const usual = defaultRate(gauge);
  return {
    perMinute: (DEFAULT_WEIGHT + broken) / (DEFAULT_WEIGHT / usual + exposureMinutes),
    source: breakageEvidences.length > 0 ? 'counted' : 'default',
    broken,
    exposureMinutes,
  };
}
