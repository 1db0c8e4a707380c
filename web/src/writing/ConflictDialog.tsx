import { comparePatterns, type Difference, type Pattern } from '@lanakit/core/pattern';
import { Button, Modal } from 'antd';
import { useNavigate } from 'react-router';
import { counted } from '../words/show.ts';
import styles from './ConflictDialog.module.css';
import { useTable } from './table/tableContext.ts';
import { perform } from '../api/mutations/mutation.ts';
import { createPattern } from '../api/mutations/patterns.ts';
import { useAttempt } from '../shell/useAttempt.ts';

/** The pattern was saved elsewhere while it was being written here: both are shown, and she decides. */
export function ConflictDialog() {
  const keepMine = useTable((table) => table.keepMine);
  const takeTheirs = useTable((table) => table.takeTheirs);
  const navigate = useNavigate();
  const attempt = useAttempt();
  const saveState = useTable((table) => table.saveState);
  const document = useTable((table) => table.document);
  if (saveState.kind !== 'conflict') return null;
  const theirs = saveState.theirs.document;

  const keepBoth = () =>
    attempt(async () => {
      const title = `${document.title.slice(0, 100)} (mine)`;
      const copy = await perform(createPattern({ ...document, title }), takeTheirs);
      await navigate(`/patterns/${copy.id}`);
      return undefined;
    });
  return (
    <Modal
      open
      closable={false}
      width={760}
      title="This pattern was changed elsewhere while you wrote"
      footer={[
        <Button key="both" onClick={() => void keepBoth()}>
          Keep both: mine as a new pattern
        </Button>,
        <Button key="theirs" onClick={takeTheirs}>
          Use the saved version
        </Button>,
        <Button key="mine" type="primary" onClick={() => void keepMine()}>
          Keep mine
        </Button>,
      ]}
    >
      <p>Nothing has been overwritten. Both versions are here; decide which one stays.</p>
      <div className={styles.sides}>
        <Side heading="Mine, in this tab" pattern={document} />
        <Side heading="Saved, from elsewhere" pattern={theirs} />
      </div>
      <h3>Where they differ</h3>
      <ul className={styles.differences}>
        {comparePatterns(document, theirs).map((difference, index) => (
          <li key={index}>{differenceWords(difference)}</li>
        ))}
      </ul>
    </Modal>
  );
}

function Side({ heading, pattern }: { heading: string; pattern: Pattern }) {
  return (
    <section className={styles.side}>
      <h3>{heading}</h3>
      <p>
        <b>{pattern.title}</b>
        <br />
        {counted(pattern.parts.length, 'part')}, {counted(pattern.steps.length, 'step')}
      </p>
      <p className="quiet small">{pattern.parts.map((part) => part.name).join(', ')}</p>
    </section>
  );
}

const HEADING_WORDS: Readonly<Record<string, string>> = {
  title: 'The title',
  finishedHeight: 'The finished height',
  level: 'The level',
  lengthUnit: 'The unit of sizes',
  showsBothUnits: 'Whether both units stand on paper',
  joinsApart: 'The bag of joins',
};

const KIND_WORDS: Readonly<Record<Difference['kind'], string>> = {
  part: 'Part',
  join: 'Join',
  material: 'Material',
  step: 'Step',
  heading: '',
};

function differenceWords({ kind, name, change }: Difference): string {
  if (kind === 'heading') return `${HEADING_WORDS[name] ?? name} differs`;
  if (change === 'order') return `The ${kind}s stand in another order`;
  const what = `${KIND_WORDS[kind]} “${name.length > 60 ? `${name.slice(0, 60)}…` : name}”`;
  if (change === 'only-mine') return `${what} is only in mine`;
  if (change === 'only-theirs') return `${what} is only in the saved one`;
  return `${what} differs`;
}
