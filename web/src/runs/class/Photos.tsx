import { eventsOf, inOrder, PHOTO_PERMISSIONS, type PhotoPermission } from '@lanakit/core/classDay';
import { Button, Select } from 'antd';
import { useState } from 'react';
import { perform } from '../../api/mutations/mutation.ts';
import { keepPicture } from '../../api/mutations/patterns.ts';
import { apiPath } from '../../api/studio.ts';
import { useAttempt } from '../../shell/useAttempt.ts';
import { Field } from '../../ui/fields/Field.tsx';
import { PERMISSION_WORDS } from '../../words/classWords.ts';
import { PictureButton } from '../../ui/fields/PictureButton.tsx';
import styles from './Class.module.css';
import { SeatChoice } from './SeatChoice.tsx';
import type { Teaching } from './teaching.ts';

/** Photos of finished figures, each with what its maker permits. Without a word of theirs it is for the studio alone. */
export function Photos({ teaching }: { teaching: Teaching }) {
  const { here, names } = teaching;
  const attempt = useAttempt();
  const [seatKey, setSeatKey] = useState<string | null>(null);
  const [permission, setPermission] = useState<PhotoPermission>('studio');
  const keep = (picture: File) =>
    attempt(async () => {
      const { id } = await perform(keepPicture(picture));
      here.act({ act: 'photo', pictureId: id, seatKey, permission });
      return undefined;
    });
  const whose = (key: string | null) => (key === null ? 'all together' : names.seat(key));
  const all = eventsOf(inOrder(here.events), 'photo');
  return (
    <section className={`sheet ${styles.side}`} aria-label="Photos of finished figures">
      <h2>Photos of finished figures</h2>
      <div className={styles.line}>
        <SeatChoice label="Whose figure" teaching={teaching} seatKey={seatKey} nobody="all together" onSeat={setSeatKey} />
        <Field label="Permitted">
          {(control) => (
            <Select {...control} size="large" className="wide" value={permission} onChange={setPermission} options={PHOTO_PERMISSIONS.map((value) => ({ value, label: PERMISSION_WORDS[value] }))} />
          )}
        </Field>
        <PictureButton size="large" label="Photo of a finished figure" onPicture={(picture) => void keep(picture)}>
          Take a photo
        </PictureButton>
      </div>
      <div className={styles.photos}>
        {all.map(({ key, what }) => (
          <figure key={key}>
            <img src={apiPath(`/pictures/${what.pictureId}?size=small`)} alt={`Finished figure, ${whose(what.seatKey)}`} />
            <figcaption>
              {whose(what.seatKey)}, {PERMISSION_WORDS[what.permission]}
              <Button type="text" onClick={() => here.act({ act: 'back', key })}>Take out</Button>
            </figcaption>
          </figure>
        ))}
      </div>
    </section>
  );
} // prettier-ignore
