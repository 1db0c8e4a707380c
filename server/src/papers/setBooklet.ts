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
import { bookletsPdf, type BookletsToSet } from './booklet/bookletPdf.ts';
import { finished, writtenTo } from './booklet/pdfDocument.ts';

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

/** A pattern as it leaves the studio, in one of its forms: of many only the first. */
export async function setBooklet(task: BookletTask): Promise<Buffer> {
  const { requests, wool, pictures, form, at } = task;
  const [first] = requests;
  if (!first) throw new Error('no booklet to set');
  const { terms } = first;
  // What a shop says of it is another choice of the same.
  if (form === 'listing-text') return Buffer.from(plainText(listingOf(first, wool)), 'utf8');
  if (form === 'listing-html') return listingHtml(listingOf(first, wool), terms, pictures);
  if (form === 'pdf') return bookletsPdf(toSet(task), finished);
  const [only] = bookletsIn(task);
  return form === 'html'
    ? bookletHtml(only, terms, pictures)
    : bookletEpub(only, terms, pictures, new Date(at));
}

/** Booklets of a run as one PDF. @param into where it is written, and nothing is yet */
export async function setBooklets(
  task: BookletTask,
  into: string,
  tell: (progress: PaperProgress) => void = () => undefined,
): Promise<void> {
  const set = toSet(task);
  await bookletsPdf(
    set,
    (doc) => writtenTo(doc, into),
    (done) => tell({ done, of: set.booklets.length }),
  );
}

function toSet(task: BookletTask): BookletsToSet {
  const { title, requests, pictures, at } = task;
  const booklets = bookletsIn(task);
  return { title, booklets, terms: (requests[0] as BookletRequest).terms, pictures, at: new Date(at) };
}

function bookletsIn({ requests, booklets, wool }: BookletTask): [Booklet, ...Booklet[]] {
  const kinds = requests.map((request) => bookletOf(request, wool));
  const [first, ...others] = booklets.flatMap(({ request, whose }): Booklet[] => {
    const kind = kinds[request];
    return kind ? [{ ...kind, whose }] : [];
  });
  if (!first) throw new Error('no booklet to set');
  return [first, ...others];
}
