/** What can be read from a list and written to one. */
export const LIST_KINDS = ['fibres', 'findings', 'needles', 'prices', 'counts'] as const;
export type ListKind = (typeof LIST_KINDS)[number];
