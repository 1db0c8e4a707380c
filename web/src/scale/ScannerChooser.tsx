import { Button, Input, Select } from 'antd';
import { useState } from 'react';
import { perform } from '../api/mutations/mutation.ts';
import { actOnScanner } from '../api/mutations/labelling.ts';
import { useScanners } from '../api/queries.ts';
import { readPicture } from '../scan/readPicture.ts';
import { handScan } from '../scan/scanHandlers.ts';
import { chooseScanner, useScannerChoice } from '../scan/scannerChoice.ts';
import { useNotice } from '../shell/Notice.tsx';
import { useAttempt } from '../shell/useAttempt.ts';
import { PictureButton } from '../ui/fields/PictureButton.tsx';
import styles from './Scale.module.css';

const NONE = ' ';

/** What this device scans with: a scanner that types needs no choice, a picture neither. */
export function ScannerChooser() {
  const { data } = useScanners();
  const { scannerId } = useScannerChoice();
  const chosen = data?.items.find(({ id }) => id === scannerId);
  return (
    <span className={styles.chooser}>
      <Select<string>
        aria-label="Scanned with"
        popupMatchSelectWidth={false}
        value={chosen?.id ?? NONE}
        options={[
          { value: NONE, label: 'A scanner that types' },
          ...(data?.items ?? []).map(({ id, name }) => ({ value: id, label: name })),
        ]}
        onChange={(id) => chooseScanner(id === NONE ? null : id)}
      />
      <CodeFromPicture />
      {chosen?.kind === 'simulated' && <PlayScanner scannerId={chosen.id} />}
    </span>
  );
}

/** A photo of a label, or a picture of one. */
function CodeFromPicture() {
  const say = useNotice();
  const read = async (picture: File) => {
    const code = await readPicture(picture).catch(() => null);
    if (code === null)
      say({
        text: 'No code can be read in that picture. Take it closer, straight from above.',
        isProblem: true,
      });
    else handScan(code);
  };
  return (
    <PictureButton label="Picture of a label" onPicture={(picture) => void read(picture)}>
      From a picture
    </PictureButton>
  );
}

/** Hands on a scanner that is not there. */
function PlayScanner({ scannerId }: { scannerId: string }) {
  const attempt = useAttempt();
  const isHeard = useScannerChoice((choice) => choice.isHeard);
  const [text, setText] = useState('');
  const scan = () =>
    void attempt(async () => {
      await perform(actOnScanner(scannerId, { act: 'scan', text }));
      setText('');
      return undefined;
    });
  return (
    <span className={styles.chooser}>
      <Input
        aria-label="What the simulated scanner sees"
        placeholder="what it sees"
        value={text}
        onChange={({ target }) => setText(target.value)}
        onPressEnter={scan}
      />
      <Button disabled={text.trim() === '' || !isHeard} onClick={scan}>
        Pull the trigger
      </Button>
    </span>
  );
}
