import type { StoredPattern } from '@lanakit/core/api';
import { isWoolOnly, missingForPublishing } from '@lanakit/core/pattern';
import { Button, Input, Modal } from 'antd';
import { useState } from 'react';
import { Field } from '../ui/fields/Field.tsx';
import { useNotice } from '../shell/Notice.tsx';
import { counted } from '../words/show.ts';
import { BeforePublishing } from './BeforePublishing.tsx';
import { useTable } from './table/tableContext.ts';
import { perform } from '../api/mutations/mutation.ts';
import { publishRevision } from '../api/mutations/patterns.ts';
import { useAttempt } from '../shell/useAttempt.ts';

/** Makes a revision of what is saved. It says beforehand when something unknown stands in the way. */
export function PublishButton({ stored }: { stored: StoredPattern }) {
  const version = useTable((table) => table.version);
  const settle = useTable((table) => table.settle);
  const document = useTable((table) => table.document);
  const problems = useTable((table) => table.problems);
  const say = useNotice();
  const attempt = useAttempt();
  const [isBusy, setBusy] = useState(false);
  const [isAsking, setAsking] = useState(false);
  const [note, setNote] = useState('');
  const missing = missingForPublishing(document);
  const isReady = missing.length + problems.length === 0;

  const ask = () => {
    if (!isReady) {
      const count = counted(missing.length + problems.length, 'thing');
      say({ text: `Not published: ${count} to settle first, listed under “To settle”.`, isProblem: true });
      return;
    }
    setAsking(true);
  };
  const publish = async () => {
    setBusy(true);
    await attempt(async () => {
      if (!(await settle()))
        return { text: 'Not published: the newest changes are not saved yet.', isProblem: true };
      await perform(publishRevision(stored.id, version(), note.trim()), (revision) => {
        say({
          text: `Revision ${revision.number} is published. It never changes; classes are planned from it.`,
        });
        setAsking(false);
        setNote('');
        // It is published: what is read anew after it must not swallow a press meanwhile.
        setBusy(false);
      });
      return undefined;
    });
    setBusy(false);
  };
  const number = (stored.revision?.number ?? 0) + 1;
  return (
    <>
      <Button type={isReady ? 'primary' : 'default'} loading={isBusy} onClick={ask}>
        Publish revision {number}
      </Button>
      <Modal
        open={isAsking}
        title={`Publish revision ${number}`}
        okText="Publish"
        okButtonProps={{ loading: isBusy }}
        onOk={() => void publish()}
        onCancel={() => setAsking(false)}
        destroyOnHidden
      >
        {isWoolOnly(document) && (
          <p>
            <b>It has no steps: it is published as wool only.</b> Packs and prices can be made of it; nobody
            can learn from it, and every list says so.
          </p>
        )}
        <BeforePublishing />
        <Field label="What is new in it" hint="A revision never changes; classes and kits are pinned to it.">
          {(control) => (
            <Input
              {...control}
              autoFocus
              value={note}
              maxLength={400}
              placeholder={number === 1 ? 'the first' : 'the legs are a little shorter'}
              onChange={(event) => setNote(event.target.value)}
              onPressEnter={() => void publish()}
            />
          )}
        </Field>
      </Modal>
    </>
  );
}
