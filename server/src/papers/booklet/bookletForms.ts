/** What a booklet can be made as. Apart from what sets it: whoever names a form need not load a PDF engine. */
export const BOOKLET_FORMS = ['pdf', 'html', 'epub', 'listing-text', 'listing-html'] as const;
export type BookletForm = (typeof BOOKLET_FORMS)[number];
