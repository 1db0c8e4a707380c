import type { GalleryPicture } from '@lanakit/core/api';
import { Input } from 'antd';
import { hasWords } from '@lanakit/core/base';
import { useState } from 'react';
import { Link } from 'react-router';
import { useGallery } from '../../api/queries.ts';
import { apiPath } from '../../api/studio.ts';
import { counted, showDay } from '../../words/show.ts';
import { BookFrame } from '../BookFrame.tsx';
import book from '../Logbook.module.css';
import styles from './Year.module.css';

/** Finished figures, by their pictures. */
export function GalleryPage() {
  const { data, error } = useGallery();
  const [search, setSearch] = useState('');
  const all = data?.items ?? [];
  const shown = all.filter(({ title, words, of }) => hasWords(`${title} ${words} ${of.name}`, search));
  return (
    <BookFrame isWaiting={!data} error={error}>
      <article className={`sheet ${book.notebook} ${styles.wide}`} aria-label="Finished figures">
        <header className={styles.head}>
          <h2>Finished figures</h2>
          {all.length > FEW && (
            <Input
              className="control-l"
              allowClear
              aria-label="Find a figure"
              placeholder="Find a figure"
              value={search}
              onChange={({ target: { value } }) => setSearch(value)}
            />
          )}
        </header>
        {all.length === 0 ? (
          <p>
            No picture yet. Pictures of pages that are done, of classes, and of what was asked for and handed
            over hang here.
          </p>
        ) : (
          <p className="quiet">{counted(shown.length, 'picture')}</p>
        )}
        <ul className={styles.gallery}>
          {shown.map((picture) => (
            <Hung key={`${picture.of.id} ${picture.pictureId}`} picture={picture} />
          ))}
        </ul>
      </article>
    </BookFrame>
  );
}

const FEW = 8;

const PATHS = {
  making: (id: string) => `/logbook/making/${id}`,
  class: (id: string) => `/logbook/${id}`,
  commission: (id: string) => `/logbook/asked/${id}`,
} as const;

function Hung({ picture: { pictureId, title, words, date, of, permission } }: { picture: GalleryPicture }) {
  return (
    <li>
      <a href={apiPath(`/pictures/${pictureId}`)} className={styles.picture}>
        <img
          src={apiPath(`/pictures/${pictureId}?size=small`)}
          alt={words === '' ? title : `${title}: ${words}`}
          loading="lazy"
        />
      </a>
      <b>{title}</b>
      <span className="quiet small">
        <Link to={PATHS[of.kind](of.id)}>{of.kind === 'class' ? of.name : WORDS[of.kind]}</Link>,{' '}
        {showDay(date)}
      </span>
      {permission === 'studio' && <span className="amber small">only for the studio</span>}
    </li>
  );
}

const WORDS = { making: 'the page', commission: 'asked for' } as const;
