import type { LogbookPage } from '@lanakit/core/api';
import { figuresOf, type SaidNow } from '@lanakit/core/classDay';
import { fibreNamesOf } from '@lanakit/core/words';
import { useMemo } from 'react';
import { Link } from 'react-router';
import { apiPath } from '../api/studio.ts';
import { MinutesTable } from '../runs/class/MinutesTable.tsx';
import { WoolTable } from '../runs/class/WoolTable.tsx';
import { PERMISSION_WORDS, SAID_WORDS, whereWords } from '../words/classWords.ts';
import { counted, showDay, showGrams } from '../words/show.ts';
import { useShelf } from '../api/queries.ts';
import { TookChart } from './TookChart.tsx';
import styles from './Logbook.module.css';

/** One class as its notebook page has it. */
export function ClassPageOfBook({ page }: { page: LogbookPage }) {
  return (
    <article className={`sheet ${styles.notebook}`}>
      <header>
        <h2>{page.name}</h2>
        <p className="quiet">
          {showDay(page.date)} · {page.titles.join(', ')} ·{' '}
          <Link to={`/runs/${page.runId}/class?side=after`}>
            {page.isClosed ? 'the class' : 'weigh left-overs back, and close it'}
          </Link>
        </p>
      </header>
      <p className={styles.sum}>{sumWords(page)}</p>
      <Wool page={page} />
      <Minutes page={page} />
      <Said page={page} />
      <Photos page={page} />
    </article>
  );
}

function sumWords({ making, wool }: LogbookPage): string {
  const { seats, finished, prepared, needles, tips, openTips } = making;
  const took =
    wool.tookG !== null
      ? `It took ${showGrams(wool.tookG)} of ${showGrams(wool.plannedG)} planned.`
      : wool.weighedG !== null
        ? `${showGrams(wool.weighedG)} were weighed out of ${showGrams(wool.plannedG)} planned; what came back is not weighed.`
        : `${showGrams(wool.plannedG)} were planned; what it took is not known.`;
  const who = finished > 0 ? `${finished} of ${counted(seats, 'seat')} finished.` : `${counted(seats, 'seat')}; nobody is marked as finished.`;
  const broke = needles === null ? '' : needles.broken === 0 ? 'No needle broke.' : `${counted(needles.broken, 'needle')} of ${needles.out} broke.`;
  const sharp = [
    prepared > 0 ? `${counted(prepared, 'prepared piece was', 'prepared pieces were')} handed over.` : '',
    broke,
    needles !== null && needles.missing > 0 ? `${counted(needles.missing, 'needle is', 'needles are')} missing.` : '',
    tips > 0 ? `${counted(tips, 'tip')} broke off${openTips > 0 ? `, ${openTips} not found` : ', all found'}.` : '',
  ];
  return [who, took, ...sharp].filter((words) => words !== '').join(' ');
} // prettier-ignore

function Wool({ page: { making } }: { page: LogbookPage }) {
  const { byId } = useShelf();
  const nameOf = useMemo(() => {
    const named = fibreNamesOf({ fibres: byId });
    return (id: string) => (byId.has(id) ? named(id) : 'a fibre no longer on the shelf');
  }, [byId]);
  if (making.wool.length === 0) return null;
  return (
    <section aria-label="Wool">
      <h3>Wool</h3>
      <TookChart rows={making.wool} nameOf={nameOf} />
      <WoolTable rows={making.wool} hasSpare={making.wool.some(({ spareG }) => spareG > 0)} />
    </section>
  );
}

const Minutes = ({ page: { making } }: { page: LogbookPage }) => (
  <section aria-label="Minutes">
    <h3>Minutes</h3>
    <MinutesTable entries={making.entries} />
  </section>
);

/** By step, in the order of the pattern: what the next revision is to answer. */
function Said({ page: { making, makes } }: { page: LogbookPage }) {
  if (making.notes.length === 0) return null;
  const figures = figuresOf(makes);
  const place = ({ stepId }: SaidNow) =>
    figures.flatMap(({ steps }) => steps).find(({ id }) => id === stepId)?.number ?? Number.POSITIVE_INFINITY;
  return (
    <section aria-label="Said and seen">
      <h3>Said and seen</h3>
      <ul className={styles.said}>
        {making.notes
          .toSorted((a, b) => place(a) - place(b))
          .map((each) => (
            <li key={each.key}>
              <b>{SAID_WORDS[each.sort]}</b> {whereWords(each, figures)}
              {each.text && `: ${each.text}`}
            </li>
          ))}
      </ul>
    </section>
  );
}

function Photos({ page: { making } }: { page: LogbookPage }) {
  if (making.photos.length === 0) return null;
  return (
    <section aria-label="Photos">
      <h3>Photos</h3>
      <div className={styles.photos}>
        {making.photos.map(({ pictureId, permission }) => (
          <figure key={pictureId}>
            <img src={apiPath(`/pictures/${pictureId}?size=small`)} alt="Finished figure" />
            <figcaption>{PERMISSION_WORDS[permission]}</figcaption>
          </figure>
        ))}
      </div>
    </section>
  );
}
