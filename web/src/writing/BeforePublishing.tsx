import { ReadingStill } from '../review/ReadingStill.tsx';
import { RemarksRead } from '../review/RemarksRead.tsx';
import { useReview } from '../review/useReview.ts';
import { counted } from '../words/show.ts';
import { useTable } from './table/tableContext.ts';

/** A last look: what somebody who makes it from the paper would stumble over. None of it stops a revision. */
export function BeforePublishing() {
  const document = useTable((table) => table.document);
  const wool = useTable((table) => table.wool);
  const state = useReview(document, wool);
  if (state.kind !== 'read') return <ReadingStill state={state} />;
  const { open } = state.review;
  if (open.length === 0) return null;
  return (
    <section aria-label="Before it is published">
      <p className="amber">
        It can be published as it stands; whoever makes it would stumble over {counted(open.length, 'thing')}:
      </p>
      <RemarksRead pattern={document} lines={open} />
    </section>
  );
}
