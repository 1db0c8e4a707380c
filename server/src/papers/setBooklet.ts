import { bookletOf, type BookletRequest } from '@lanakit/core/papers';
import type { Wool } from '@lanakit/core/engine';
import { bookletEpub } from './booklet/bookletEpub.ts';
import { bookletHtml } from './booklet/bookletHtml.ts';
import { bookletPdf } from './booklet/bookletPdf.ts';

export const BOOKLET_FORMS = ['pdf', 'html', 'epub'] as const;
export type BookletForm = (typeof BOOKLET_FORMS)[number];

/** A booklet that is to be set. Plain data: it crosses into a worker. */
export interface BookletTask {
  readonly request: BookletRequest;
  /** What of the shelf it names. */
  readonly wool: Wool;
  /** Pictures it shows, by id. */
  readonly pictures: ReadonlyMap<string, Uint8Array>;
  readonly form: BookletForm;
  /** When it is made, ISO 8601. */
  readonly at: string;
}

/** A pattern as it leaves the studio, in one of its forms. */
export async function setBooklet({ request, wool, pictures, form, at }: BookletTask): Promise<Buffer> {
  const booklet = bookletOf(request, wool);
  switch (form) {
    case 'pdf':
      return bookletPdf(booklet, request.terms, pictures, new Date(at));
    case 'html':
      return bookletHtml(booklet, request.terms, pictures);
    case 'epub':
      return bookletEpub(booklet, request.terms, pictures, new Date(at));
  }
}
