import { type Length, type LengthUnit, MM_PER_INCH, showSizeMm } from '../base/index.ts';
import {
  type ActKind,
  BLANK_STEP,
  type Join,
  type Part,
  type Pattern,
  type Stage,
  type Step,
} from '../pattern/index.ts';
import { brokenLinks, orderLinks } from '../writing/index.ts';
import { withNumberBefore } from './numberBefore.ts';
import type { Remark, RemarkCode } from './remark.ts';
import { asHandsHold } from './tooFine.ts';

/** What one press does about a remark: the pattern mended. */
export type Mend = (pattern: Pattern) => Pattern;

type MendOf<C extends RemarkCode> = (
  remark: Extract<Remark, { readonly code: C }>,
  pattern: Pattern,
  newId: () => string,
) => Mend | null;

/** What can be mended by a press. Of the others only its author knows what she meant. */
const MENDS: { readonly [C in RemarkCode]?: MendOf<C> } = {
  part_never_made: ({ partId }, pattern, newId) => adding(pattern, newId, 'make', 'shape', [partId], 0),
  join_never_made: ({ joinId }, pattern, newId) => {
    const join = pattern.joins.find(({ id }) => id === joinId);
    return join ? adding(pattern, newId, 'join', 'join', [join.partId, join.ontoId]) : null;
  },
  finding_never_put_on: ({ findingUseId }, pattern, newId) => {
    const partId = pattern.findings.find(({ id }) => id === findingUseId)?.partId ?? null;
    return partId === null ? null : adding(pattern, newId, 'sew', 'mount', [partId]);
  },
  coat_never_laid: ({ partId }, pattern, newId) => adding(pattern, newId, 'wrap', 'coat', [partId]),
  detail_never_worked: ({ partId }, pattern, newId) => adding(pattern, newId, 'felt', 'detail', [partId]),
  picture_never_shown:
    ({ pictureId }) =>
    (pattern) => ({
      ...pattern,
      pictures: pattern.pictures.filter(({ id }) => id !== pictureId),
    }),
  tool_not_used:
    ({ needKey }) =>
    (pattern) => ({
      ...pattern,
      tools: pattern.tools.filter(
        ({ id, needKey: listed }) => listed !== needKey && `own-${id}` !== needKey && id !== needKey,
      ),
    }),
  tool_not_listed:
    ({ needKey }) =>
    (pattern) => ({
      ...pattern,
      tools: pattern.tools.map((tool) => (tool.needKey === needKey ? { ...tool, isLeftOut: false } : tool)),
    }),
  order_broken: ({ link }) => {
    const mend: Mend = (pattern) => ({
      ...pattern,
      steps: movedBefore(pattern.steps, link.beforeId, link.afterId),
    });
    return mend;
  },
  irreversible_unchecked: ({ stepId }, _pattern, newId) =>
    onStep(stepId, (step) => ({
      ...step,
      checks: [
        ...step.checks,
        {
          id: newId(),
          look: 'the place',
          how: 'before it is cut or glued',
          pass: '',
          remedy: '',
          returnToStepId: null,
        },
      ],
    })),
  caution_taken_off: ({ stepId, caution }) =>
    onStep(stepId, (step) => ({
      ...step,
      cautions: { ...step.cautions, dismissed: step.cautions.dismissed.filter((each) => each !== caution) },
    })),
  glue_sets_longer: ({ stepId, settingMinutes }) =>
    onStep(stepId, (step) => ({ ...step, waiting: settingMinutes })),
  check_points_ahead:
    ({ stepId }) =>
    (pattern) => {
      const at = pattern.steps.findIndex(({ id }) => id === stepId);
      const isAhead = (id: string | null) => pattern.steps.findIndex((step) => step.id === id) > at;
      return onStep(stepId, (step) => ({
        ...step,
        checks: step.checks.map((check) =>
          isAhead(check.returnToStepId) ? { ...check, returnToStepId: null } : check,
        ),
      }))(pattern);
    },
  repeat_off: ({ stepId }) =>
    onStep(stepId, (step) => ({ ...step, repeat: step.repeat && { ...step.repeat, times: null } })),
  picture_promised:
    ({ stepId }) =>
    (pattern) => ({
      ...pattern,
      drawnStepIds: [...pattern.drawnStepIds, stepId],
    }),
  wire_ends_bare: ({ cutId }) => onCut(cutId, (cut) => (cut.kind === 'wire' ? { ...cut, endCurls: 2 } : cut)),
  cord_without_knot: ({ cutId }) => onCut(cutId, (cut) => (cut.kind === 'cord' ? { ...cut, knots: 1 } : cut)),
  level_below:
    ({ proposed }) =>
    (pattern) => ({ ...pattern, level: proposed }),
  session_without_step:
    ({ sessionId }) =>
    (pattern) => ({
      ...pattern,
      sessions: pattern.sessions.filter(({ id }) => id !== sessionId),
    }),
  slot_without_places:
    ({ slotId }) =>
    (pattern) => ({
      ...pattern,
      slots: pattern.slots.filter(({ id }) => id !== slotId),
      colourways: pattern.colourways.map((colourway) => ({
        ...colourway,
        fills: colourway.fills.filter((fill) => fill.slotId !== slotId),
      })),
    }),
  colourway_as_written:
    ({ colourwayId }) =>
    (pattern) => ({
      ...pattern,
      colourways: pattern.colourways.filter(({ id }) => id !== colourwayId),
    }),
  never_lifted: ({ stepId }) => saying(stepId, 'Lift it and turn it as you go.'),
  pale_after_dark: ({ stepId }) => saying(stepId, 'Lay a cloth over what is dark first.'),
  loose_end_unsaid: ({ partId }, { steps }) => {
    const making = steps.findLast(({ act, partIds }) => partIds.includes(partId) && act.kind === 'make');
    return making ? saying(making.id, 'Leave one end loose.') : null;
  },
  count_in_words: ({ stepId, name, count }) =>
    onStep(stepId, (step) => ({ ...step, text: withNumberBefore(step.text, name, count) })),
  size_in_words: ({ stepId, inText, isMm }, { lengthUnit }) =>
    onStep(stepId, (step) => ({ ...step, text: step.text.replace(inText, showSizeMm(isMm, lengthUnit)) })),
  finer_than_felt: ({ stepId, inText }) => {
    const rounded = asHandsHold(inText);
    return rounded === null
      ? null
      : onStep(stepId, (step) => ({ ...step, text: step.text.replace(inText, rounded) }));
  },
  wisp_never_felted: ({ stepId }) => saying(stepId, 'Felt it down lightly.'),
  exact_in_soft: ({ partId }) => onPart(partId, (part) => ({ ...part, firmness: 'springy' })),
  joins_off: ({ joinId }) => onJoin(joinId, (join) => ({ ...join, count: null })),
  curls_off: ({ cutId, ends }) =>
    onCut(cutId, (cut) => (cut.kind === 'wire' ? { ...cut, endCurls: ends } : cut)),
  wire_under_stretch: ({ cutId, stretch }) =>
    onCut(cutId, (cut) =>
      cut.kind === 'wire'
        ? {
            ...cut,
            segments: cut.segments.map((segment) =>
              segment.name === stretch && segment.partId !== null ? { ...segment, length: null } : segment,
            ),
          }
        : cut,
    ),
  one_of_a_pair: ({ partId, name }, { parts, findings }) => {
    if (parts.some((part) => part.id === partId && part.name === name))
      return onPart(partId, (part) => ({ ...part, count: 2 }));
    const [eye, another] = findings.filter((use) => use.partId === partId && use.count === 1);
    if (!eye || another) return null;
    return (pattern) => ({
      ...pattern,
      findings: pattern.findings.map((use) => (use.id === eye.id ? { ...use, count: 2 } : use)),
    });
  },
  set_into_soft: ({ findingUseId }, { findings }) => {
    const partId = findings.find(({ id }) => id === findingUseId)?.partId ?? null;
    return partId === null ? null : onPart(partId, (part) => ({ ...part, firmness: 'springy' }));
  },
  detail_on_soft: ({ partId }) => onPart(partId, (part) => ({ ...part, firmness: 'springy' })),
  core_shows_through: ({ partId, useId }) =>
    onPart(partId, (part) => ({
      ...part,
      uses: part.uses.map((use) =>
        use.id === useId && use.role === 'coat' ? { ...use, thickness: { by: 'hiding' } } : use,
      ),
    })),
  height_off_figure:
    ({ heightMm }) =>
    (pattern) => ({
      ...pattern,
      finishedHeight: inUnit(heightMm, pattern.lengthUnit),
    }),
};

