import { LINK_STRENGTHS, linkCircle, type LinkStrength, type Step } from '@lanakit/core/pattern';
import { linkReason, STRENGTH_WORDS } from '@lanakit/core/words';
import { type OrderLink, orderLinks } from '@lanakit/core/writing';
import { Button, Input } from 'antd';
import { nanoid } from 'nanoid';
import { useMemo, useState } from 'react';
import { Choice } from '../../ui/fields/Choice.tsx';
import { Field } from '../../ui/fields/Field.tsx';
import lists from '../../ui/Lists.module.css';
import { useTable } from '../table/tableContext.ts';
import styles from './Steps.module.css';

/** What has to come before this step and after it, and why; and links of the author’s own. */
export function StepOrder({ step }: { step: Step }) {
  const document = useTable((table) => table.document);
  const edit = useTable((table) => table.edit);
  const links = useMemo(
    () => orderLinks(document).filter(({ beforeId, afterId }) => beforeId === step.id || afterId === step.id),
    [document, step.id],
  );
  const remove = (link: OrderLink) =>
    edit('taking a link away', (draft) => {
      draft.links = draft.links.filter(
        ({ beforeId, afterId }) => beforeId !== link.beforeId || afterId !== link.afterId,
      );
    });
  return (
    <>
      {links.length === 0 && <p className="quiet">Nothing holds this step in its place yet.</p>}
      {links.map((link) => {
        const isAfter = link.afterId === step.id;
        const other = document.steps.findIndex(({ id }) => id === (isAfter ? link.beforeId : link.afterId));
        return (
          <div key={`${link.beforeId} ${link.afterId} ${link.by}`} className={styles.link}>
            <span>
              {isAfter ? 'after' : 'before'} <b>step {other + 1}</b>
            </span>
            <span className="quiet small">
              {link.strength === 'must' ? '' : `${STRENGTH_WORDS[link.strength]}: `}
              {linkReason(link, document)}
            </span>
            {link.by === 'author' && (
              <Button size="small" type="text" onClick={() => remove(link)}>
                Take it away
              </Button>
            )}
          </div>
        );
      })}
      <NewLink step={step} />
    </>
  );
}

/** A link of the author’s own. One that would close a circle is not drawn, and says so. */
function NewLink({ step }: { step: Step }) {
  const document = useTable((table) => table.document);
  const edit = useTable((table) => table.edit);
  const [otherId, setOtherId] = useState<string | null>(null);
  const [strength, setStrength] = useState<LinkStrength>('must');
  const [reason, setReason] = useState('');
  const [problem, setProblem] = useState<string | null>(null);
  const draw = () => {
    if (otherId === null) {
      setProblem('Choose which step comes first.');
      return;
    }
    const link = { id: nanoid(10), beforeId: otherId, afterId: step.id, strength, reason };
    const circle = linkCircle([...orderLinks(document), link]);
    if (circle) {
      const numbers = circle.map((id) => document.steps.findIndex((candidate) => candidate.id === id) + 1);
      setProblem(`That would go in a circle: step ${numbers.join(', then ')}. Nothing was linked.`);
      return;
    }
    edit('linking two steps', (draft) => void draft.links.push(link));
    setOtherId(null);
    setReason('');
    setProblem(null);
  };
  return (
    <div className={`${lists.grid} above-2`}>
      <Choice
        className={lists.span4 ?? ''}
        label="This comes after"
        value={otherId}
        placeholder="which step"
        words={Object.fromEntries(
          document.steps.flatMap(({ id, text }, at) =>
            id === step.id ? [] : [[id, `${at + 1} ${text.slice(0, 44)}`]],
          ),
        )}
        problem={problem}
        onChoose={setOtherId}
      />
      <Choice<LinkStrength>
        className={lists.span3 ?? ''}
        label="How strictly"
        value={strength}
        words={STRENGTH_WORDS}
        among={LINK_STRENGTHS}
        onChoose={(chosen) => chosen && setStrength(chosen)}
      />
      <Field label="Because" className={lists.span5 ?? ''}>
        {(control) => (
          <Input
            {...control}
            value={reason}
            maxLength={200}
            placeholder="the hole is made before the coat"
            onChange={(event) => setReason(event.target.value)}
            onPressEnter={draw}
          />
        )}
      </Field>
      <div className={lists.span12}>
        <Button size="small" onClick={draw}>
          Link them
        </Button>
      </div>
    </div>
  );
}
