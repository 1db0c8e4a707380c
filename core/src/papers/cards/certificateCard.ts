import type { Pack, PackGroup } from '../../run/index.ts';
import { joinWords, lengthOfTime, showDay } from '../../words/index.ts';
import type { PaperSource } from '../paper.ts';
import { type Booklet, say, strong } from '../booklet/model.ts';
import { cardOf } from './card.ts';

/** Who was there, what was made, when and for how long; by whom is written by hand. */
export function certificateCard({ name }: Pack, { makes }: PackGroup, { input }: PaperSource): Booklet {
  const titles = [...new Set(makes.map(({ pattern }) => pattern.title))];
  const days = [...new Set(input.plan.sessions.map(({ date }) => date ?? input.date))];
  const minutes = input.plan.sessions.reduce((sum, session) => sum + session.minutes, 0);
  const when = joinWords((days.length > 0 ? days : [input.date]).map((day) => showDay(day, { year: true })));
  return cardOf(name.trim() === '' ? LINE : name, [`took part in ${input.name}`], [
    say(strong('Made: '), joinWords(titles)),
    say(strong('When: '), when, ...(minutes > 0 ? [`, ${lengthOfTime(minutes)} in all`] : [])),
    say(`Taught by ${LINE}`),
    say('A record of attendance: no qualification goes with it.'),
  ]);
} // prettier-ignore

/** To be written on. */
const LINE = '_'.repeat(28);
