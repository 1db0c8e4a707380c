import type { StudioThatCame } from '@lanakit/core/api';
import { Button, Upload } from 'antd';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { bringStudioIn, readStudioFile } from '../api/mutations/keeping.ts';
import { perform } from '../api/mutations/mutation.ts';
import { useAttempt } from '../shell/useAttempt.ts';
import { broughtInWords, cameWords, hereWords, refusedStudioWords } from '../words/studioFileWords.ts';
import styles from './BringStudioIn.module.css';
import { ThingsThatCame } from './ThingsThatCame.tsx';

/** What of its shelf is what here, by its id; null: it is put on this shelf. */
type Chosen = ReadonlyMap<string, string | null>;

/** A whole studio out of its open files: what is in it, and what of its shelf is on this one already. */
export function BringStudioInPage() {
  const navigate = useNavigate();
  const attempt = useAttempt();
  const [came, setCame] = useState<StudioThatCame | null>(null);
  const [chosen, setChosen] = useState<Chosen>(new Map());
  const [problem, setProblem] = useState<readonly string[]>([]);
  const [isBusy, setBusy] = useState(false);
  const busy = async (work: () => Promise<{ readonly text: string } | undefined>) => {
    setProblem([]);
    setBusy(true);
    await attempt(work, (refused) => {
      setProblem(refusedStudioWords(refused.problem));
      return true;
    });
    setBusy(false);
  };
  const open = (file: File) =>
    busy(async () => {
      setCame(null);
      const found = await perform(readStudioFile(file));
      setCame(found);
      setChosen(new Map(found.things.map(({ id, itemId }) => [id, itemId])));
      return undefined;
    });
  const bringIn = (studio: StudioThatCame) =>
    busy(async () => {
      const mapping = [...chosen].map(([id, itemId]) => ({ id, itemId }));
      const text = broughtInWords(await perform(bringStudioIn(studio.id, mapping)));
      await navigate('/');
      return { text };
    });
  return (
    <main className={`sheet ${styles.page}`}>
      <h1>Bring a studio in</h1>
      <p className="quiet">
        A ZIP that a Lanakit saved as open files. It is only read; nothing is changed until you bring it in.
      </p>
      <div className={styles.drop}>
        <Upload.Dragger
          accept=".zip,application/zip"
          showUploadList={false}
          disabled={isBusy}
          beforeUpload={(file) => {
            void open(file);
            return false;
          }}
        >
          <p>{isBusy && !came ? 'It is being read…' : 'Drop the ZIP here, or choose it'}</p>
        </Upload.Dragger>
      </div>
      {problem.length > 0 && (
        <div role="alert" className="red">
          {problem.map((line) => (
            <p key={line}>{line}</p>
          ))}
        </div>
      )}
      {came && (
        <section aria-label="What is in it">
          <h2>In it: {cameWords(came)}</h2>
          {came.isEmptyHere ? (
            <p>Nothing was ever put into this studio: it becomes the same as the one in the file.</p>
          ) : (
            hereWords(came).map((line) => <p key={line}>{line}</p>)
          )}
          <p className={styles.go}>
            <Button type="primary" loading={isBusy} onClick={() => void bringIn(came)}>
              Bring it in
            </Button>
            {!came.isEmptyHere && <span className="quiet small">What is here now is backed up first.</span>}
          </p>
          {!came.isEmptyHere && (
            <ThingsThatCame
              came={came}
              chosen={chosen}
              onChoose={(thing, itemId) => setChosen(new Map(chosen).set(thing.id, itemId))}
            />
          )}
        </section>
      )}
    </main>
  );
}
