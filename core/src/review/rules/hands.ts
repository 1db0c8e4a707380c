import { toMm } from '../../base/index.ts';
import { isNeedleMissing, LEVELS, type Pattern, type Step, workMinutes } from '../../pattern/index.ts';
import { acrossMm, solidOf } from '../../shapes/index.ts';
import { FIRMNESSES } from '../../shelf/index.ts';
import { proposeLevel } from '../../writing/index.ts';
import type { ReviewContext } from '../context.ts';
import { rule, stepRule } from '../rule.ts';
import { warned } from '../warned.ts';

const NEEDLE_COLOUR =
  /\b(?:red|blue|green|yellow|purple|orange|white|black|grey|gray|pink)(?:-handled)? needle\b/i;
/** Nobody felts a gram firm in less: ours. */
const MINUTES_PER_GRAM = 0.25;
/** What stays where the wool holds it. */
const HELD_BY_WOOL: ReadonlySet<string> = new Set<string>(['eye', 'bead', 'pin-back', 'bell']);
/** `firmer than the body`, `as firm as its head`. */
const RELATION = /\b(?:(firmer|softer) than|as firm as) (?:the |its |a )?(\p{L}+)/iu;
/** So far a needle goes in that is one of several in a holder, mm: ours. */
const HOLDER_REACH_MM = 45;
/** Of less nobody minds. */
const LEAST_G = 4;

/** Needles, minutes, and what hands can do. */
export const HAND_RULES = [
  stepRule('needle_not_said', 'hands', 'stumble', (step, _at, { pattern }) => isNeedleMissing(step, pattern)),
  stepRule(
    'needle_by_colour',
    'hands',
    'stumble',
    ({ text, needle }) => NEEDLE_COLOUR.test(text) && needle.by !== 'gauge',
  ),
  rule('no_minutes_at_all', 'hands', 'stumble', ({ pattern }) =>
    pattern.steps.some(isTimed) && !isAnyTimed(pattern) ? [{}] : [],
  ),
  // Where nobody has begun to say them, one remark is enough.
  stepRule(
    'minutes_not_said',
    'hands',
    'stumble',
    (step, _at, { pattern }) => step.minutes === null && isTimed(step) && isAnyTimed(pattern),
  ),
  rule('minutes_unlikely', 'hands', 'look', (context) =>
    context.pattern.parts.flatMap(({ id }) => {
      const massG = madeOf(context, id);
      const steps = context.pattern.steps.filter(
        ({ act, partIds }) => (act.kind === 'make' || act.kind === 'felt') && partIds.includes(id),
      );
      const [first] = steps;
      if (!first || massG < LEAST_G || steps.some(({ minutes }) => minutes === null)) return [];
      const minutes = steps.reduce((sum, step) => sum + (workMinutes(step, context.pattern)?.high ?? 0), 0);
      return minutes < massG * MINUTES_PER_GRAM ? [{ stepId: first.id, minutes, massG }] : [];
    }),
  ),
  rule('strip_without_depth', 'hands', 'look', ({ pattern }) =>
    pattern.parts.flatMap((part) =>
      part.uses.flatMap((use) =>
        'amount' in use && use.amount?.form === 'strip' && use.amount.depth === null
          ? [{ partId: part.id, useId: use.id }]
          : [],
      ),
    ),
  ),
  rule('wire_ends_bare', 'hands', 'stumble', ({ pattern }) =>
    pattern.cuts.flatMap((cut) => (cut.kind === 'wire' && cut.endCurls === 0 ? [{ cutId: cut.id }] : [])),
  ),
  rule('cord_without_knot', 'hands', 'look', ({ pattern }) =>
    pattern.cuts.flatMap((cut) => (cut.kind === 'cord' && cut.knots === 0 ? [{ cutId: cut.id }] : [])),
  ),
  rule('binding_without_turns', 'hands', 'stumble', ({ pattern }) =>
    pattern.cuts.flatMap((cut) =>
      cut.kind === 'binding' && cut.turns === 0 && cut.seam === null ? [{ cutId: cut.id }] : [],
    ),
  ),
  rule('level_below', 'hands', 'look', ({ pattern, usual }) => {
    if (pattern.level === null || pattern.levelReason.trim() !== '') return [];
    const { level: proposed } = proposeLevel(pattern, usual.estimate);
    return LEVELS.indexOf(pattern.level) < LEVELS.indexOf(proposed) ? [{ proposed }] : [];
  }),
  rule('set_into_soft', 'hands', 'look', ({ pattern, wool }) =>
    pattern.findings.flatMap(({ id, partId, findingId }) => {
      const host = pattern.parts.find((part) => part.id === partId);
      const finding = wool.findings.get(findingId ?? '');
      const isHeld = finding?.measure.by === 'count' && HELD_BY_WOOL.has(finding.measure.sort);
      return host?.firmness === 'airy' && finding && isHeld ? [{ findingUseId: id, name: finding.name }] : [];
    }),
  ),
  rule('wire_in_soft', 'hands', 'look', ({ pattern }) =>
    pattern.cuts.flatMap((cut) => {
      if (cut.kind !== 'wire') return [];
      const held = new Set(cut.segments.flatMap(({ partId }) => partId ?? []));
      const soft = pattern.parts.find(({ id, firmness }) => held.has(id) && firmness === 'airy');
      return soft ? [{ cutId: cut.id, name: soft.name }] : [];
    }),
  ),
  rule('line_beyond_staple', 'hands', 'look', ({ pattern, wool }) =>
    pattern.parts.flatMap((part) =>
      part.uses.flatMap((use) => {
        // In words its author may say how it is laid in lengths.
        if (use.role !== 'line' || use.length === null || use.words.trim() !== '') return [];
        const stapleMm = wool.fibres.get(use.fibreId ?? '')?.stapleMm ?? null;
        const lengthMm = toMm(use.length);
        return stapleMm !== null && lengthMm > stapleMm
          ? [{ partId: part.id, useId: use.id, lengthMm, stapleMm }]
          : [];
      }),
    ),
  ),
  rule('detail_on_soft', 'hands', 'look', ({ pattern }) =>
    pattern.parts.flatMap(({ id, firmness, uses }) =>
      firmness === 'airy' &&
      uses.some((use) => use.role === 'dot' || use.role === 'line' || use.role === 'needled')
        ? [{ partId: id }]
        : [],
    ),
  ),
  rule('firmness_off', 'hands', 'stumble', ({ pattern }) =>
    pattern.steps.flatMap((step) => firmnessOff(step, pattern)),
  ),
  rule('holder_reach', 'hands', 'look', ({ pattern }) =>
    pattern.steps.flatMap(({ id: stepId, holder, depth, partIds }) => {
      if (holder === null || holder < 2 || depth !== 'through') return [];
      const across = pattern.parts.flatMap(({ id, shape }) => {
        const solid = partIds.includes(id) ? solidOf(shape) : null;
        return solid?.kind === 'solid' ? [acrossMm(solid.solid)] : [];
      });
      const thickest = Math.max(0, ...across);
      return thickest > HOLDER_REACH_MM ? [{ stepId, acrossMm: thickest }] : [];
    }),
  ),
  warned('part_tiny', 'hands', 'look'),
  warned('fibre_coarse', 'hands', 'look'),
  warned('hair_beyond_staple', 'hands', 'stumble'),
  rule('prerequisites_missing', 'hands', 'look', ({ pattern }) =>
    pattern.level === 'practised' && pattern.prerequisites.trim() === '' ? [{}] : [],
  ),
];

