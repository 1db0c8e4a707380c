import {
  type Booklet,
  bookletOf,
  type BookletRequest,
  listingOf,
  plainText,
  type RunBooklets,
} from '@lanakit/core/papers';
import type { Wool } from '@lanakit/core/engine';
import type { BookletForm } from './booklet/bookletForms.ts';
import { bookletEpub } from './booklet/bookletEpub.ts';
import { listingHtml } from './booklet/listingHtml.ts';
import { bookletHtml } from './booklet/bookletHtml.ts';
import { bookletsPdf } from './booklet/bookletPdf.ts';

/** Booklets that are to be set, one after the other in one file. Plain data: it crosses into a worker. */
export interface BookletTask {
  /** Of the whole file. */
  readonly title: string;
  /** Each kind once; at least one. */
  readonly requests: readonly BookletRequest[];
  readonly booklets: RunBooklets['booklets'];
  /** What of the shelf they name. */
  readonly wool: Wool;
  /** Pictures they show, by id. */
  readonly pictures: ReadonlyMap<string, Uint8Array>;
  readonly form: BookletForm;
  /** When it is made, ISO 8601. */
  readonly at: string;
}

/** How far it has come. */
export interface PaperProgress {
  readonly done: number;
  readonly of: number;
}

/** Patterns as they leave the studio, in one of their forms: many only as PDF, else the first. */
export async function setBooklet(
  { title, requests, booklets, wool, pictures, form, at }: BookletTask,
  tell: (progress: PaperProgress) => void = () => undefined,
): Promise<Buffer> {
  const [first] = requests;
  if (!first) throw new Error('no booklet to set');
  // What a shop says of it is another choice of the same.
  if (form === 'listing-text') return Buffer.from(plainText(listingOf(first, wool)), 'utf8');
  if (form === 'listing-html') return listingHtml(listingOf(first, wool), first.terms, pictures);
  const kinds = requests.map((request) => bookletOf(request, wool));
  const all = booklets.flatMap(({ request, whose }): Booklet[] => {
    const kind = kinds[request];
    return kind ? [{ ...kind, whose }] : [];
  });
  const [only = kinds[0]] = all;
  if (!only) throw new Error('no booklet to set');
  const { terms } = first;
  switch (form) {
    case 'pdf':
      return bookletsPdf({ title, booklets: all, terms, pictures, at: new Date(at) }, (done) =>
        tell({ done, of: all.length }),
      );
    case 'html':
      return bookletHtml(only, terms, pictures);
    case 'epub':
      return bookletEpub(only, terms, pictures, new Date(at));
  }
}
