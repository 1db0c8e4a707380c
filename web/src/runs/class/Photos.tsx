import { eventsOf, inOrder, PHOTO_PERMISSIONS, type PhotoPermission } from '@lanakit/core/classDay';
import { Button, Select } from 'antd';
import { useRef, useState } from 'react';
import { perform } from '../../api/mutations/mutation.ts';
import { keepPicture } from '../../api/mutations/patterns.ts';
import { apiPath } from '../../api/studio.ts';
import { useAttempt } from '../../shell/useAttempt.ts';
import { Field } from '../../ui/fields/Field.tsx';
import { PERMISSION_WORDS } from '../../words/classWords.ts';
import styles from './Class.module.css';
import type { Teaching } from './teaching.ts';

const ALL = '';

/** Photos of finished figures, each with what its maker permits. Without a word of theirs it is for the studio alone. */
export function Photos({ teaching }: { teaching: Teaching }) {
  const { here, names } = teaching;
  const attempt = useAttempt();
  const file = useRef<HTMLInputElement>(null);
  const [seatKey, setSeatKey] = useState(ALL);
  const [permission, setPermission] = useState<PhotoPermission>('studio');
  const keep = (picture: File) =>
    attempt(async () => {
      const { id } = await perform(keepPicture(picture));
      here.act({ act: 'photo', pictureId: id, seatKey: seatKey === ALL ? null : seatKey, permission });
      return undefined;
    });
  const all = eventsOf(inOrder(here.events), 'photo');
  return (
    <section className={`sheet ${styles.side}`} aria-label="Photos of finished figures">
      <h2>Photos of finished figures</h2>
      <div className={styles.line}>
        <Field label="Whose figure">
          {(control) => (
            <Select {...control} size="large" className="wide" value={seatKey} onChange={setSeatKey} options={[{ value: ALL, label: 'all together' }, ...here.day.plan.seats.map(({ key }) => ({ value: key, label: names.seat(key) }))]} />
          )}
        </Field>
        <Field label="Permitted">
          {(control) => (
            <Select {...control} size="large" className="wide" value={permission} onChange={setPermission} options={PHOTO_PERMISSIONS.map((value) => ({ value, label: PERMISSION_WORDS[value] }))} />
          )}
        </Field>
        <input ref={file} type="file" accept="image/*" capture="environment" className="visually-hidden" tabIndex={-1} aria-label="Photo of a finished figure" onChange={({ target }) => {
          const [picture] = target.files ?? [];
          if (picture) void keep(picture);
          target.value = '';
        }} />
        <Button size="large" onClick={() => file.current?.click()}>Take a photo</Button>
      </div>
      <div className={styles.photos}>
        {all.map(({ key, what }) => (
          <figure key={key}>
            <img src={apiPath(`/pictures/${what.pictureId}?size=small`)} alt={`Finished figure, ${what.seatKey === null ? 'all together' : names.seat(what.seatKey)}`} />
            <figcaption>
              {what.seatKey === null ? 'all together' : names.seat(what.seatKey)}, {PERMISSION_WORDS[what.permission]}
              <Button type="text" onClick={() => here.act({ act: 'back', key })}>Take out</Button>
            </figcaption>
          </figure>
        ))}
      </div>
    </section>
  );
} // prettier-ignore
