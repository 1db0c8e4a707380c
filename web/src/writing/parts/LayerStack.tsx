import type { PartEstimate } from '@lanakit/core/engine';
import {
  blankUse,
  moveItem,
  type Part,
  type Pattern,
  USE_ROLES,
  type UseRole,
  withoutUse,
} from '@lanakit/core/pattern';
import { ROLE_HINTS, ROLE_WORDS } from '@lanakit/core/words';
import { Dropdown, Button } from 'antd';
import { nanoid } from 'nanoid';
import { useState } from 'react';
import { become } from '../../draft/become.ts';
import { LayerRow } from './LayerRow.tsx';
import styles from './Layers.module.css';
import { SortableRows } from '../../ui/SortableRows.tsx';
import { useEditPart, useTable } from '../table/tableContext.ts';

interface LayerStackProps {
  part: Part;
  /** JSON pointer of the part. */
  pointer: string;
  estimate: PartEstimate;
}

/** What a part is made of, from the inside out; each layer takes its room from what lies beneath it. */
export function LayerStack({ part, pointer, estimate }: LayerStackProps) {
  const edit = useTable((table) => table.edit);
  const editPart = useEditPart(part.id);
  const [openId, setOpenId] = useState<string | null>(null);
  const add = (role: UseRole) => {
    const id = nanoid(10);
    editPart(`adding a ${ROLE_WORDS[role]}`, (draft) => {
      const use = blankUse(id, role);
      if (role === 'core') draft.uses.unshift(use);
      else draft.uses.push(use);
    });
    // A coat needs nothing but its fibre, which is chosen in the row itself.
    if (role !== 'coat' && role !== 'core') setOpenId(id);
  };
  const hasCore = part.uses.some(({ role }) => role === 'core');
  const roles = USE_ROLES.filter((role) => role !== 'core' || !hasCore);
  return (
    <section className={styles.stack} aria-label={`Layers of ${part.name}`}>
      <header className={styles.heading}>
        <h3>Layers</h3>
        <span className="quiet small">from the inside out; drag to reorder</span>
        <Dropdown
          trigger={['click']}
          menu={{
            items: roles.map((role) => ({ key: role, label: ROLE_WORDS[role], extra: ROLE_HINTS[role] })),
            onClick: ({ key }) => add(key as UseRole),
          }}
        >
          <Button size="small">Add a layer</Button>
        </Dropdown>
        {!part.uses.some(({ role }) => role === 'coat') && (
          <Button size="small" onClick={() => add('coat')}>
            Add a coat
          </Button>
        )}
      </header>
      <SortableRows
        noun="layer"
        openId={openId}
        rows={part.uses.map((use, index) => ({ id: use.id, name: layerName(part, index) }))}
        renderRow={(id, index) => {
          const use = part.uses[index];
          return (
            use && (
              <LayerRow
                use={use}
                name={layerName(part, index)}
                part={part}
                pointer={`${pointer}/uses/${index}`}
                estimate={estimate}
                isOpen={id === openId}
                onToggle={() => setOpenId(id === openId ? null : id)}
              />
            )
          );
        }}
        onMove={(id, toIndex) =>
          editPart('the order of layers', (draft) => void (draft.uses = moveItem(draft.uses, id, toIndex)))
        }
        onDuplicate={(id) => {
          const at = part.uses.findIndex((use) => use.id === id);
          const use = part.uses[at];
          if (!use || use.role === 'core') return;
          const newId = nanoid(10);
          editPart(
            'duplicating a layer',
            (draft) => void draft.uses.splice(at + 1, 0, { ...structuredClone(use), id: newId }),
          );
          setOpenId(newId);
        }}
        onDelete={(id) =>
          edit(
            'deleting a layer',
            become<Pattern>((pattern) => withoutUse(pattern, id)),
          )
        }
        onAddAfter={() => add('coat')}
      />
    </section>
  );
}

/** Its role, with a number where a part has several of that. */
function layerName({ uses }: Part, index: number): string {
  const role = uses[index]?.role ?? 'core';
  const alike = uses.slice(0, index).filter((use) => use.role === role).length;
  return `${ROLE_WORDS[role]}${alike > 0 ? ` ${alike + 1}` : ''}`;
}
