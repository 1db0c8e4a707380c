import { showNumber } from '../base/index.ts';
import type { Pattern, Step } from '../pattern/index.ts';
import { type Designs, MINUTES_A_DAY, type RunInput } from '../run/index.ts';
import { INSTRUCTOR_KEY, type Lever, type SittingBreak } from '../timetable/index.ts';
import { capital, counted, showDay } from './amounts.ts';
import { joinWords } from './cutWords.ts';
import { TOOL_WORDS } from './writingWords.ts';

/** A time of day: 14:05. @param minute from midnight of the run’s day */
export function clockWords(minute: number): string {
  const inDay = ((Math.round(minute) % MINUTES_A_DAY) + MINUTES_A_DAY) % MINUTES_A_DAY;
  const two = (number: number) => String(number).padStart(2, '0');
  return `${two(Math.floor(inDay / 60))}:${two(inDay % 60)}`;
}

/** A time of day, with the number of its sitting where there are several: `2, 10:47`. */
export function sittingClock(minute: number, sittings: readonly { readonly from: number }[]): string {
  if (sittings.length < 2) return clockWords(minute);
  const at = Math.max(
    0,
    sittings.findLastIndex(({ from }) => from <= minute),
  );
  return `${at + 1}, ${clockWords(minute)}`;
}

/** So long: 45 min, 2 h, 1 h 20. */
export function lengthOfTime(minutes: number): string {
  const whole = Math.round(minutes);
  if (whole < 90) return `${whole} min`;
  const [hours, rest] = [Math.floor(whole / 60), whole % 60];
  return rest === 0 ? `${hours} h` : `${hours} h ${rest}`;
}

