import type { Wool } from '../engine/index.ts';
import { type ActKind, type Caution, CAUTIONS, isWool, type Pattern, type Step } from '../pattern/index.ts';
import type { FibreFlag, FindingFlag } from '../shelf/index.ts';
import { hasVerb } from './verbs.ts';

/** Flags of fibres somebody may be allergic to. */
const ALLERGENS = new Set<FibreFlag>(['lanolin', 'animal-hair', 'scented', 'mothproofed']);

const OF_FINDING: Readonly<Record<FindingFlag, Caution>> = {
  'small-part': 'small-part',
  magnet: 'small-part',
  sharp: 'wire-end',
  hot: 'hot',
  solvent: 'glue',
  glass: 'small-part',
};

/**
 * What each step has to be warned of before it is begun, by step id: what follows from its act, its words, its findings
 * and its fibres, then what the author added, less what the author took off. A needle is told of once in a session and
 * an allergy once in a pattern, where it first comes up; the rest wherever it is so.
 */
export function cautionsOf(pattern: Pattern, wool: Wool): Map<string, Caution[]> {
  const firsts = new Set(pattern.sessions.map(({ firstStepId }) => firstStepId));
  let isNeedleTold = false;
  let isAllergyTold = false;
  return new Map(
    pattern.steps.map((step) => {
      if (firsts.has(step.id)) isNeedleTold = false;
      const proposed = proposedFor(step, pattern, wool);
      if (proposed.has('needle') && isNeedleTold) proposed.delete('needle');
      if (proposed.has('allergy') && isAllergyTold) proposed.delete('allergy');
      isNeedleTold ||= proposed.has('needle');
      isAllergyTold ||= proposed.has('allergy');
      for (const caution of step.cautions.added) proposed.add(caution);
      for (const caution of step.cautions.dismissed) proposed.delete(caution);
      return [step.id, CAUTIONS.filter((caution) => proposed.has(caution))];
    }),
  );
}

/** Acts in which no barbed needle is in the hand, whatever the stage usually takes. */
const NO_BARBS: ReadonlySet<ActKind> = new Set(['wait', 'check', 'choose', 'decide', 'glue', 'sew', 'cut']);

function proposedFor(step: Step, pattern: Pattern, wool: Wool): Set<Caution> {
  const { act, text, needle } = step;
  const found = new Set<Caution>();
  const usesNeedle = needle.by !== 'none' && !NO_BARBS.has(act.kind);
  if (usesNeedle) found.add('needle');
  if (act.kind === 'cut' || hasVerb(text, 'cut')) found.add('blade');
  if (act.kind === 'cut' || act.kind === 'glue') found.add('irreversible');
  if (act.kind === 'glue' || hasVerb(text, 'glue')) found.add('glue');
  if (hasVerb(text, 'heat')) found.add('hot');
  if (touchesWire(step, pattern)) found.add('wire-end');
  for (const findingId of findingsAt(step, pattern)) {
    for (const flag of wool.findings.get(findingId)?.flags ?? []) found.add(OF_FINDING[flag]);
  }
  if (
    fibresAt(step, pattern).some(
      (id) => wool.fibres.get(id)?.flags.some((flag) => ALLERGENS.has(flag)) === true,
    )
  ) {
    found.add('allergy');
  }
  return found;
}

function touchesWire({ stage, text, partIds, act }: Step, { cuts }: Pattern): boolean {
  if (act.kind === 'decide' || act.kind === 'check') return false;
  const isWired = cuts.some(
    (cut) =>
      cut.kind === 'wire' && cut.segments.some(({ partId }) => partId !== null && partIds.includes(partId)),
  );
  return isWired && (stage === 'skeleton' || hasVerb(text, 'wire'));
}

/** Findings put on in this step: those of its choice, and those on its parts where it mounts, sews or glues. */
function findingsAt({ act, partIds, text, stage }: Step, { findings }: Pattern): string[] {
  const chosen = act.kind === 'choose' ? act.findingUseIds : [];
  const isMounting =
    ['sew', 'glue', 'choose'].includes(act.kind) || stage === 'mount' || hasVerb(text, 'sew');
  return findings.flatMap(({ id, findingId, partId }) =>
    findingId !== null && (chosen.includes(id) || (isMounting && partId !== null && partIds.includes(partId)))
      ? [findingId]
      : [],
  );
}

const fibresAt = ({ partIds }: Step, { parts }: Pattern): string[] =>
  parts
    .filter(({ id }) => partIds.includes(id))
    .flatMap(({ uses }) => uses.flatMap((use) => (isWool(use) && use.fibreId !== null ? [use.fibreId] : [])));
