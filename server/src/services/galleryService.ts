import type { GalleryPicture } from '@lanakit/core/api';
import { eventsOf, inOrder } from '@lanakit/core/classDay';
import { byCodePoint } from '@lanakit/core/base';
import type { Store } from '../db/index.ts';
import type { ServiceDeps } from './deps.ts';
import { answering } from './refusal.ts';
import { designsOf } from './runSources.ts';

export type GalleryService = ReturnType<typeof galleryService>;

/** Figures that are finished, by their pictures: of makings, of classes, of what was asked for. */
export const galleryService = ({ store }: ServiceDeps) =>
  answering({
    /** The last first. */
    all: (): GalleryPicture[] =>
      [...ofMakings(store), ...ofClasses(store), ...ofCommissions(store)].toSorted((a, b) =>
        byCodePoint(b.date, a.date),
      ),
  });

/** Of one that is not finished nothing is shown yet. */
const ofMakings = ({ makings }: Store): GalleryPicture[] =>
  makings
    .all()
    .filter(({ isDone }) => isDone)
    .flatMap(({ id, title, date, patternId, pictures }) =>
      pictures.map(({ pictureId, words }): GalleryPicture => ({
        pictureId,
        title,
        words,
        date,
        of: { kind: 'making', id, name: title },
        patternId,
        permission: null,
      })),
    );

/** What nobody may keep is not there; who permitted what stands beside it. */
const ofClasses = (store: Store): GalleryPicture[] =>
  store.runs
    .all()
    .filter(({ kind }) => kind === 'class')
    .flatMap((run) => {
      const photos = eventsOf(inOrder(store.classEvents.of(run.id)), 'photo').filter(
        ({ what }) => what.permission !== 'none',
      );
      if (photos.length === 0) return [];
      const titles = [...designsOf(store, run).values()].map(({ title }) => title);
      const patternId = store.patterns.findRevision(run.revisionId)?.patternId ?? null;
      return photos.map(({ what: { pictureId, permission } }): GalleryPicture => ({
        pictureId,
        title: titles.join(', '),
        words: '',
        date: run.date,
        of: { kind: 'class', id: run.id, name: run.name },
        patternId: titles.length === 1 ? patternId : null,
        permission,
      }));
    });

/** Pictures of what is wanted are no pictures of what was made; handed over, they show what it became. */
const ofCommissions = ({ commissions }: Store): GalleryPicture[] =>
  commissions
    .all()
    .filter(({ state }) => state === 'handed-over')
    .flatMap(({ id, title, handedOverOn, askedOn, patternId, pictures }) =>
      pictures
        .filter(({ isOfIt }) => isOfIt)
        .map(({ pictureId, words }): GalleryPicture => ({
          pictureId,
          title,
          words,
          date: handedOverOn ?? askedOn,
          of: { kind: 'commission', id, name: title },
          patternId,
          permission: null,
        })),
    );