/** @returns null: nothing a press could do, or it would leave as much broken as there is */
export function mendOf(remark: Remark, pattern: Pattern, newId: () => string): Mend | null {
  const mend = (MENDS[remark.code] as MendOf<RemarkCode> | undefined)?.(remark, pattern, newId) ?? null;
  if (mend === null || remark.code !== 'order_broken') return mend;
  const brokenIn = (each: Pattern) => brokenLinks(each.steps, orderLinks(each)).length;
  return brokenIn(mend(pattern)) < brokenIn(pattern) ? mend : null;
}

/** To a millimetre, or a sixteenth of an inch. */
const inUnit = (mm: number, unit: LengthUnit): Length =>
  unit === 'mm' ? { value: Math.round(mm), unit } : { value: Math.round((mm / MM_PER_INCH) * 16) / 16, unit };

const onStep =
  (stepId: string, change: (step: Step) => Step): Mend =>
  (pattern) => ({
    ...pattern,
    steps: pattern.steps.map((step) => (step.id === stepId ? change(step) : step)),
  });

/** One sentence more, where the author can still word it otherwise. */
const saying = (stepId: string, sentence: string): Mend =>
  onStep(stepId, (step) => ({ ...step, text: `${step.text.trimEnd()} ${sentence}`.trimStart() }));

