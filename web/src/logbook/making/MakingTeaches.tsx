import type { MakingPage } from '@lanakit/core/api';
import { Button } from 'antd';
import { chooseEvidence } from '../../api/mutations/logbook.ts';
import { perform } from '../../api/mutations/mutation.ts';
import { useShelf } from '../../api/queries.ts';
import { useAttempt } from '../../shell/useAttempt.ts';
import { capital, fibreNamesOf } from '@lanakit/core/words';
import { EVIDENCE_WORDS } from '../../words/logbookWords.ts';
import book from '../Logbook.module.css';

/** What of the page is asked about, and what of it is left out. */
export function MakingTeaches({ page }: { page: MakingPage }) {
  const attempt = useAttempt();
  const { byId } = useShelf();
  const fibreName = fibreNamesOf({ fibres: byId });
  const asked = page.evidence.filter(({ isOdd, isLeftOut }) => isOdd || isLeftOut);
  const counting = page.evidence.filter(({ counts }) => counts).length;
  const choose = (id: string, choice: 'left-out' | 'meant' | null) =>
    void attempt(async () => {
      await perform(chooseEvidence(id, choice));
      return undefined;
    });
  return (
    <section aria-label="What it teaches" className={book.notOnPaper}>
      <h3>What it teaches</h3>
      <p className="quiet">
        {counting === 0
          ? 'Nothing yet: weigh a bag before and after, measure a piece, or time a step.'
          : `${counting} of its weighings and times count with those of all other pages. Leave one out where it is told wrong.`}
      </p>
      <ul className={book.said}>
        {asked.map(({ id, kind, fibreId, partId, z, isOdd, isLeftOut, expected, found }) => (
          <li key={id}>
            {capital(EVIDENCE_WORDS[kind])}
            {fibreId !== null &&
              `, ${byId.has(fibreId) ? fibreName(fibreId) : 'a fibre no longer on the shelf'}`}
            {partId !== null && `, ${page.build?.parts.find((part) => part.id === partId)?.name ?? ''}`}:{' '}
            {isLeftOut
              ? 'left out'
              : `${Math.round((found / expected) * 100)} % of what was expected; ${Math.abs(z).toFixed(1)} times as far off as is usual. It does not count until you say that it is meant so.`}{' '}
            {isOdd && !isLeftOut && (
              <Button size="small" onClick={() => choose(id, 'meant')}>
                It is meant so
              </Button>
            )}{' '}
            <Button size="small" onClick={() => choose(id, isLeftOut ? null : 'left-out')}>
              {isLeftOut ? 'Count it again' : 'Leave it out'}
            </Button>
          </li>
        ))}
      </ul>
    </section>
  );
}
