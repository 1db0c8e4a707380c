import { MOST_STEP_PICTURES, OWN_RIGHTS, type Pattern } from '@lanakit/core/pattern';
import { picturesOntoSteps, type PlacedBy } from '@lanakit/core/writing';
import { Button, Modal, Segmented, Select, Upload } from 'antd';
import { nanoid } from 'nanoid';
import { useEffect, useMemo, useState } from 'react';
import { errorWords } from '../../api/client.ts';
import { perform } from '../../api/mutations/mutation.ts';
import { keepPicture } from '../../api/mutations/patterns.ts';
import { plainText } from '../../draft/markdownEdits.ts';
import { counted } from '../../words/show.ts';
import { useTable } from '../table/tableContext.ts';
import styles from './Steps.module.css';

/** More photographs of one making nobody looks through. */
const MOST = 120;
const NOWHERE = -1;

/** Many pictures at once, each onto the step its name or its time tells; every place can be changed before they go in. */
export function BulkPictures({ onClose }: { onClose: () => void }) {
  const document = useTable((table) => table.document);
  const edit = useTable((table) => table.edit);
  const [files, setFiles] = useState<readonly File[]>([]);
  const [by, setBy] = useState<PlacedBy>('number');
  const [chosen, setChosen] = useState<ReadonlyMap<File, number>>(new Map());
  const [done, setDone] = useState<number | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const { steps } = document;
  const proposed = useMemo(
    () => picturesOntoSteps(files.map(({ name, lastModified }) => ({ name, atMs: lastModified })), document, by),
    [files, document, by],
  ); // prettier-ignore
  const placeOf = (file: File, at: number): number => chosen.get(file) ?? proposed[at] ?? NOWHERE;
  const placed = files
    .map((file, at) => ({ file, step: placeOf(file, at) }))
    .filter(({ step }) => step !== NOWHERE);
  const tooMany = steps.flatMap((step, at) => {
    const count = step.pictures.length + placed.filter((each) => each.step === at).length;
    return count > MOST_STEP_PICTURES ? [at + 1] : [];
  });
  const take = async () => {
    setProblem(null);
    const kept: { id: string; name: string; step: number }[] = [];
    try {
      for (const { file, step } of placed) {
        setDone(kept.length);
        const { id } = await perform(keepPicture(file));
        kept.push({ id, name: file.name.replace(/\.[^.]*$/, '').slice(0, 120), step });
      }
    } catch (error) {
      setProblem(`${errorWords(error)} ${counted(kept.length, 'picture')} went in; the others are still here.`);
    }
    if (kept.length > 0) edit(`bringing in ${counted(kept.length, 'picture')}`, (draft) => putIn(draft, kept, steps.map(({ id }) => id)));
    setDone(null);
    if (kept.length === placed.length) onClose();
    else setFiles(files.filter((file) => !placed.slice(0, kept.length).some((each) => each.file === file)));
  }; // prettier-ignore
  return (
    <Modal
      open
      width={760}
      title="Pictures onto steps"
      okText={
        done === null ? `Bring in ${counted(placed.length, 'picture')}` : `${done} of ${placed.length}…`
      }
      okButtonProps={{ disabled: placed.length === 0 || tooMany.length > 0, loading: done !== null }}
      cancelText="Cancel"
      onOk={() => void take()}
      onCancel={onClose}
    >
      <p className={styles.bar}>
        <Upload
          multiple
          accept="image/jpeg,image/png,image/webp,image/svg+xml"
          showUploadList={false}
          beforeUpload={(_file, all) => {
            setFiles([...files, ...all.filter((each) => !files.includes(each))].slice(0, MOST));
            return false;
          }}
        >
          <Button>Choose pictures…</Button>
        </Upload>
        <Segmented<PlacedBy>
          aria-label="How they find their steps"
          value={by}
          options={[
            { value: 'number', label: 'by the number in their names' },
            { value: 'time', label: 'by when they were taken' },
          ]}
          onChange={(next) => {
            setBy(next);
            setChosen(new Map());
          }}
        />
      </p>
      <p className="quiet small">
        {by === 'number'
          ? '“step 3.jpg”, “03 wings.jpg”: what a camera counts has more digits, and tells nothing.'
          : 'The first onto the first step, the last onto the last; between them as your minutes and waits pass. The time is the file’s.'}
      </p>
      <ul className={styles.bulk} aria-label="Pictures and their steps">
        {files.map((file, at) => (
          <li key={`${file.name} ${at}`}>
            <Thumb file={file} />
            <span>{file.name}</span>
            <Select<number>
              aria-label={`Step of ${file.name}`}
              value={placeOf(file, at)}
              popupMatchSelectWidth={false}
              options={[
                { value: NOWHERE, label: 'nowhere' },
                ...steps.map((step, nth) => ({
                  value: nth,
                  label: `${nth + 1} ${plainText(step.text).slice(0, 50)}`,
                })),
              ]}
              onChange={(step) => setChosen(new Map([...chosen, [file, step]]))}
            />
          </li>
        ))}
      </ul>
      {tooMany.length > 0 && (
        <p className="red" role="alert">
          A step has room for {MOST_STEP_PICTURES} pictures: too many at {tooMany.join(', ')}. Put some
          nowhere.
        </p>
      )}
      {problem && (
        <p className="red" role="alert">
          {problem}
        </p>
      )}
    </Modal>
  );
}

function putIn(
  draft: Pattern,
  kept: readonly { id: string; name: string; step: number }[],
  stepIds: readonly string[],
): void {
  for (const { id, name, step } of kept) {
    if (!draft.pictures.some((picture) => picture.id === id))
      draft.pictures.push({ id, name, alt: '', rights: structuredClone(OWN_RIGHTS) });
    draft.steps
      .find((each) => each.id === stepIds[step])
      ?.pictures.push({ id: nanoid(10), pictureId: id, caption: '' });
  }
}

/** Seen before it goes in. */
function Thumb({ file }: { file: File }) {
  const url = useMemo(() => URL.createObjectURL(file), [file]);
  useEffect(() => () => URL.revokeObjectURL(url), [url]);
  return <img src={url} alt="" />;
}