const onPart =
  (partId: string, change: (part: Part) => Part): Mend =>
  (pattern) => ({
    ...pattern,
    parts: pattern.parts.map((part) => (part.id === partId ? change(part) : part)),
  });

const onJoin =
  (joinId: string, change: (join: Join) => Join): Mend =>
  (pattern) => ({
    ...pattern,
    joins: pattern.joins.map((join) => (join.id === joinId ? change(join) : join)),
  });

type Cut = Pattern['cuts'][number];
const onCut =
  (cutId: string, change: (cut: Cut) => Cut): Mend =>
  (pattern) => ({ ...pattern, cuts: pattern.cuts.map((cut) => (cut.id === cutId ? change(cut) : cut)) });

/** A step to be written, after the last that works on these parts; its words are its author’s. @param at left out: there */
function adding(
  pattern: Pattern,
  newId: () => string,
  kind: Extract<ActKind, 'make' | 'join' | 'sew' | 'wrap' | 'felt'>,
  stage: Stage,
  partIds: readonly string[],
  at: number | null = null,
): Mend {
  const last = pattern.steps.findLastIndex((step) => step.partIds.some((id) => partIds.includes(id)));
  const place = at ?? (last < 0 ? pattern.steps.length : last + 1);
  const step: Step = {
    ...structuredClone(BLANK_STEP),
    id: newId(),
    act: { kind },
    stage,
    partIds: [...partIds],
  };
  return (before) => ({
    ...before,
    steps: [...before.steps.slice(0, place), step, ...before.steps.slice(place)],
  });
}

function movedBefore(steps: readonly Step[], beforeId: string, afterId: string): Step[] {
  const step = steps.find(({ id }) => id === beforeId);
  const rest = steps.filter(({ id }) => id !== beforeId);
  const to = rest.findIndex(({ id }) => id === afterId);
  return step && to >= 0 ? [...rest.slice(0, to), step, ...rest.slice(to)] : [...steps];
}
