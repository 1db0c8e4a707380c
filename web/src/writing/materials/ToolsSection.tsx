import { type Need, needsOf } from '@lanakit/core/needles';
import type { ListedTool } from '@lanakit/core/pattern';
import { type Provision, PROVISIONS } from '@lanakit/core/shelf';
import { needName, PROVISION_WORDS } from '@lanakit/core/words';
import { Button, Input, InputNumber, Select, Tooltip } from 'antd';
import { nanoid } from 'nanoid';
import { useMemo, useState } from 'react';
import styles from '../../ui/Lists.module.css';
import { useTable } from '../table/tableContext.ts';

/** Tools as they follow from the steps; the author changes, leaves out and adds, and sees where the two disagree. */
export function ToolsSection() {
  const build = useTable((table) => table.build);
  const document = useTable((table) => table.document);
  const edit = useTable((table) => table.edit);
  const needs = useMemo(() => needsOf(build), [build]);
  const [name, setName] = useState('');
  const unused = new Set(needs.listedNotUsed.map(({ key }) => key));
  const add = () => {
    if (name.trim() === '') return;
    edit('adding a tool', (draft) => {
      draft.tools.push({
        id: nanoid(10),
        needKey: null,
        name: name.trim(),
        per: 'table',
        count: 1,
        isLeftOut: false,
      });
    });
    setName('');
  };
  return (
    <section className={styles.section} aria-label="Tools">
      <header>
        <h3>Tools</h3>
        <span className="quiet small">they follow from the steps; change what you know better</span>
      </header>
      {needs.listed.length === 0 && <p className="quiet">No step calls for a tool yet.</p>}
      <ul className={styles.tools}>
        {needs.listed.map((need) => (
          <ToolLine key={need.key} need={need} isUnused={unused.has(need.key)} />
        ))}
        {needs.usedNotListed.map((need) => (
          <li key={need.key}>
            <span className="amber">{needName(need)}: used, and left off the list</span>
            <StepsOf need={need} />
            <Button
              size="small"
              onClick={() =>
                edit(
                  'listing a tool',
                  (draft) => void (draft.tools = draft.tools.filter(({ needKey }) => needKey !== need.key)),
                )
              }
            >
              List it
            </Button>
          </li>
        ))}
      </ul>
      {needs.offered.length > 0 && (
        <ul className={styles.tools} aria-label="Words of the steps suggest">
          {needs.offered.map((need) => (
            <OfferLine key={need.key} need={need} />
          ))}
        </ul>
      )}
      <div className="in-line">
        <Input
          size="small"
          aria-label="Another tool or material"
          className="control-xl"
          value={name}
          maxLength={80}
          placeholder="cocktail stick"
          onChange={(event) => setName(event.target.value)}
          onPressEnter={add}
        />
        <Button size="small" onClick={add}>
          Add it
        </Button>
      </div>
      {document.tools.length > 0 && (
        <p className="quiet small">
          {document.tools.length} changed or added by you; the rest follows from the steps.
        </p>
      )}
    </section>
  );
}

function ToolLine({ need, isUnused }: { need: Need; isUnused: boolean }) {
  const edit = useTable((table) => table.edit);
  const { key } = need;
  const isOwn = need.what.is === 'own';
  const say = (label: string, change: { per?: Provision; count?: number; isLeftOut?: boolean }) =>
    edit(label, (draft) => {
      const ownTool = draft.tools.find((tool) => (isOwn ? `own-${tool.id}` === key : tool.needKey === key));
      if (ownTool) Object.assign(ownTool, change);
      else {
        draft.tools.push({ ...saidOf(need), ...change });
      }
    });
  return (
    <li>
      <span>
        <b>{needName(need)}</b>{' '}
        {isUnused && <span className="amber small">listed, and no step speaks of it</span>}
      </span>
      <StepsOf need={need} />
      <InputNumber
        size="small"
        aria-label={`How many: ${needName(need)}`}
        min={1}
        max={500}
        precision={0}
        value={need.count}
        onChange={(count) => say('how many of a tool', { count: count ?? 1 })}
      />
      <Select<Provision>
        size="small"
        aria-label={`For whom: ${needName(need)}`}
        value={need.per}
        popupMatchSelectWidth={false}
        options={PROVISIONS.map((per) => ({ value: per, label: PROVISION_WORDS[per] }))}
        onChange={(per) => say('whom a tool is for', { per })}
      />
      <Button
        size="small"
        type="text"
        aria-label={`Leave out ${needName(need)}`}
        onClick={() =>
          isOwn
            ? edit(
                'taking a tool off',
                (draft) => void (draft.tools = draft.tools.filter(({ id }) => `own-${id}` !== key)),
              )
            : say('leaving a tool out', { isLeftOut: true })
        }
      >
        ×
      </Button>
    </li>
  );
}

/** The author’s word on a need, as it stands without any. */
const saidOf = (need: Need): ListedTool => ({
  id: nanoid(10),
  needKey: need.key,
  name: needName(need),
  per: need.per,
  count: need.count,
  isLeftOut: false,
});

/** What words of a step suggest: nothing is listed before the author says so. */
function OfferLine({ need }: { need: Need }) {
  const edit = useTable((table) => table.edit);
  const say = (label: string, isLeftOut: boolean) =>
    edit(label, (draft) => void draft.tools.push({ ...saidOf(need), isLeftOut }));
  return (
    <li>
      <span className="quiet">{needName(need)}? its words suggest it</span>
      <StepsOf need={need} />
      <Button size="small" aria-label={`List ${needName(need)}`} onClick={() => say('listing a tool', false)}>
        List it
      </Button>
      <Button
        size="small"
        type="text"
        aria-label={`No ${needName(need)} is needed`}
        onClick={() => say('leaving a tool out', true)}
      >
        No
      </Button>
    </li>
  );
}

/** Which steps call for it, by number. */
function StepsOf({ need }: { need: Need }) {
  const steps = useTable((table) => table.document.steps);
  const numbers = need.stepIds.map((id) => steps.findIndex((step) => step.id === id) + 1);
  if (numbers.length === 0) return <span className="quiet small">no step</span>;
  const shown = numbers.length > 5 ? `${numbers.slice(0, 4).join(', ')}…` : numbers.join(', ');
  return (
    <Tooltip title={`steps ${numbers.join(', ')}`}>
      <span className="quiet small">{numbers.length === 1 ? `step ${shown}` : `steps ${shown}`}</span>
    </Tooltip>
  );
}
