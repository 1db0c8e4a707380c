import { isNamed } from '../isNamed.ts';
import { DARK_BELOW_L, PALE_ABOVE_L } from '../../engine/index.ts';
import {
  CAUTIONS,
  countRange,
  isWaitedFor,
  minutesRange,
  type Pattern,
  type Step,
} from '../../pattern/index.ts';
import type { ShapeKind } from '../../shapes/index.ts';
import { lightness } from '../../shelf/index.ts';
import { brokenLinks, cautionsOf, stepOfWool } from '../../writing/index.ts';
import type { ReviewContext } from '../context.ts';
import { wrappedAgainst } from '../directions.ts';
import { rule, stepRule } from '../rule.ts';

/** Order and care. */
export const ORDER_RULES = [
  rule('order_broken', 'order', 'stumble', ({ pattern, links }) =>
    brokenLinks(pattern.steps, links).map((link) => ({ link })),
  ),
  stepRule(
    'waiting_not_said',
    'order',
    'stumble',
    (step, _at, { pattern }) => isWaitedFor(step, pattern) && step.waiting === null,
  ),
  rule('glue_sets_longer', 'order', 'stumble', (context) => {
    const settingMinutes = longestSetting(context);
    if (settingMinutes === 0) return [];
    return context.pattern.steps.flatMap((step, at) => {
      if (step.act.kind !== 'glue') return [];
      const waited = waitedAfter(context.pattern, at);
      return waited !== null && waited < settingMinutes ? [{ stepId: step.id, settingMinutes }] : [];
    });
  }),
  stepRule('irreversible_unchecked', 'order', 'look', (step, at, { pattern }) => {
    if (step.act.kind !== 'cut' && step.act.kind !== 'glue') return false;
    const before = pattern.steps[at - 1];
    const isLookedAt = (each: Step | undefined) =>
      each !== undefined && (each.checks.length > 0 || each.act.kind === 'check');
    return !isLookedAt(step) && !isLookedAt(before);
  }),
  stepRule(
    'decision_never_recalled',
    'order',
    'look',
    ({ id, act }, _at, { pattern }) =>
      act.kind === 'decide' && !pattern.steps.some(({ recallsStepId }) => recallsStepId === id),
  ),
  rule('caution_taken_off', 'order', 'look', ({ pattern, wool }) => {
    const everything = cautionsOf(
      {
        ...pattern,
        steps: pattern.steps.map((step) => ({ ...step, cautions: { added: [], dismissed: [] } })),
      },
      wool,
    );
    return pattern.steps.flatMap(({ id, cautions }) =>
      CAUTIONS.filter(
        (caution) => cautions.dismissed.includes(caution) && everything.get(id)?.includes(caution),
      ).map((caution) => ({ stepId: id, caution })),
    );
  }),
  rule('hanger_after_coat', 'order', 'look', ({ pattern }) =>
    pattern.cuts.flatMap((cut) => {
      if (cut.kind !== 'cord' || cut.seat?.runs !== 'up') return [];
      const { partId } = cut.seat;
      const hung = pattern.steps.findIndex(
        ({ act, partIds, text }) => partIds.includes(partId) && (act.kind === 'sew' || HANGER.test(text)),
      );
      const coated = pattern.steps.findIndex(
        ({ stage, partIds }) => stage === 'coat' && partIds.includes(partId),
      );
      const isSaid = hung >= 0 && COVERED.test(pattern.steps[hung]?.text ?? '');
      return coated >= 0 && hung > coated && !isSaid ? [{ cutId: cut.id }] : [];
    }),
  ),
  rule('matched_too_early', 'order', 'stumble', ({ pattern }) =>
    pattern.steps.flatMap(({ id: stepId, text }, at) => {
      if (!MATCHED.test(text)) return [];
      const part = pattern.parts.find(
        ({ id, name, count }) =>
          (countRange(count)?.high ?? 1) > 1 && isNamed(text, name) && lastMaking(pattern, id) > at,
      );
      return part ? [{ stepId, name: part.name }] : [];
    }),
  ),
  rule('pale_after_dark', 'order', 'look', (context) =>
    context.pattern.parts.flatMap((part) => paleAfterDark(part, context)),
  ),
  stepRule('never_lifted', 'order', 'look', ({ place, act, partIds }, at, { pattern }) => {
    if (place !== 'on-surface' || (act.kind !== 'make' && act.kind !== 'felt')) return false;
    const flats = pattern.parts.filter(({ id, shape }) => partIds.includes(id) && FLAT.has(shape.kind));
    // Said once for a piece is enough, wherever it is said.
    return flats.some(({ id }) => {
      const onIt = pattern.steps.filter((step) => step.partIds.includes(id));
      return (
        onIt.find((step) => step.place === 'on-surface') === pattern.steps[at] &&
        !onIt.some(({ text }) => LIFTED.test(text))
      );
    });
  }),
  stepRule(
    'choice_never_made',
    'order',
    'stumble',
    ({ text, recallsStepId }, at, { pattern }) =>
      RECALLS.test(text) &&
      recallsStepId === null &&
      !pattern.steps
        .slice(0, at)
        .some(
          ({ act, text: before }) => act.kind === 'decide' || act.kind === 'choose' || CHOSEN.test(before),
        ),
  ),
  rule('wrapped_against', 'order', 'stumble', ({ pattern }) => wrappedAgainst(pattern)),
];

