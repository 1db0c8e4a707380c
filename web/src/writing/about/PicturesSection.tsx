import { apiPath } from '../../api/studio.ts';
import type { PatternPicture } from '@lanakit/core/pattern';
import { Button, Input } from 'antd';
import { useState } from 'react';
import { Field } from '../../ui/fields/Field.tsx';
import lists from '../../ui/Lists.module.css';
import { useTable } from '../table/tableContext.ts';
import { counted } from '../../words/show.ts';
import { RightsFields } from '../../ui/fields/RightsFields.tsx';

/** Every picture of the pattern: what it shows for those who cannot see it, and whose it is. */
export function PicturesSection() {
  const pictures = useTable((table) => table.document.pictures);
  if (pictures.length === 0) return null;
  return (
    <section className={lists.section} aria-label="Pictures">
      <header>
        <h3>Pictures</h3>
        <span className="quiet small">brought in on their steps</span>
      </header>
      {pictures.map((picture) => (
        <PictureFields key={picture.id} picture={picture} />
      ))}
    </section>
  );
}

function PictureFields({ picture }: { picture: PatternPicture }) {
  const document = useTable((table) => table.document);
  const edit = useTable((table) => table.edit);
  const [isOpen, setOpen] = useState(false);
  const uses = document.steps.filter(({ pictures }) =>
    pictures.some(({ pictureId }) => pictureId === picture.id),
  ).length;
  const change = (label: string, recipe: (draft: PatternPicture) => void, key?: string) =>
    edit(
      label,
      (draft) => {
        const ownPicture = draft.pictures.find(({ id }) => id === picture.id);
        if (ownPicture) recipe(ownPicture);
      },
      key && `${picture.id}.${key}`,
    );
  return (
    <div className={`${lists.grid} below-3`}>
      <img
        className={`${lists.span3 ?? ''} thumbnail`}
        src={apiPath(`/pictures/${picture.id}?size=small`)}
        alt={picture.alt || picture.name}
      />
      <Field
        label={`${picture.name || 'A picture'}: said instead of it`}
        className={lists.span9 ?? ''}
        hint={`on ${counted(uses, 'step')}`}
      >
        {(control) => (
          <Input
            {...control}
            value={picture.alt}
            maxLength={300}
            placeholder="the wire folded double, both ends curled back"
            onChange={(event) => {
              const alt = event.target.value;
              change('what is said of a picture', (draft) => void (draft.alt = alt), 'alt');
            }}
          />
        )}
      </Field>
      <div className={lists.span12}>
        <Button size="small" type="text" aria-expanded={isOpen} onClick={() => setOpen(!isOpen)}>
          Whose it is
        </Button>
        <Button
          size="small"
          type="text"
          onClick={() =>
            edit('deleting a picture', (draft) => {
              draft.pictures = draft.pictures.filter(({ id }) => id !== picture.id);
              for (const step of draft.steps)
                step.pictures = step.pictures.filter(({ pictureId }) => pictureId !== picture.id);
            })
          }
        >
          Take it off everywhere
        </Button>
      </div>
      {isOpen && (
        <div className={lists.span12}>
          <RightsFields
            rights={picture.rights}
            onChange={(label, recipe, key) => change(label, (draft) => recipe(draft.rights), key)}
          />
        </div>
      )}
    </div>
  );
}
