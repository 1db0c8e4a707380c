import { Button, Checkbox } from 'antd';
import { nanoid } from 'nanoid';
import { perform } from '../../api/mutations/mutation.ts';
import { keepPicture } from '../../api/mutations/patterns.ts';
import { apiPath } from '../../api/studio.ts';
import { useAttempt } from '../../shell/useAttempt.ts';
import { PictureButton } from '../../ui/fields/PictureButton.tsx';
import book from '../Logbook.module.css';
import type { CommissionDraft } from './useCommissionDraft.ts';

/** Pictures of what is wanted, and of what it became. */
export function AskedPictures({ draft: { input, change } }: { draft: CommissionDraft }) {
  const attempt = useAttempt();
  const add = (picture: File) =>
    void attempt(async () => {
      const { id: pictureId } = await perform(keepPicture(picture));
      const isOfIt = input.state === 'made' || input.state === 'handed-over';
      change(
        'a picture',
        (commission) => void commission.pictures.push({ id: nanoid(10), pictureId, words: '', isOfIt }),
      );
      return undefined;
    });
  return (
    <section aria-label="Pictures">
      <div className={book.photos}>
        {input.pictures.map(({ id, pictureId, isOfIt }, at) => (
          <figure key={id}>
            <img
              src={apiPath(`/pictures/${pictureId}?size=small`)}
              alt={isOfIt ? `${input.title}, finished` : `What is wanted, picture ${at + 1}`}
            />
            <figcaption>
              <Checkbox
                checked={isOfIt}
                onChange={({ target: { checked } }) =>
                  change('what a picture shows', (commission) => {
                    const picture = commission.pictures[at];
                    if (picture) picture.isOfIt = checked;
                  })
                }
              >
                the finished figure
              </Checkbox>
              <Button
                size="small"
                type="text"
                onClick={() => change('a picture', (commission) => void commission.pictures.splice(at, 1))}
              >
                Take it out
              </Button>
            </figcaption>
          </figure>
        ))}
      </div>
      <p className={book.add}>
        <PictureButton label="A picture of what is wanted" size="small" onPicture={add}>
          Add a picture
        </PictureButton>
      </p>
    </section>
  );
}
