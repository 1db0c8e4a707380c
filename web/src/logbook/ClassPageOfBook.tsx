import type { LogbookPage } from '@lanakit/core/api';
import { fibreNamesOf, lengthOfTime } from '@lanakit/core/words';
import { Link } from 'react-router';
import { useShelf } from '../api/queries.ts';
import { apiPath } from '../api/studio.ts';
import { FibreSwatch } from '../ui/look/FibreSwatch.tsx';
import { lateWords, PERMISSION_WORDS, SAID_WORDS } from '../words/classWords.ts';
import { counted, showDay, showGrams } from '../words/show.ts';
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
  if (making.wool.length === 0) return null;
  return (
    <section aria-label="Wool">
      <h3>Wool</h3>
      <table className={styles.table}>
        <thead>
          <tr>
            <th scope="col">Fibre</th>
            <th scope="col">Planned</th>
            <th scope="col">Weighed out</th>
            <th scope="col">Came back</th>
            <th scope="col">Took</th>
            <th scope="col">Against the plan</th>
          </tr>
        </thead>
        <tbody>
          {making.wool.map(({ fibreId, plannedG, weighedG, leftG, tookG }) => {
            const fibre = byId.get(fibreId);
            return (
              <tr key={fibreId}>
                <th scope="row">
                  <span className={styles.fibre}>
                    {fibre && <FibreSwatch fibre={fibre} width={30} height={18} />}
                    {fibreNamesOf({ fibres: byId })(fibreId)}
                  </span>
                </th>
                <td>{showGrams(plannedG)}</td>
                <td>{weighedG === null ? 'not weighed' : showGrams(weighedG)}</td>
                <td>{leftG === null ? 'not weighed' : showGrams(leftG)}</td>
                <td>{tookG === null ? 'not known' : showGrams(tookG)}</td>
                <td>{tookG === null || plannedG <= 0 ? '' : shareWords(tookG / plannedG)}</td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </section>
  );
}

const shareWords = (share: number): string => {
  const percent = Math.round((share - 1) * 100);
  return percent === 0 ? 'as planned' : `${Math.abs(percent)} % ${percent > 0 ? 'more' : 'less'}`;
};

function Minutes({ page: { making } }: { page: LogbookPage }) {
  if (making.entries.length === 0)
    return <p className="quiet">No minutes: nothing was marked as begun or had by everybody.</p>;
  return (
    <section aria-label="Minutes">
      <h3>Minutes</h3>
      <table className={styles.table}>
        <thead>
          <tr>
            <th scope="col">What</th>
            <th scope="col">Planned</th>
            <th scope="col">It took</th>
            <th scope="col">Ended</th>
          </tr>
        </thead>
        <tbody>
          {making.entries.map(({ entryId, name, plannedMinutes, tookMinutes, lateMinutes }) => (
            <tr key={entryId}>
              <th scope="row">{name}</th>
              <td>{lengthOfTime(plannedMinutes)}</td>
              <td>{tookMinutes === null ? 'beginning not marked' : lengthOfTime(tookMinutes)}</td>
              <td>{lateMinutes === null ? 'not marked' : lateWords(lateMinutes)}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}

/** By step, in the order of the pattern: what the next revision is to answer. */
function Said({ page: { making, makes } }: { page: LogbookPage }) {
  if (making.notes.length === 0) return null;
  const steps = new Map(makes.flatMap((make) => make.steps.map((step) => [step.id, step] as const)));
  const pieces = new Map(makes.flatMap((make) => make.pieces.map((piece) => [piece.partId, piece.name] as const)));
  const places = making.notes.map((each) => ({
    ...each,
    at: steps.get(each.stepId ?? '')?.number ?? Number.POSITIVE_INFINITY,
    where: each.stepId !== null ? `step ${steps.get(each.stepId)?.number ?? '?'}, ${steps.get(each.stepId)?.title ?? 'no longer there'}` : (pieces.get(each.partId ?? '') ?? 'a piece that is gone'),
  }));
  return (
    <section aria-label="Said and seen">
      <h3>Said and seen</h3>
      <ul className={styles.said}>
        {places
          .toSorted((a, b) => a.at - b.at)
          .map(({ key, sort, where, text }) => (
            <li key={key}>
              <b>{SAID_WORDS[sort]}</b>, {where}
              {text && `: ${text}`}
            </li>
          ))}
      </ul>
    </section>
  );
} // prettier-ignore

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
