import { darkerThan, type DarkRule } from '../build/index.ts';
import type { Wool } from '../engine/index.ts';
import { type Need, needsOf } from '../needles/index.ts';
import {
  isNeedleMissing,
  isWaitedFor,
  type Pattern,
  permissionState,
  valuesNeverAllowed,
} from '../pattern/index.ts';
import { brokenLinks, isLaidOn, type OrderLink, orderLinks, workOnParts } from '../writing/index.ts';
import { type FigureWantFault, figureWantFaults } from './figureWants.ts';
import { figureHeightFault, type FigureHeightFault } from './heightOfFigure.ts';
import { heightFault, type HeightFault } from './heightOfParts.ts';

/** What a reader of the pattern would stumble over. None of these stops a draft; each has its place. */
export type Remark =
  | { readonly code: 'part_never_made'; readonly partId: string }
  | { readonly code: 'part_never_joined'; readonly partId: string }
  | { readonly code: 'join_never_made'; readonly joinId: string }
  | { readonly code: 'step_empty'; readonly stepId: string }
  | { readonly code: 'needle_not_said'; readonly stepId: string }
  | { readonly code: 'minutes_not_said'; readonly stepId: string }
  | { readonly code: 'waiting_not_said'; readonly stepId: string }
  | { readonly code: 'check_without_remedy'; readonly stepId: string }
  | { readonly code: 'order_broken'; readonly link: OrderLink }
  | { readonly code: 'sides_not_said'; readonly stepId: string }
  | { readonly code: 'value_never_allowed'; readonly optionId: string; readonly valueId: string }
  | { readonly code: 'slot_rule_broken'; readonly rule: DarkRule }
  | { readonly code: 'tool_not_listed'; readonly needKey: string; readonly what: Need['what'] }
  | { readonly code: 'tool_not_used'; readonly needKey: string; readonly what: Need['what'] }
  | HeightFault
  | FigureHeightFault
  | FigureWantFault
  | { readonly code: 'adapt_not_granted' }
  | { readonly code: 'credit_missing' };

const SIDES = /\b(?:left|right)(?![\s-]*(?:over|angle|through|away|size))(?:-hand)?\b/i;

/** Everything to look at in the writing, in the order of the pattern. */
export function remarksOf(pattern: Pattern, wool: Wool): Remark[] {
  if (pattern.steps.length === 0) return [...aboutHeight(pattern, wool), ...aboutRights(pattern)];
  const needs = needsOf(pattern);
  return [
    ...aboutHeight(pattern, wool),
    ...aboutParts(pattern),
    ...aboutSteps(pattern),
    ...brokenLinks(pattern.steps, orderLinks(pattern)).map((link): Remark => ({
      code: 'order_broken',
      link,
    })),
    ...valuesNeverAllowed(pattern).map((value): Remark => ({
      code: 'value_never_allowed',
      ...value,
    })),
    ...darkerThan(pattern, wool).map((rule): Remark => ({ code: 'slot_rule_broken', rule })),
    ...needs.usedNotListed.map(({ key, what }): Remark => ({
      code: 'tool_not_listed',
      needKey: key,
      what,
    })),
    ...needs.listedNotUsed.map(({ key, what }): Remark => ({
      code: 'tool_not_used',
      needKey: key,
      what,
    })),
    ...aboutRights(pattern),
  ];
}

function aboutHeight(pattern: Pattern, wool: Wool): Remark[] {
  const fault = heightFault(pattern) ?? figureHeightFault(pattern, wool);
  return [...(fault ? [fault] : []), ...figureWantFaults(pattern, wool)];
}

function aboutParts(pattern: Pattern): Remark[] {
  const work = workOnParts(pattern);
  const joined = new Set(pattern.steps.flatMap(({ joinIds }) => joinIds));
  const parts = pattern.parts.flatMap((part): Remark[] => {
    const partWorks = work.get(part.id) ?? [];
    if (partWorks.length === 0) return [{ code: 'part_never_made', partId: part.id }];
    const isAlone = pattern.parts.length === 1 || isLaidOn(part);
    const isJoined = pattern.joins.some(({ partId, ontoId }) => partId === part.id || ontoId === part.id);
    const isFastened = partWorks.some(
      ({ state, isHost }) => isHost || state === 'joined' || state === 'tacked',
    );
    return isAlone || isJoined || isFastened ? [] : [{ code: 'part_never_joined', partId: part.id }];
  });
  const joins = pattern.joins.flatMap(({ id, partId, ontoId }): Remark[] => {
    const isMade =
      joined.has(id) ||
      pattern.steps.some(
        (step) => step.joinIds.length === 0 && step.partIds.includes(partId) && step.partIds.includes(ontoId),
      );
    return isMade ? [] : [{ code: 'join_never_made', joinId: id }];
  });
  return [...parts, ...joins];
}

function aboutSteps(pattern: Pattern): Remark[] {
  return pattern.steps.flatMap((step): Remark[] => {
    const stepId = step.id;
    const finding = (
      isSo: boolean,
      code:
        | 'step_empty'
        | 'needle_not_said'
        | 'minutes_not_said'
        | 'waiting_not_said'
        | 'check_without_remedy'
        | 'sides_not_said',
    ): Remark[] => (isSo ? [{ code, stepId }] : []);
    const isWait = step.act.kind === 'wait';
    return [
      ...finding(step.text.trim() === '', 'step_empty'),
      ...finding(isNeedleMissing(step, pattern), 'needle_not_said'),
      ...finding(step.minutes === null && !isWait, 'minutes_not_said'),
      ...finding(isWaitedFor(step, pattern) && step.waiting === null, 'waiting_not_said'),
      ...finding(
        step.checks.some(({ pass, remedy }) => pass.trim() === '' || remedy.trim() === ''),
        'check_without_remedy',
      ),
      ...finding(pattern.sidesSeen === null && SIDES.test(step.text), 'sides_not_said'),
    ];
  });
}

function aboutRights({ rights }: Pattern): Remark[] {
  if (rights.origin === 'own') return [];
  return [
    ...(rights.origin === 'derived' && permissionState(rights, 'adapt') !== 'granted'
      ? [{ code: 'adapt_not_granted' } as const]
      : []),
    ...(rights.credit.trim() === '' ? [{ code: 'credit_missing' } as const] : []),
  ];
}
