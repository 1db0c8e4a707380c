import type { Join, Part, PartState, Step } from '../../pattern/index.ts';
import { isLaidOn, JOINING } from '../../writing/index.ts';
import type { ReviewContext } from '../context.ts';
import { isNeverClosed, isNeverFeltedDown } from '../openWisps.ts';
import { promisedAbsent } from '../promised.ts';
import { rule, stepRule } from '../rule.ts';

/** A part that is not felted yet when it is set on. */
const SOFT: ReadonlySet<PartState | null> = new Set<PartState | null>(['rolled']);

/** Felted or wrapped, one may grow onto the other; gone over at the end, or looked at, nothing is set on. */
const isSettingOn = ({ act, stage }: Step): boolean =>
  JOINING.has(act.kind) ||
  ((act.kind === 'felt' || act.kind === 'wrap' || act.kind === 'make') && stage !== 'finish');

/** Made, joined, finished. */
export const MADE_RULES = [
  rule('part_never_made', 'made', 'stumble', ({ pattern, work }) =>
    pattern.parts.flatMap(({ id }) => ((work.get(id) ?? []).length === 0 ? [{ partId: id }] : [])),
  ),
  rule('part_never_joined', 'made', 'stumble', ({ pattern, work }) =>
    pattern.parts.flatMap((part) => {
      const partWorks = work.get(part.id) ?? [];
      const isAlone = partWorks.length === 0 || pattern.parts.length === 1 || isLaidOn(part);
      const isJoined = pattern.joins.some(({ partId, ontoId }) => partId === part.id || ontoId === part.id);
      const isFastened = partWorks.some(
        ({ state, isHost }) => isHost || state === 'joined' || state === 'tacked',
      );
      return isAlone || isJoined || isFastened ? [] : [{ partId: part.id }];
    }),
  ),
  rule('join_never_made', 'made', 'stumble', ({ pattern, stepsOn }) => {
    const joined = new Set(pattern.steps.flatMap(({ joinIds }) => joinIds));
    return pattern.joins.flatMap(({ id, partId, ontoId }) => {
      const isMade =
        joined.has(id) ||
        (stepsOn.get(partId) ?? []).some(
          (step) => step.joinIds.length === 0 && isSettingOn(step) && step.partIds.includes(ontoId),
        );
      return isMade ? [] : [{ joinId: id }];
    });
  }),
  rule('host_made_later', 'made', 'stumble', (context) =>
    context.pattern.joins.flatMap(({ id, partId, ontoId }) => {
      const joined = context.joinedAt.get(partId) ?? null;
      const made = firstMaking(context, ontoId);
      return joined !== null && made !== null && made > joined ? [{ joinId: id }] : [];
    }),
  ),
  rule('joined_unfelted', 'made', 'look', (context) =>
    context.pattern.parts.flatMap(({ id }) => {
      const joined = context.joinedAt.get(id) ?? null;
      if (joined === null) return [];
      const states = (context.work.get(id) ?? []).filter(({ at, state }) => at < joined && state !== null);
      const last = states.at(-1);
      return last && SOFT.has(last.state) ? [{ partId: id }] : [];
    }),
  ),
  stepRule(
    'stand_in_stays',
    'made',
    'stumble',
    ({ act }) => act.kind === 'stand-in' && act.untilStepId === null,
  ),
  rule('loose_end_unsaid', 'made', 'look', ({ pattern }) =>
    [...new Set(pattern.joins.flatMap(({ looseEnd }) => looseEnd?.partId ?? []))].flatMap((partId) => {
      const making = pattern.steps.filter(
        ({ act, partIds }) => partIds.includes(partId) && (act.kind === 'make' || act.kind === 'felt'),
      );
      return making.length === 0 || making.some(({ text }) => LEFT_LOOSE.test(text)) ? [] : [{ partId }];
    }),
  ),
  rule('base_left_disturbed', 'made', 'look', ({ pattern, joinedAt, stepsOn }) =>
    [...new Set(pattern.joins.filter(isStabbedIn).map(({ ontoId }) => ontoId))].flatMap((hostId) => {
      if (!isCoated(pattern.parts.find(({ id }) => id === hostId))) return [];
      const ats = pattern.joins
        .filter((join) => join.ontoId === hostId && isStabbedIn(join))
        .map(({ partId }) => joinedAt.get(partId));
      // A join that nobody makes is told as that.
      if (ats.length === 0 || ats.some((at) => at === undefined)) return [];
      const lastAt = Math.max(...ats.map((at) => at ?? 0));
      const after = (stepsOn.get(hostId) ?? []).filter((step) => pattern.steps.indexOf(step) > lastAt);
      return after.length > 0 ? [] : [{ partId: hostId }];
    }),
  ),
  rule('loose_end_felted_shut', 'made', 'stumble', ({ pattern, joinedAt, stepsOn }) =>
    pattern.joins.flatMap(({ partId, looseEnd }) => {
      const at = joinedAt.get(partId);
      const name = pattern.parts.find(({ id }) => id === partId)?.name ?? '';
      if (looseEnd?.partId !== partId || at === undefined || FRESH.test(pattern.steps[at]?.text ?? ''))
        return [];
      const shut = (stepsOn.get(partId) ?? []).find(
        (step) => pattern.steps.indexOf(step) < at && FELTED_SHUT.test(step.text),
      );
      return shut ? [{ stepId: shut.id, name }] : [];
    }),
  ),
  stepRule('loose_end_nowhere', 'made', 'look', ({ text, act, partIds }, _at, { pattern }) => {
    if ((act.kind !== 'make' && act.kind !== 'felt') || !LEAVE_LOOSE.test(text)) return false;
    return !pattern.joins.some(
      ({ partId, ontoId, looseEnd }) =>
        (partIds.includes(partId) || partIds.includes(ontoId)) && looseEnd !== null,
    );
  }),
  stepRule('opening_never_made', 'made', 'stumble', ({ text }, at, { pattern }) =>
    goesThrough(text).some(
      (noun) =>
        !pattern.steps.slice(0, at + 1).some((step) => isOpened(step.text, noun)) &&
        (noun !== 'slot' || pattern.joins.every(({ slot }) => slot === null)),
    ),
  ),
  stepRule('wisp_never_felted', 'made', 'look', (step, at, { pattern }) =>
    isNeverFeltedDown(step, at, pattern),
  ),
  stepRule('never_closed', 'made', 'look', (step, at, { pattern }) => isNeverClosed(step, at, pattern)),
  rule('promised_absent', 'made', 'stumble', (context) =>
    context.pattern.steps.flatMap(({ id: stepId, text }, at) =>
      promisedAbsent(text, at, context).map((inText) => ({ stepId, inText })),
    ),
  ),
];

