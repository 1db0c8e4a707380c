import type { PhotoBehind } from '@lanakit/core/figure';
import { create } from 'zustand';

/** A photo that lies behind a figure. It is held in this page alone: it is not sent, and gone with the page. */
export interface HeldPhoto {
  readonly url: string;
  readonly photo: PhotoBehind;
  /** How strongly it is seen, 0 to 1. */
  readonly strength: number;
  /** Its marks are seen and set, and it is moved about. */
  readonly isSetting: boolean;
}

interface Photos {
  /** By pattern. */
  readonly byPattern: Readonly<Record<string, HeldPhoto>>;
  readonly put: (patternId: string, photo: HeldPhoto) => void;
  readonly takeAway: (patternId: string) => void;
}

const usePhotos = create<Photos>((set) => ({
  byPattern: {},
  put: (patternId, photo) =>
    set(({ byPattern }) => {
      const before = byPattern[patternId];
      if (before && before.url !== photo.url) URL.revokeObjectURL(before.url);
      return { byPattern: { ...byPattern, [patternId]: photo } };
    }),
  takeAway: (patternId) =>
    set(({ byPattern: { [patternId]: gone, ...others } }) => {
      if (gone) URL.revokeObjectURL(gone.url);
      return { byPattern: others };
    }),
}));

/** The photo behind one figure, if there is one. */
export function usePhoto(patternId: string) {
  const held = usePhotos(({ byPattern }) => byPattern[patternId] ?? null);
  const { put, takeAway } = usePhotos.getState();
  return {
    held,
    put: (photo: HeldPhoto) => put(patternId, photo),
    takeAway: () => takeAway(patternId),
  };
}
