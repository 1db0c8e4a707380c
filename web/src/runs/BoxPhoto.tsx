import { eventsOf, inOrder } from '@lanakit/core/classDay';
import { Button } from 'antd';
import { nanoid } from 'nanoid';
import { addClassEvent } from '../api/mutations/classDay.ts';
import { perform } from '../api/mutations/mutation.ts';
import { keepPicture } from '../api/mutations/patterns.ts';
import { useRunEvents } from '../api/queries.ts';
import { apiPath } from '../api/studio.ts';
import { deviceKey } from '../api/deviceKey.ts';
import { useAttempt } from '../shell/useAttempt.ts';
import { PictureButton } from '../ui/fields/PictureButton.tsx';
import styles from './Packing.module.css';

/** A photo of the finished box, for when somebody writes that something was missing. */
export function BoxPhoto({ runId, packId, name }: { runId: string; packId: string; name: string }) {
  const attempt = useAttempt();
  const { data } = useRunEvents(runId);
  const photos = eventsOf(inOrder(data?.items ?? []), 'box-photo').filter(
    ({ what }) => what.packId === packId,
  );
  const add = (what: Parameters<typeof addClassEvent>[1]['what']) =>
    perform(
      addClassEvent(runId, {
        key: nanoid(16),
        from: deviceKey(),
        at: new Date().toISOString(),
        seen: data?.items.at(-1)?.seq ?? 0,
        what,
      }),
    );
  const keep = (picture: File) =>
    attempt(async () => {
      const { id } = await perform(keepPicture(picture));
      await add({ act: 'box-photo', pictureId: id, packId });
      return undefined;
    });
  return (
    <div className={styles.photos}>
      {photos.map(({ key, what }) => (
        <figure key={key}>
          <img src={apiPath(`/pictures/${what.pictureId}?size=small`)} alt={`The finished box of ${name}`} />
          <Button
            size="small"
            type="text"
            aria-label={`Take the photo of ${name} out`}
            onClick={() =>
              void attempt(async () => {
                await add({ act: 'back', key });
                return undefined;
              })
            }
          >
            Take out
          </Button>
        </figure>
      ))}
      <PictureButton
        label={`Photo of the finished box of ${name}`}
        onPicture={(picture) => void keep(picture)}
      >
        Photo of the finished box
      </PictureButton>
    </div>
  );
}