/** What a step is called where there is little room: its first words, as its author wrote them. */
export function stepTitle({ text, act }: Pick<Step, 'text' | 'act'>, longest = 34): string {
  const plain = text.replaceAll(/[*_#>`[\]]/g, '').trim();
  const sentence = plain.split(/[.;:!?\n]|, /)[0]?.trim() ?? '';
  const words = sentence === '' ? act.kind : sentence;
  if (words.length <= longest) return words;
  const cut = words.slice(0, longest).replace(/\s+\S*$/, '');
  return `${cut}…`;
}

/** Numbers of steps, those in a row as one: 1–3, 5. */
function numbersWords(numbers: readonly number[]): string {
  const runs: { from: number; to: number }[] = [];
  for (const number of numbers.toSorted((a, b) => a - b)) {
    const last = runs.at(-1);
    if (last && number === last.to + 1) last.to = number;
    else runs.push({ from: number, to: number });
  }
  return joinWords(runs.map(({ from, to }) => (from === to ? String(from) : `${from}–${to}`)));
}

/** The step that is meant, and by their numbers those that go with it. */
function stepsWords(
  lever: Extract<Lever, { kind: 'before' | 'home' }>,
  pattern: Pattern | undefined,
): string {
  const places = lever.stepIds.flatMap((id) => {
    const at = pattern?.steps.findIndex((step) => step.id === id) ?? -1;
    return at < 0 ? [] : [at];
  });
  const meant = lever.kind === 'before' ? places.at(-1) : places[0];
  const step = pattern?.steps[meant ?? -1];
  if (meant === undefined || !step) return 'steps that are gone';
  const others = places.filter((at) => at !== meant).map((at) => at + 1);
  const title = `${meant + 1} ${stepTitle(step, 40)}`;
  if (others.length === 0) return title;
  return lever.kind === 'before'
    ? `${title}, with ${numbersWords(others)}`
    : `${title}, and ${numbersWords(others)} after it`;
}

/** A shared thing by its name. */
export const sharedWords = (key: string, name: string): string =>
  key === INSTRUCTOR_KEY
    ? name || 'Your own hands'
    : capital((TOOL_WORDS as Record<string, string>)[name] ?? name);

/** What is done otherwise, in a line. */
export function leverWords(lever: Lever, run: RunInput, designs: Designs): string {
  switch (lever.kind) {
    case 'before':
      return `Prepare beforehand: ${stepsWords(lever, designs.get(lever.revisionId))}`;
    case 'home':
      return `Take home: ${stepsWords(lever, designs.get(lever.revisionId))}`;
    case 'choose': {
      const option = designs.get(lever.revisionId)?.options.find(({ id }) => id === lever.optionId);
      const value = option?.values.find(({ id }) => id === lever.valueId);
      return lever.isLeftOut
        ? `Leave out ${option?.name ?? 'an extra'}`
        : `${option?.name ?? 'An option'}: all take “${value?.name ?? ''}”, the quicker`;
    }
    case 'tool': {
      const thing = run.plan.shared.find(({ key }) => key === lever.key);
      return `${sharedWords(lever.key, thing?.name || lever.key)}: ${lever.count} in the room`;
    }
    case 'groups': {
      const row = run.plan.rows.find(({ id }) => id === lever.rowId);
      const name = row?.name || 'a demonstration';
      return lever.groups === 1
        ? `Show “${name}” once, to all`
        : `Show “${name}” to ${lever.groups} groups in turn`;
    }
    case 'move': {
      const row = run.plan.rows.find(({ id }) => id === lever.rowId);
      const by = lever.atMinute - (row?.atMinute ?? 0);
      return `Show “${row?.name || 'a demonstration'}” ${Math.abs(by)} min ${by < 0 ? 'earlier' : 'later'}`;
    }
    case 'longer':
      return `${lengthOfTime(lever.minutes)} more at the end`;
    case 'another-sitting':
      return `Another sitting, ${showDay(lever.date)}`;
  }
}

/** How a sitting is left: where it can be, what lies in the hand, what dries, what would come loose. */
export function breakWords(each: SittingBreak, build: Pattern): string[] {
  const titleOf = (stepId: string) => {
    const at = build.steps.findIndex(({ id }) => id === stepId);
    const step = build.steps[at];
    return step ? `${at + 1} ${stepTitle(step, 40)}` : '';
  };
  const names = each.loose.map(
    ({ partId, state }) =>
      `${build.parts.find(({ id }) => id === partId)?.name || 'a part'} is only ${state}`,
  );
  return [
    each.afterStepId === null
      ? 'Nothing that nine in ten have done by then can be left lying.'
      : `Best left after ${titleOf(each.afterStepId)}: nine in ten are so far.`,
    ...(each.inHandStepId === null ? [] : [`Most have ${titleOf(each.inHandStepId)} in hand.`]),
    ...(each.dryingStepIds.length === 0
      ? []
      : [`In between it dries: ${joinWords(each.dryingStepIds.map(titleOf))}.`]),
    ...(names.length === 0 ? [] : [`Do not stop there: ${joinWords(names)}. Felt on, or pin it.`]),
  ];
}

/** What a lever asks of its maker, or of others. */
export function leverCostWords(lever: Lever, makerMinutes: number, run: RunInput): string {
  switch (lever.kind) {
    case 'before':
      return `${lengthOfTime(makerMinutes)} of your own, for every pack`;
    case 'home':
      return 'a homework sheet; they finish by themselves';
    case 'choose':
      return `for all ${counted(run.seats, 'seat')}`;
    case 'tool':
      return 'to have or to borrow';
    case 'groups':
    case 'move':
      return 'nothing';
    case 'longer':
    case 'another-sitting':
      return 'the room, and everybody’s time';
  }
}

/** A chance as people say it; of nearly all or none that it is not quite. */
export function chanceWords(chance: number): string {
  if (chance >= 0.995) return chance >= 0.9995 ? '100 %' : 'over 99 %';
  if (chance <= 0.005) return chance <= 0.0005 ? '0 %' : 'under 1 %';
  return `${showNumber(chance * 100, 0)} %`;
}
