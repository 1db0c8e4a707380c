import {
  blankCut,
  CUT_KINDS,
  type CutKind,
  forgetStrays,
  moveItem,
  type Pattern,
} from '@lanakit/core/pattern';
import { CUT_WORDS, cutSizeWords } from '@lanakit/core/words';
import { Button, Dropdown } from 'antd';
import { nanoid } from 'nanoid';
import { useState } from 'react';
import { showGrams } from '../../words/show.ts';
import { CutEditor } from './CutEditor.tsx';
import styles from '../../ui/Lists.module.css';
import { become } from '../../draft/become.ts';
import { SortableRows } from '../../ui/SortableRows.tsx';
import { RemarkMark } from '../table/RemarkMark.tsx';
import { useTable } from '../table/tableContext.ts';

/** Wire, cord, whiskers, panels: each with the length it is cut to. */
export function CutsSection() {
  const estimate = useTable((table) => table.estimate);
  const whole = useTable((table) => table.whole);
  const wool = useTable((table) => table.wool);
  const document = useTable((table) => table.document);
  const edit = useTable((table) => table.edit);
  const [openId, setOpenId] = useState<string | null>(null);
  const remove = (id: string) =>
    edit(
      'deleting a cut',
      become<Pattern>((pattern) =>
        forgetStrays({ ...pattern, cuts: pattern.cuts.filter((cut) => cut.id !== id) }),
      ),
    );
  const add = (kind: CutKind) => {
    const id = nanoid(10);
    edit('adding a cut', (draft) => void draft.cuts.push({ ...blankCut(id, kind), name: CUT_WORDS[kind] }));
    setOpenId(id);
  };
  return (
    <section aria-label="Cut to size">
      <SortableRows
        noun="cut"
        openId={openId}
        rows={document.cuts.map(({ id, name }) => ({ id, name }))}
        renderRow={(id, index) => {
          const cut = document.cuts[index];
          const isOwn = ({ cutId }: { cutId: string }) => cutId === id;
          const cutEstimate = estimate.cuts.find(isOwn) ?? whole.cuts.find(isOwn);
          if (!cut || !cutEstimate) return null;
          const finding = wool.findings.get(cut.findingId ?? '');
          const isOpen = id === openId;
          return (
            <div className={isOpen ? styles.open : ''}>
              <button
                type="button"
                data-row-head
                className={styles.head}
                aria-expanded={isOpen}
                onClick={() => setOpenId(isOpen ? null : id)}
              >
                <span className={styles.main}>
                  <span className={styles.name}>{cut.name || CUT_WORDS[cut.kind]}</span>
                  {cut.count > 1 && ` ×${cut.count}`}
                  <span className={styles.detail}>
                    {CUT_WORDS[cut.kind]} · {finding?.name ?? 'from nothing on the shelf yet'}
                  </span>
                </span>
                <span className={styles.amount}>
                  {cutEstimate.cut ? cutSizeWords(cutEstimate.sizes) : <span className="red">unknown</span>}
                  {cutEstimate.massG !== null && <span>{showGrams(cutEstimate.massG)} in all</span>}
                </span>
                <RemarkMark id={cut.id} />
              </button>
              {isOpen && (
                <CutEditor cut={cut} cutEstimate={cutEstimate} index={index} onDelete={() => remove(id)} />
              )}
            </div>
          );
        }}
        onMove={(id, toIndex) =>
          edit('moving a cut', (draft) => void (draft.cuts = moveItem(draft.cuts, id, toIndex)))
        }
        onDuplicate={() => undefined}
        onDelete={remove}
        onAddAfter={() => add('wire')}
      />
      <div className={styles.add}>
        <Dropdown
          trigger={['click']}
          menu={{
            items: CUT_KINDS.map((kind) => ({ key: kind, label: CUT_WORDS[kind] })),
            onClick: ({ key }) => add(key as CutKind),
          }}
        >
          <Button>Add a length to cut</Button>
        </Dropdown>
        {document.cuts.length === 0 && (
          <span className="quiet to-middle">
            Wire, cord, whiskers, a panel: cut lengths with every bend and knot.
          </span>
        )}
      </div>
    </section>
  );
}