/** On a bare core nobody sees it. */
const isCoated = (part: Part | undefined): boolean => part?.uses.some(({ role }) => role === 'coat') === true;

/** It is stabbed deep into what carries it, and that gives way around it. */
const isStabbedIn = ({ method, cover }: Join): boolean => method === 'needled' && cover === null;

/** An end that is not felted, as makers call it. */
const LOOSE = String.raw`(?:loose|unfelted|fluffy|wispy|wisps?|tails?|soft|open|free)`;
const LEFT_LOOSE = new RegExp(`\\b${LOOSE}\\b`, 'i');
const LEAVE_LOOSE = new RegExp(
  `\\b(?:leave|leaving|keep|keeping)\\b[^.]*\\bends?\\b[^.]*\\b${LOOSE}\\b`,
  'i',
);
/** With both its ends felted nothing of it goes into anything any more. */
const FELTED_SHUT =
  /\b(?:both ends|each end|all its ends|the ends)\b[^.]*\b(?:closed|shut|firm|felted|round)\b|\bfelt (?:both|the|its) ends\b/i;
const FRESH = /\b(?:fresh|new|more|extra|another|separate)\b[^.]*\b(?:wool|fibre|wisps?|tufts?)\b/i;
const THROUGH = /\bthrough (?:the|its|this|that) (hole|opening|slit|slot)\b/gi;

/** Whatever something is put through. */
const goesThrough = (text: string): string[] =>
  [...text.matchAll(THROUGH)].flatMap(([, noun]) => noun?.toLowerCase() ?? []);

/** A step makes one, or leaves one. */
const isOpened = (text: string, noun: string): boolean =>
  new RegExp(
    `\\b(?:make|making|leave|leaving|cut|snip|pierce|poke|open|punch|keep)\\b[^.]*\\b${noun}s?\\b`,
    'i',
  ).test(text.replaceAll(THROUGH, ''));

function firstMaking({ pattern }: ReviewContext, partId: string): number | null {
  const at = pattern.steps.findIndex(
    ({ act, partIds, stage }) => act.kind === 'make' && stage !== 'finish' && partIds.includes(partId),
  );
  return at < 0 ? null : at;
}
