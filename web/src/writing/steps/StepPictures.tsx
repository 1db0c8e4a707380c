import { apiPath } from '../../api/studio.ts';
import { OWN_RIGHTS, type Step } from '@lanakit/core/pattern';
import { Button, Checkbox, Input, Select, Upload } from 'antd';
import { nanoid } from 'nanoid';
import { useMemo, useState } from 'react';
import { errorWords } from '../../api/client.ts';
import { StepDrawing } from '../../figure/StepDrawing.tsx';
import { useStepPictures } from '../../figure/useStepPictures.ts';
import lists from '../../ui/Lists.module.css';
import { useTable } from '../table/tableContext.ts';
import styles from './Steps.module.css';
import { perform } from '../../api/mutations/mutation.ts';
import { keepPicture } from '../../api/mutations/patterns.ts';

/** The picture that nobody has to take: the figure as far as the step, always as the pattern is now. */
function MadePicture({ step }: { step: Step }) {
  const edit = useTable((table) => table.edit);
  const build = useTable((table) => table.build);
  const wool = useTable((table) => table.wool);
  const document = useTable((table) => table.document);
  const isDrawn = document.drawnStepIds.includes(step.id);
  const stepIds = useMemo(() => [step.id], [step.id]);
  const picture = useStepPictures(build, stepIds, wool).get(step.id);
  const bare = document.steps.filter(
    ({ id, pictures }) => pictures.length === 0 && !document.drawnStepIds.includes(id),
  );
  return (
    <div className={styles.made}>
      {picture ? (
        <StepDrawing picture={picture} name="The figure as far as this step" width={264} height={190} />
      ) : (
        <p className="quiet small">
          There is nothing to draw as far as this step: give it its parts, and them their sizes.
        </p>
      )}
      <div>
        <Checkbox
          checked={isDrawn}
          onChange={(event) => {
            const isWanted = event.target.checked;
            edit('a made picture', (draft) => {
              draft.drawnStepIds = draft.drawnStepIds.filter((id) => id !== step.id);
              if (isWanted) draft.drawnStepIds.push(step.id);
            });
          }}
        >
          Print the figure as far as this step
        </Checkbox>
        {bare.length > 0 && (
          <Button
            size="small"
            onClick={() =>
              edit('made pictures', (draft) => void draft.drawnStepIds.push(...bare.map(({ id }) => id)))
            }
          >
            Print it with every step that has no picture ({bare.length})
          </Button>
        )}
      </div>
    </div>
  );
}

/** Pictures of one step, brought in by choosing or dropping them. */
export function StepPictures({ step }: { step: Step }) {
  const edit = useTable((table) => table.edit);
  const document = useTable((table) => table.document);
  const [problem, setProblem] = useState<string | null>(null);
  const [isBusy, setBusy] = useState(false);

  const bringIn = async (file: File) => {
    setProblem(null);
    setBusy(true);
    try {
      const { id } = await perform(keepPicture(file));
      edit('adding a picture', (draft) => {
        const name = file.name.replace(/\.[^.]*$/, '').slice(0, 120);
        if (!draft.pictures.some((picture) => picture.id === id)) {
          draft.pictures.push({ id, name, alt: '', rights: structuredClone(OWN_RIGHTS) });
        }
        draft.steps
          .find((candidate) => candidate.id === step.id)
          ?.pictures.push({ id: nanoid(10), pictureId: id, caption: '' });
      });
    } catch (error) {
      setProblem(errorWords(error));
    } finally {
      setBusy(false);
    }
  };
  const change = (label: string, id: string, caption: string | null) =>
    edit(
      label,
      (draft) => {
        const ownStep = draft.steps.find((candidate) => candidate.id === step.id);
        if (!ownStep) return;
        if (caption === null) ownStep.pictures = ownStep.pictures.filter((picture) => picture.id !== id);
        const picture = ownStep.pictures.find((candidate) => candidate.id === id);
        if (picture && caption !== null) picture.caption = caption;
      },
      caption === null ? undefined : `${id}.caption`,
    );
  const others = document.pictures.filter(
    ({ id }) => !step.pictures.some(({ pictureId }) => pictureId === id),
  );
  return (
    <>
      <MadePicture step={step} />
      <div className={styles.pictures}>
        {step.pictures.map(({ id, pictureId, caption }) => (
          <div key={id} className={styles.picture}>
            <img src={apiPath(`/pictures/${pictureId}?size=small`)} alt={caption || 'picture of this step'} />
            <Input
              size="small"
              aria-label="Caption"
              value={caption}
              maxLength={200}
              placeholder="caption"
              onChange={(event) => change('a caption', id, event.target.value)}
            />
            <Button size="small" type="text" onClick={() => change('taking a picture off', id, null)}>
              Take it off
            </Button>
          </div>
        ))}
      </div>
      <div className={`${lists.rowActions} from-start`}>
        <Upload
          accept="image/jpeg,image/png,image/webp,image/svg+xml"
          showUploadList={false}
          beforeUpload={(file) => {
            void bringIn(file);
            return false;
          }}
        >
          <Button size="small" loading={isBusy}>
            Bring in a picture
          </Button>
        </Upload>
        {others.length > 0 && (
          <Select<string>
            size="small"
            aria-label="Use a picture again"
            value={null}
            placeholder="use one again…"
            popupMatchSelectWidth={false}
            options={others.map(({ id, name }) => ({ value: id, label: name }))}
            onChange={(pictureId) =>
              edit('using a picture again', (draft) => {
                draft.steps
                  .find(({ id }) => id === step.id)
                  ?.pictures.push({ id: nanoid(10), pictureId, caption: '' });
              })
            }
          />
        )}
        <span className="quiet small">
          JPEG, PNG, WebP or SVG, up to 15 MB; where it was taken is removed
        </span>
      </div>
      {problem && (
        <p className="red" role="alert">
          {problem}
        </p>
      )}
    </>
  );
}
