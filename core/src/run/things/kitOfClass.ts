import { estimatePattern, type Wool } from '../../engine/index.ts';
import {
  type KitMakers,
  type KitSetting,
  type Ladder,
  ladderOf,
  needleKit,
  type NeedleKit,
} from '../../needles/index.ts';
import type { Pattern } from '../../pattern/index.ts';
import type { Needle } from '../../shelf/index.ts';
import type { StepElsewhere } from '../document/classPlan.ts';
import type { RunInput } from '../document/run.ts';
import { seatsOf } from '../document/seat.ts';
import { type Designs, type Make, makeKey, packGroups } from '../packs/packGroups.ts';

/** The needles of a class, and the builds that are made in it, that of most seats first. */
export interface ClassKit {
  readonly kit: NeedleKit;
  readonly builds: readonly { readonly build: Pattern; readonly ladder: Ladder }[];
}

/** What a class’s needles are taken from. */
export interface ClassKitSources extends Pick<KitSetting, 'evidence' | 'tools'> {
  readonly designs: Designs;
  readonly wool: Wool;
  readonly needles: readonly Needle[];
}

/** Needles for everybody in a class: each seat’s by what it makes and how practised its hands are. */
export function kitOfClass(
  run: RunInput,
  { designs, wool, needles, evidence, tools }: ClassKitSources,
): ClassKit {
  const seats = seatsOf(run);
  const makers = new Map<string, KitMakers>();
  for (const { makes, seats: packGroup } of packGroups(designs, run)) {
    const [make] = makes;
    if (!make || packGroup.length === 0) continue;
    const key = makeKey(make);
    const before = makers.get(key);
    const skills = packGroup.map((seat) => seats[seat - 1]?.skill ?? run.skill);
    const build = withoutPrepared(make, run.plan.elsewhere);
    const ladder = () => ladderOf(build, estimatePattern(make.build, wool), wool, needles);
    makers.set(key, {
      build: before?.build ?? build,
      ladder: before?.ladder ?? ladder(),
      skills: [...(before?.skills ?? []), ...skills],
    });
  }
  const { seatsPerTable, needleRiskFraction: riskFraction } = run;
  return {
    kit: needleKit([...makers.values()], { seatsPerTable, riskFraction, evidence, tools }),
    builds: [...makers.values()],
  };
}

/** With the steps that somebody does in the class or at home: what is prepared beforehand takes no needle of theirs. */
function withoutPrepared({ build, revisionId }: Make, elsewhere: readonly StepElsewhere[]): Pattern {
  const isPrepared = (stepId: string) =>
    elsewhere.some(
      (each) => each.where === 'before' && each.revisionId === revisionId && each.stepId === stepId,
    );
  const steps = build.steps.filter(({ id }) => !isPrepared(id));
  return steps.length === build.steps.length ? build : { ...build, steps };
}
