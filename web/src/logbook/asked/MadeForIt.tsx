import type { CommissionPage } from '@lanakit/core/api';
import { resolveBuild } from '@lanakit/core/build';
import { buildWanted, type Standing } from '@lanakit/core/commissions';
import type { Wool } from '@lanakit/core/engine';
import { blankMaking, makingOf, type MakingInput } from '@lanakit/core/logbook';
import type { Pattern } from '@lanakit/core/pattern';
import { Button } from 'antd';
import { nanoid } from 'nanoid';
import { Link } from 'react-router';
import { createMaking } from '../../api/mutations/logbook.ts';
import { perform } from '../../api/mutations/mutation.ts';
import { useAttempt } from '../../shell/useAttempt.ts';
import { todayPlus } from '../../words/days.ts';
import { showDay, showGrams, showMinutes } from '../../words/show.ts';
import book from '../Logbook.module.css';
import type { CommissionDraft } from './useCommissionDraft.ts';

interface MadeForItProps {
  page: CommissionPage;
  draft: CommissionDraft;
  pattern: Pattern | null;
  standing: Standing;
  wool: Wool;
}

/** Pages of the logbook on which it was made: what it really took. */
export function MadeForIt({ page, draft, pattern, standing, wool }: MadeForItProps) {
  const attempt = useAttempt();
  const { input, change } = draft;
  const isLinked = (id: string) => input.makings.some(({ makingId }) => makingId === id);
  const begin = () =>
    void attempt(async () => {
      const making = makingFor(input, pattern, standing, wool);
      await perform(createMaking(making), ({ id }) =>
        change('a page of the logbook', (commission) => void commission.makings.push({ makingId: id })),
      );
      await draft.settle();
      return { text: 'A page of the logbook is begun for it.' };
    });
  return (
    <section aria-label="What it really took">
      <h3>What it really took</h3>
      {page.makings.filter(({ id }) => isLinked(id)).length === 0 && (
        <p className="quiet">
          A page of the logbook tells: begin one for it, and the bag is weighed and the hours are timed as you
          make it.
        </p>
      )}
      <ul className={book.said}>
        {page.makings
          .filter(({ id }) => isLinked(id))
          .map(({ id, title, date, tookG, unknownCount, minutes }) => (
            <li key={id}>
              <Link to={`/logbook/making/${id}`}>{title}</Link>, {showDay(date)}:{' '}
              {tookG > 0
                ? `${unknownCount > 0 ? 'at least ' : ''}${showGrams(tookG)}`
                : 'nothing weighed yet'}
              {minutes !== null && `, ${showMinutes(minutes)}`}
            </li>
          ))}
      </ul>
      <p className={book.add}>
        <Button size="small" onClick={begin}>
          Begin a page for it
        </Button>
      </p>
    </section>
  );
}

/** Along its pattern, as it is wanted; without one, made first and written later. */
function makingFor(
  input: CommissionDraft['input'],
  pattern: Pattern | null,
  { size }: Standing,
  wool: Wool,
): MakingInput {
  const build = pattern && buildWanted(input, resolveBuild(pattern, input.choices));
  if (!build) return blankMaking(input.title, todayPlus(0));
  return {
    ...makingOf(build, wool, todayPlus(0), () => nanoid(10)),
    title: input.title,
    patternId: input.patternId,
    choices: input.choices,
    sizeFraction: size?.kind === 'size' ? size.fraction : 1,
  };
}