/** What its author wants firmer than something else, and is not: `firmer than the body`. */
function firmnessOff({ id: stepId, text, partIds }: Step, { parts }: Pattern) {
  const part = partIds.length === 1 ? parts.find(({ id }) => id === partIds[0]) : undefined;
  const found = part && RELATION.exec(text);
  if (!part || !found) return [];
  const is = found[1] === undefined ? 'as firm' : found[1].toLowerCase() === 'firmer' ? 'firmer' : 'softer';
  const other = parts.find(
    ({ id, name }) =>
      id !== part.id && name.trim() !== '' && name.trim().toLowerCase() === found[2]?.toLowerCase(),
  );
  if (!other) return [];
  const above = FIRMNESSES.indexOf(part.firmness) - FIRMNESSES.indexOf(other.firmness);
  const isSo = is === 'firmer' ? above > 0 : is === 'softer' ? above < 0 : above === 0;
  return isSo ? [] : [{ stepId, is, name: part.name, otherName: other.name } as const];
}

/** Waiting takes nobody’s minutes. */
const isTimed = ({ act }: Step): boolean => act.kind !== 'wait';

const isAnyTimed = ({ steps }: Pattern): boolean =>
  steps.some((step) => isTimed(step) && step.minutes !== null);

/** Grams of a part’s core, all its pieces, in the usual build. */
function madeOf({ usual }: ReviewContext, partId: string): number {
  const part = usual.estimate.parts.find((each) => each.partId === partId);
  return (part?.uses ?? []).reduce(
    (sum, use) => (use.role === 'core' && use.kind === 'known' ? sum + use.all.likelyG : sum),
    0,
  );
}