/** Pieces that lie on the mat with a whole side. */
const FLAT: ReadonlySet<ShapeKind> = new Set<ShapeKind>(['flat-ellipse', 'plate', 'flat-outline', 'patch']);
const HANGER = /\b(?:hang\w*|cord|loop|thread)\b/i;
const COVERED = /\b(?:cover|hide|over it|wisp)\w*\b/i;
const MATCHED = /\b(?:sort|match|pair up|lay (?:them|all) side by side)\b/i;
const LIFTED = /\b(?:lift|turn|peel|flip|roll|pull|take|move|other side|both sides)\w*\b/i;
const RECALLS = /\b(?:you (?:chose|decided)|as (?:chosen|decided)|(?:way|direction|side) chosen)\b/i;
const CHOSEN = /\b(?:choose|decide)\b/i;
const COVERING = /\b(?:cloth|cover\w*|own (?:mat|pad)|clean (?:mat|pad|needle)|brush)\b/i;

const lastMaking = ({ steps }: Pattern, partId: string): number =>
  steps.findLastIndex(({ act, partIds }) => act.kind === 'make' && partIds.includes(partId));

/** A pale surface laid on after a dark one of the same part, with nothing said to keep it clean. Lines and dots lie on top. */
function paleAfterDark(
  part: Pattern['parts'][number],
  { pattern, wool, stepsOn }: ReviewContext,
): { stepId: string; paleId: string; darkId: string }[] {
  const steps = [...(stepsOn.get(part.id) ?? [])];
  const surfaces = part.uses.flatMap((use) => {
    if (use.role !== 'coat' && use.role !== 'patch' && use.role !== 'hair') return [];
    const colour = wool.fibres.get(use.fibreId ?? '')?.colour;
    const at = stepOfWool({ ...pattern, steps }, { owner: { kind: 'part', id: part.id }, role: use.role });
    return colour === undefined || at === null || use.fibreId === null
      ? []
      : [{ fibreId: use.fibreId, at, light: lightness(colour) }];
  });
  const darks = surfaces.filter(({ light }) => light < DARK_BELOW_L);
  return surfaces.flatMap(({ fibreId: paleId, at, light }) => {
    const dark = light > PALE_ABOVE_L ? darks.find((each) => each.at < at) : undefined;
    const step = steps[at];
    return dark && step && !COVERING.test(step.text)
      ? [{ stepId: step.id, paleId, darkId: dark.fibreId }]
      : [];
  });
}

/** Of the glues in the pattern the one that sets longest, minutes; 0: none says. */
function longestSetting({ pattern, wool }: ReviewContext): number {
  return pattern.findings.reduce((most, { findingId }) => {
    const measure = wool.findings.get(findingId ?? '')?.measure;
    return measure?.by === 'volume' ? Math.max(most, measure.settingMinutes ?? 0) : most;
  }, 0);
}

/** What is waited in the step, or in the next wait that shares a part with it; null: nobody says. */
function waitedAfter({ steps }: Pattern, at: number): number | null {
  const step = steps[at];
  if (!step) return null;
  if (step.waiting !== null) return minutesRange(step.waiting).high;
  const wait = steps
    .slice(at + 1)
    .find(({ act, partIds }) => act.kind === 'wait' && partIds.some((id) => step.partIds.includes(id)));
  return wait?.waiting == null ? null : minutesRange(wait.waiting).high;
}
