import type { Needle } from '@lanakit/core/shelf';
import styles from './NeedleMark.module.css';

/** Patterns that tell marks apart where colours cannot: as many as a table of learners can keep apart. */
const PATTERNS = ['plain', 'slant', 'bars', 'dots', 'cross', 'lines'] as const;

export interface MarkLook {
  readonly className: string;
  readonly style: { readonly backgroundColor?: string };
}

/** The look of a needle’s mark: its own colour, and a pattern by its place on the ladder. */
export const markLook = (needle: Pick<Needle, 'mark'> | null, place: number): MarkLook => ({
  className: `${styles.mark} ${styles[PATTERNS[place % PATTERNS.length] ?? 'plain'] ?? ''}`,
  style: needle?.mark ? { backgroundColor: needle.mark.colour } : {},
});

/** A small piece of the mark, beside its word. */
export function NeedleMark({ needle, place }: { needle: Pick<Needle, 'mark'> | null; place: number }) {
  const look = markLook(needle, place);
  return <span aria-hidden className={`${styles.swatch} ${look.className}`} style={look.style} />;
}
