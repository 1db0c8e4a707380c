import { stepRule } from '../rule.ts';

/** Checks, decisions and choices. */
export const CHECK_RULES = [
  stepRule('check_without_remedy', 'checks', 'stumble', ({ checks }) =>
    checks.some(({ pass, remedy }) => pass.trim() === '' || remedy.trim() === ''),
  ),
  stepRule('check_without_look', 'checks', 'stumble', ({ checks }) =>
    checks.some(({ look }) => look.trim() === ''),
  ),
  stepRule('check_points_ahead', 'checks', 'stumble', ({ checks }, at, { pattern }) =>
    checks.some(({ returnToStepId }) => {
      const to = pattern.steps.findIndex(({ id }) => id === returnToStepId);
      return to > at;
    }),
  ),
  stepRule(
    'decision_without_answers',
    'checks',
    'stumble',
    ({ act }) => act.kind === 'decide' && (act.question.trim() === '' || act.answers.length < 2),
  ),
  stepRule(
    'choice_of_one',
    'checks',
    'stumble',
    ({ act }) => act.kind === 'choose' && act.findingUseIds.length < 2,
  ),
];
