import { Button, Input } from 'antd';
import { nanoid } from 'nanoid';
import { Field } from '../../ui/fields/Field.tsx';
import book from '../Logbook.module.css';
import styles from './Making.module.css';
import type { MakingDraft } from './useMakingDraft.ts';

/** What failed and what was done instead; and everything else worth a word. */
export function Tried({ draft: { input, change } }: { draft: MakingDraft }) {
  return (
    <section aria-label="Words">
      <h3>Words</h3>
      <Field label="What is worth knowing next time" isLabelHidden>
        {(control) => (
          <Input.TextArea
            {...control}
            autoSize={{ minRows: 2 }}
            value={input.words}
            maxLength={4000}
            placeholder="What is worth knowing next time"
            onChange={({ target: { value } }) => change('words', (making) => void (making.words = value))}
          />
        )}
      </Field>
      {input.tried.map(({ id, failed, instead }, at) => (
        <div key={id} className={styles.tried} role="group" aria-label={`Tried ${at + 1}`}>
          {(
            [
              ['failed', 'It failed', failed],
              ['instead', 'Instead', instead],
            ] as const
          ).map(([key, label, value]) => (
            <Field key={key} label={label}>
              {(control) => (
                <Input.TextArea
                  {...control}
                  autoSize
                  value={value}
                  maxLength={600}
                  onChange={({ target }) =>
                    change('what was tried', (making) => {
                      const tried = making.tried[at];
                      if (tried) tried[key] = target.value;
                    })
                  }
                />
              )}
            </Field>
          ))}
          <Button
            size="small"
            type="text"
            onClick={() => change('what was tried', (making) => void making.tried.splice(at, 1))}
          >
            Take it out
          </Button>
        </div>
      ))}
      <p className={book.add}>
        <Button
          size="small"
          onClick={() =>
            change(
              'what was tried',
              (making) => void making.tried.push({ id: nanoid(10), failed: '', instead: '' }),
            )
          }
        >
          Something failed
        </Button>
      </p>
    </section>
  );
}
