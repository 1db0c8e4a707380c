import { BLANK_STEP, type Pattern, type Step } from '@lanakit/core/pattern';
import {
  type ReadStep,
  readSteps,
  recognise,
  type Recognised,
  takeAmount,
  withRecognised,
} from '@lanakit/core/writing';
import { Checkbox, Input, Modal } from 'antd';
import { nanoid } from 'nanoid';
import { useDeferredValue, useMemo, useState } from 'react';
import { become } from '../../draft/become.ts';
import { useTable } from '../table/tableContext.ts';
import { recognisedWords } from '../../words/recognisedWords.ts';
import { counted } from '../../words/show.ts';
import { useKnownNames } from './StepText.tsx';
import styles from './Steps.module.css';

/** What one step was read as: its words, and everything in them that may be taken over. */
interface Draft {
  readonly read: ReadStep;
  readonly found: readonly Recognised[];
}

const LONGEST = 100_000;
/** More than anybody looks through; the rest is taken with everything approved. */
const SHOWN = 60;

/** A plain text becomes steps: what was recognised is marked, and each mark may be taken off before it goes in. */
export function PasteSteps({ onClose }: { onClose: () => void }) {
  const wool = useTable((table) => table.wool);
  const document = useTable((table) => table.document);
  const edit = useTable((table) => table.edit);
  const names = useKnownNames();
  const [text, setText] = useState('');
  const [refused, setRefused] = useState<ReadonlySet<string>>(new Set());
  const later = useDeferredValue(text);
  const read = useMemo(() => readSteps(later), [later]);
  const drafts = useMemo(
    (): Draft[] => read.steps.map((step) => ({ read: step, found: recognise(step.text, names) })),
    [read, names],
  );
  const keyOf = (at: number, found: Recognised) => `${at} ${found.is} ${found.text}`;
  const take = () => {
    const chosen = drafts.map(({ read: step, found }, at) => ({
      read: step,
      found: found.filter((recognised) => !refused.has(keyOf(at, recognised))),
    }));
    edit(
      `pasting ${counted(chosen.length, 'step')}`,
      become<Pattern>((pattern) => withSteps(pattern, chosen)),
    );
    onClose();
  };
  return (
    <Modal
      open
      width={980}
      title="Paste a text: it becomes steps"
      okText={drafts.length > 0 ? `Take ${counted(drafts.length, 'step')}` : 'Take the steps'}
      okButtonProps={{ disabled: drafts.length === 0 || later !== text }}
      cancelText="Cancel"
      onOk={take}
      onCancel={onClose}
    >
      <div className={styles.paste}>
        <div>
          <Input.TextArea
            aria-label="The text"
            value={text}
            rows={18}
            maxLength={LONGEST}
            autoFocus
            placeholder={
              '1. Roll the body core tight, 20 min, 38 needle.\n2. Lay 5 g of slate over it in two thin layers.\n3. Leave to dry for 30 minutes.'
            }
            onChange={(event) => setText(event.target.value)}
          />
          <p className="quiet small">
            Numbered or bulleted lines are steps; without any, each paragraph is. Nothing is changed in your
            pattern until you take them.
          </p>
        </div>
        <div>
          <p>
            {drafts.length === 0 ? (
              <span className="quiet">What is read appears here.</span>
            ) : (
              <b>{counted(drafts.length, 'step')} read</b>
            )}
            {read.materials.length > 0 && (
              <span className="quiet small">
                {' '}
                · {counted(read.materials.length, 'line')} of materials left aside: they are derived
              </span>
            )}
            {read.isCut && (
              <span className="amber small">
                {' '}
                · more than 500 steps or 4 000 signs in one: the rest is left out
              </span>
            )}
          </p>
          <ol className={styles.read}>
            {drafts.slice(0, SHOWN).map(({ read: step, found }, at) => (
              <li key={step.line}>
                <b>{at + 1}</b> {step.text.slice(0, 160)}
                {step.text.length > 160 && '…'}
                <div className={styles.offers}>
                  {found.map((recognised) => {
                    const key = keyOf(at, recognised);
                    return (
                      <Checkbox
                        key={key}
                        checked={!refused.has(key)}
                        onChange={() =>
                          setRefused((before) => {
                            const after = new Set(before);
                            if (!after.delete(key)) after.add(key);
                            return after;
                          })
                        }
                      >
                        {recognisedWords(recognised, document, wool)}
                      </Checkbox>
                    );
                  })}
                </div>
              </li>
            ))}
          </ol>
          {drafts.length > SHOWN && (
            <p className="quiet small">and {counted(drafts.length - SHOWN, 'step')} more</p>
          )}
        </div>
      </div>
    </Modal>
  );
}

/** The pattern with the steps at its end, and amounts on the wool they speak of. */
function withSteps(pattern: Pattern, drafts: readonly Draft[]): Pattern {
  return drafts.reduce((so, { read, found }) => {
    const bare: Step = { ...BLANK_STEP, id: nanoid(10), text: read.text, stage: read.stage ?? 'core' };
    const step = found.reduce(withRecognised, bare);
    const taken = {
      ...so,
      steps: [...so.steps, read.stage === null ? { ...step, stage: stageOf(step) } : step],
    };
    return found.reduce(
      (with_, recognised) =>
        recognised.is === 'amount' ? takeAmount(with_, step, recognised, nanoid(10)) : with_,
      taken,
    );
  }, pattern);
}

/** Where no heading says, the act does. */
function stageOf({ act }: Step): Step['stage'] {
  switch (act.kind) {
    case 'wrap':
      return 'coat';
    case 'join':
    case 'tack':
      return 'join';
    case 'sew':
    case 'glue':
      return 'mount';
    case 'cut':
      return 'finish';
    default:
      return 'core';
  }
}
