import { forgetStrays, type Pattern } from '@lanakit/core/pattern';
import { Button } from 'antd';
import { nanoid } from 'nanoid';
import { become } from '../../draft/become.ts';
import { Choice } from '../../ui/fields/Choice.tsx';
import { CountField } from '../../ui/fields/CountField.tsx';
import styles from '../../ui/Lists.module.css';
import { useProblemAt, useTable } from '../table/tableContext.ts';
import { useFindingNames, usePartNames } from '../table/useChoices.ts';

const COUNTED = ['count', 'volume'] as const;

/** Eyes, bells, pin backs: so many on the figure or on one part. */
export function PiecesSection() {
  const document = useTable((table) => table.document);
  const edit = useTable((table) => table.edit);
  const problemAt = useProblemAt();
  const findings = useFindingNames(COUNTED);
  const parts = usePartNames();
  return (
    <section className={styles.section} aria-label="By the piece">
      <header>
        <h3>By the piece</h3>
        <span className="quiet small">eyes, bells, pin backs</span>
      </header>
      {document.findings.map((use, index) => (
        <div key={use.id} className={`${styles.grid} below-2`}>
          <Choice
            className={styles.span5 ?? ''}
            label="Finding"
            value={use.findingId}
            words={findings}
            placeholder="choose"
            unknown={use.findingId === null ? 'Unknown until you choose one' : null}
            problem={problemAt(`/findings/${index}/findingId`)}
            onChoose={(findingId) =>
              edit(
                'a finding',
                (draft) => void (draft.findings[index] && (draft.findings[index].findingId = findingId)),
              )
            }
          />
          <CountField
            className={styles.span3 ?? ''}
            label="In one make"
            value={use.count}
            problem={problemAt(`/findings/${index}/count`)}
            unknown={use.count === null ? 'Unknown until given' : null}
            onValue={(count) =>
              edit(
                'how many findings',
                (draft) => void (draft.findings[index] && (draft.findings[index].count = count)),
                `${use.id}.count`,
              )
            }
          />
          <Choice
            className={styles.span4 ?? ''}
            label="On"
            value={use.partId}
            words={parts}
            none="the whole figure"
            onChoose={(partId) =>
              edit(
                'what it is on',
                (draft) => void (draft.findings[index] && (draft.findings[index].partId = partId)),
              )
            }
          />
          <div className={styles.span12}>
            <Button
              size="small"
              onClick={() =>
                edit(
                  'deleting a finding',
                  become<Pattern>((pattern) =>
                    forgetStrays({
                      ...pattern,
                      findings: pattern.findings.filter(({ id }) => id !== use.id),
                    }),
                  ),
                )
              }
            >
              Take it off
            </Button>
          </div>
        </div>
      ))}
      <Button
        className="below-2"
        onClick={() => {
          const id = nanoid(10);
          edit(
            'adding a finding',
            (draft) =>
              void draft.findings.push({ id, findingId: null, partId: null, count: 1, placement: null }),
          );
        }}
      >
        Add a finding
      </Button>
    </section>
  );
}
