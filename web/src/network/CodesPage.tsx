import type { OpenedRun, PackCodes } from '@lanakit/core/api';
import { seatName, seatsOf } from '@lanakit/core/run';
import { Button, Popconfirm } from 'antd';
import { Link, useParams } from 'react-router';
import { ApiProblem } from '../api/client.ts';
import { endCodes, makeCodes } from '../api/mutations/network.ts';
import { perform } from '../api/mutations/mutation.ts';
import { usePackCodes, useRun } from '../api/queries.ts';
import { Loading } from '../shell/Loading.tsx';
import { NotFound } from '../shell/NotFound.tsx';
import { useAttempt } from '../shell/useAttempt.ts';
import sheets from '../ui/Sheets.module.css';
import { counted, showDay } from '../words/show.ts';
import { CodePicture } from './CodePicture.tsx';
import styles from './Codes.module.css';

/** Slips to cut out: by each a learner’s phone opens the pattern of one pack. */
export function CodesPage() {
  const { id = '' } = useParams();
  const run = useRun(id);
  const codes = usePackCodes(id);
  const error = run.error ?? codes.error;
  if (error instanceof ApiProblem && error.problem.status === 404) return <NotFound />;
  if (!run.data || !codes.data) return <Loading error={error} />;
  return <Slips run={run.data} codes={codes.data} />;
}

function Slips({ run, codes }: { run: OpenedRun; codes: PackCodes }) {
  const attempt = useAttempt();
  const missing = run.seats - codes.items.length;
  const make = () =>
    attempt(async () => {
      await perform(makeCodes(run.id));
      return undefined;
    });
  const end = () =>
    attempt(async () => {
      await perform(endCodes(run.id));
      return { text: 'None of these codes opens anything any more.' };
    });
  const seats = new Map(seatsOf(run).map((seat) => [seat.seat, seatName(seat)]));
  return (
    <main className={sheets.desk}>
      <h1 className="visually-hidden">Codes for learners’ phones, {run.name}</h1>
      <div className={`${sheets.tools} no-print`}>
        <Link to={`/runs/${run.id}`}>← {run.name}</Link>
        {missing > 0 && (
          <Button type="primary" onClick={() => void make()}>
            Make {counted(missing, 'code')}
          </Button>
        )}
        {codes.items.length > 0 && (
          <>
            <Popconfirm
              title="End all these codes?"
              description="Slips that are given out open nothing any more. New ones are others."
              okText="End them"
              cancelText="Keep them"
              onConfirm={() => void end()}
            >
              <Button>End them…</Button>
            </Popconfirm>
            <Button type={missing > 0 ? 'default' : 'primary'} onClick={() => window.print()}>
              Print
            </Button>
          </>
        )}
      </div>
      <Says run={run} codes={codes} />
      {codes.items.length > 0 && (
        <article className={sheets.paper}>
          <ul className={styles.slips}>
            {codes.items.map(({ number, code }) => (
              <li key={number}>
                {codes.url !== null && <CodePicture value={`${codes.url}/pack#${code}`} size={104} />}
                <div>
                  <p>
                    <b>{seats.get(number)}</b>
                  </p>
                  <p>{run.name}</p>
                  <p className={styles.code}>{code}</p>
                  <p>
                    {codes.url === null ? 'Your pattern on your phone' : `${codes.url}/pack`}
                    {codes.until !== null && <>, until {showDay(codes.until)}</>}
                  </p>
                </div>
              </li>
            ))}
          </ul>
        </article>
      )}
    </main>
  );
}

/** Whether the codes open anything, and what to do where they do not. */
function Says({ run, codes: { until, isOver, url, items } }: { run: OpenedRun; codes: PackCodes }) {
  const closed =
    until === null
      ? 'Learners may not open their pattern yet: say for how long, under “Bags and extras”.'
      : isOver
        ? `They were open until ${showDay(until)}. They open nothing any more.`
        : null;
  return (
    <div className={`${styles.says} no-print`}>
      {closed !== null && (
        <p className="amber">
          {closed} <Link to={`/runs/${run.id}?look=terms`}>Bags and extras</Link>
        </p>
      )}
      {url === null && (
        <p className="amber">
          This studio is not open to its network, so no phone reaches it. <Link to="/network">Network</Link>{' '}
          says how.
        </p>
      )}
      {items.length === 0 && (
        <p className="quiet">
          By its code a learner’s phone opens the pattern of their pack, as they make it, and nothing else of
          the studio.
        </p>
      )}
    </div>
  );
}
