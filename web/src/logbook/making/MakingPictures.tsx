import { Button, Input } from 'antd';
import { nanoid } from 'nanoid';
import { perform } from '../../api/mutations/mutation.ts';
import { keepPicture } from '../../api/mutations/patterns.ts';
import { apiPath } from '../../api/studio.ts';
import { useAttempt } from '../../shell/useAttempt.ts';
import { PictureButton } from '../../ui/fields/PictureButton.tsx';
import book from '../Logbook.module.css';
import type { MakingDraft } from './useMakingDraft.ts';

/** Pictures of it, half made and done. */
export function MakingPictures({ draft: { input, change } }: { draft: MakingDraft }) {
  const attempt = useAttempt();
  const add = (picture: File) =>
    void attempt(async () => {
      const { id: pictureId } = await perform(keepPicture(picture));
      change('a picture', (making) => void making.pictures.push({ id: nanoid(10), pictureId, words: '' }));
      return undefined;
    });
  return (
    <section aria-label="Pictures" className={book.notOnPaper}>
      <h3>Pictures</h3>
      <div className={book.photos}>
        {input.pictures.map(({ id, pictureId, words }, at) => (
          <figure key={id}>
            <img
              src={apiPath(`/pictures/${pictureId}?size=small`)}
              alt={words || `Picture ${at + 1} of ${input.title}`}
            />
            <figcaption>
              <Input
                size="small"
                aria-label={`What picture ${at + 1} shows`}
                placeholder="What it shows"
                value={words}
                maxLength={200}
                onChange={({ target: { value } }) =>
                  change('what a picture shows', (making) => {
                    const picture = making.pictures[at];
                    if (picture) picture.words = value;
                  })
                }
              />
              <Button
                size="small"
                type="text"
                onClick={() => change('a picture', (making) => void making.pictures.splice(at, 1))}
              >
                Take it out
              </Button>
            </figcaption>
          </figure>
        ))}
      </div>
      <p className={book.add}>
        <PictureButton label="A picture of it" size="small" onPicture={add}>
          Add a picture
        </PictureButton>
      </p>
    </section>
  );
}
