import {
  blankStep,
  duplicateItem,
  moveItem,
  type Pattern,
  withoutThing,
  withThingBack,
} from '@lanakit/core/pattern';
import { linkWords } from '@lanakit/core/words';
import { insertTechnique, newUse, placeStep } from '@lanakit/core/writing';
import { nanoid } from 'nanoid';
import { useTechniques } from '../../api/queries.ts';
import { become } from '../../draft/become.ts';
import type { RowActions } from '../../ui/SortableRows.tsx';
import { useTable } from '../table/tableContext.ts';
import { useNotice } from '../../shell/Notice.tsx';

/** What is done to whole steps. A step that may not go somewhere says why, and offers the nearest place. */
export interface StepActions extends RowActions {
  /** Writes a technique in after a step, on the parts of that step; an empty step gives way to it. */
  readonly onTechnique: (techniqueId: string, afterId: string) => void;
}

export function useStepActions(onOpen: (stepId: string | null) => void): StepActions {
  const say = useNotice();
  const techniques = useTechniques().data?.items;
  const document = useTable((table) => table.document);
  const edit = useTable((table) => table.edit);
  const put = (id: string, index: number) =>
    edit('moving a step', (draft) => void (draft.steps = moveItem(draft.steps, id, index)));
  return {
    onMove: (id, toIndex) => {
      const placing = placeStep(document, id, toIndex);
      if (placing.ok) {
        put(id, placing.index);
        const [link] = placing.harder;
        if (link) say({ text: `Moved, though it was easier before: ${linkWords(link, document)}.` });
        return;
      }
      const because = placing.because[0];
      const { nearest } = placing;
      say({
        text: `It cannot go there: ${because ? linkWords(because, document) : ''}.`,
        isProblem: true,
        ...(nearest !== null && {
          action: { label: `Put it at place ${nearest + 1}`, run: () => put(id, nearest) },
        }),
      });
    },
    onDuplicate: (id) => {
      const newId = nanoid(10);
      edit('duplicating a step', (draft) => {
        draft.steps = duplicateItem(document.steps, id, newId);
        const copy = draft.steps.find((step) => step.id === newId);
        if (!copy) return;
        // A copy is the author’s own: the technique it came from goes on without it.
        copy.technique = null;
        for (const check of copy.checks) check.id = nanoid(10);
        for (const picture of copy.pictures) picture.id = nanoid(10);
      });
      onOpen(newId);
    },
    onDelete: (id) => {
      const before = document;
      if (!before.steps.some((step) => step.id === id)) return;
      edit(
        'deleting a step',
        become<Pattern>((pattern) => withoutThing(pattern, { kind: 'step', id })),
      );
      const bringBack = () =>
        edit(
          'bringing a step back',
          become<Pattern>((pattern) => withThingBack(pattern, before, { kind: 'step', id })),
        );
      say({ text: 'The step is deleted.', undo: bringBack });
    },
    onTechnique: (techniqueId, afterId) => {
      const technique = techniques?.find(({ id }) => id === techniqueId);
      if (!technique) return;
      const use = newUse(
        technique,
        nanoid(10),
        document.steps.find(({ id }) => id === afterId)?.partIds ?? [],
      );
      edit(
        `using ${technique.name}`,
        become<Pattern>((pattern) => {
          const written = insertTechnique(pattern, technique, use, afterId);
          const isEmpty = written.steps.find(({ id }) => id === afterId)?.text.trim() === '';
          return isEmpty ? withoutThing(written, { kind: 'step', id: afterId }) : written;
        }),
      );
      onOpen(null);
    },
    onAddAfter: (id) => {
      const newId = nanoid(10);
      const before = document.steps.findIndex((step) => step.id === id);
      edit(
        'adding a step',
        (draft) => void draft.steps.splice(before + 1, 0, blankStep(newId, document.steps[before])),
      );
      onOpen(newId);
    },
  };
}
