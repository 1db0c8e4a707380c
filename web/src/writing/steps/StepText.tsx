import type { Pattern, Step } from '@lanakit/core/pattern';
import {
  isSaid,
  type KnownNames,
  recognise,
  type Recognised,
  takeAmount,
  withRecognised,
} from '@lanakit/core/writing';
import { Button, Mentions, Space } from 'antd';
import { nanoid } from 'nanoid';
import { useMemo, useRef, useState } from 'react';
import { useTechniques } from '../../api/queries.ts';
import { become } from '../../draft/become.ts';
import { Field } from '../../ui/fields/Field.tsx';
import { useTable } from '../table/tableContext.ts';
import { recognisedWords } from '../../words/recognisedWords.ts';
import { bold, bulleted, linked, type Selected } from '../../draft/markdownEdits.ts';
import { readSlash, useSlashChoices } from './slash.ts';
import styles from './Steps.module.css';

interface StepTextProps {
  step: Step;
  onAddAfter: () => void;
  onTechnique: (techniqueId: string) => void;
}

/** What to do, in the author’s words: `/` puts in what the pattern knows, and what the words say is offered beside it. */
export function StepText({ step, onAddAfter, onTechnique }: StepTextProps) {
  const document = useTable((table) => table.document);
  const wool = useTable((table) => table.wool);
  const box = useRef<HTMLDivElement>(null);
  const choices = useSlashChoices();
  const techniques = useTechniques().data?.items ?? [];
  const [isLinking, setLinking] = useState(false);
  const edit = useTable((table) => table.edit);

  const write = (text: string) => {
    const read = readSlash(text, document, (id) => wool.findings.get(id)?.name);
    if (read?.kind === 'technique') {
      setText(read.text);
      onTechnique(read.techniqueId);
      return;
    }
    edit(
      'the text of a step',
      (draft) => {
        const ownStep = draft.steps.find(({ id }) => id === step.id);
        if (!ownStep) return;
        ownStep.text = read?.text ?? text;
        if (read?.kind === 'step') Object.assign(ownStep, read.change(ownStep as Step, nanoid(10)));
      },
      read ? undefined : `${step.id}.text`,
    );
  };
  const setText = (text: string) =>
    edit('the text of a step', (draft) => {
      const ownStep = draft.steps.find(({ id }) => id === step.id);
      if (ownStep) ownStep.text = text;
    });
  const change = (how: (selected: Selected) => string) => {
    const area = box.current?.querySelector('textarea');
    if (!area) return;
    setText(how({ text: step.text, from: area.selectionStart, to: area.selectionEnd }));
    area.focus();
  };
  return (
    <div ref={box}>
      <Field
        label="What to do"
        hint="Enter: the next step · Shift Enter: a new line · / puts in a part, a needle, a check…"
      >
        {(control) => (
          <Mentions
            {...control}
            prefix="/"
            split=" "
            value={step.text}
            maxLength={4000}
            autoSize={{ minRows: 2, maxRows: 10 }}
            placeholder="Roll the core as tight as it goes…"
            options={choices}
            filterOption={(input, option) =>
              (choices.find(({ value }) => value === option.value)?.search ?? '')
                .toLowerCase()
                .includes(input.toLowerCase())
            }
            notFoundContent="nothing of that name here"
            onChange={write}
            onKeyDown={(event) => {
              if ((event.ctrlKey || event.metaKey) && event.key.toLowerCase() === 'b') {
                event.preventDefault();
                change(bold);
              }
            }}
            onPressEnter={(event) => {
              if (event.shiftKey || event.ctrlKey || event.metaKey) return;
              event.preventDefault();
              event.stopPropagation();
              onAddAfter();
            }}
          />
        )}
      </Field>
      <Space size={4} className="above-1" wrap>
        <Button size="small" aria-label="Bold" title="Bold, Ctrl B" onClick={() => change(bold)}>
          <b>B</b>
        </Button>
        <Button size="small" aria-label="List" title="List" onClick={() => change(bulleted)}>
          ☰
        </Button>
        <Button size="small" onClick={() => setLinking(!isLinking)} disabled={techniques.length === 0}>
          Link to a technique
        </Button>
        {isLinking &&
          techniques.map(({ id, name }) => (
            <Button
              key={id}
              size="small"
              type="dashed"
              onClick={() => {
                change((selected) => linked(selected, name, `/techniques/${id}`));
                setLinking(false);
              }}
            >
              {name}
            </Button>
          ))}
      </Space>
      <Offers step={step} />
    </div>
  );
}

/** What the words say and the step does not yet: each is taken with one press. */
function Offers({ step }: { step: Step }) {
  const wool = useTable((table) => table.wool);
  const document = useTable((table) => table.document);
  const edit = useTable((table) => table.edit);
  const names = useKnownNames();
  const offers = useMemo(
    () => recognise(step.text, names).filter((found) => !isSaid(step, found, document)),
    [step, names, document],
  );
  if (offers.length === 0) return null;
  const take = (found: readonly Recognised[]) =>
    edit(
      found.length === 1 ? `taking over “${found[0]?.text ?? ''}”` : 'taking over what was read',
      become<Pattern>((pattern) => taken(pattern, step.id, found)),
    );
  return (
    <div className={styles.offers} role="group" aria-label="Read in the text">
      <span className="quiet small">Read in the text:</span>
      {offers.map((found) => (
        <button
          key={`${found.is} ${found.text}`}
          type="button"
          className={styles.offer}
          onClick={() => take([found])}
        >
          {recognisedWords(found, document, wool)}
        </button>
      ))}
      {offers.length > 1 && (
        <button type="button" className={styles.offer} onClick={() => take(offers)}>
          all of it
        </button>
      )}
    </div>
  );
}

/** The step with everything that was read, and the amounts on the wool they speak of. */
function taken(pattern: Pattern, stepId: string, found: readonly Recognised[]): Pattern {
  const at = pattern.steps.findIndex(({ id }) => id === stepId);
  const before = pattern.steps[at];
  if (!before) return pattern;
  const step = found.reduce(withRecognised, before);
  return found.reduce(
    (so, recognised) => (recognised.is === 'amount' ? takeAmount(so, step, recognised, nanoid(10)) : so),
    {
      ...pattern,
      steps: pattern.steps.with(at, step),
    },
  );
}

/** What the pattern and the shelf have names for. */
export function useKnownNames(): KnownNames {
  const fibres = useTable((table) => table.fibres);
  const wool = useTable((table) => table.wool);
  const parts = useTable((table) => table.document.parts);
  const findings = useTable((table) => table.document.findings);
  return useMemo(
    () => ({
      parts,
      fibres,
      findings: findings.flatMap(({ id, findingId, partId }) => {
        const name = wool.findings.get(findingId ?? '')?.name;
        return name === undefined ? [] : [{ id, name, partId }];
      }),
    }),
    [parts, findings, fibres, wool],
  );
}
