import {
  AMOUNT_BOUNDS,
  BLANK_TOOL,
  checkTool,
  proposeStandsFor,
  type Tool,
  TOOL_BOUNDS,
  TOOL_KEYS,
  type ToolInput,
  type ToolKey,
} from '@lanakit/core/shelf';
import { PROVISION_WORDS, TOOL_SORT_WORDS, TOOL_WORDS } from '@lanakit/core/words';
import { Checkbox } from 'antd';
import { NumberField } from '../ui/fields/NumberField.tsx';
import { CountedNowField } from './CountedNowField.tsx';
import { ChoiceField, MoneyField, TextField } from './fields.tsx';
import { ItemFrame } from './ItemFrame.tsx';
import { LedgerSection } from './LedgerSection.tsx';
import styles from './Panel.module.css';
import { UsedIn } from './UsedIn.tsx';
import { type FormSpec, useItemForm } from './useItemForm.ts';

const SPEC: FormSpec<ToolInput> = {
  path: '/tools',
  blank: BLANK_TOOL,
  check: checkTool,
  nameOf: ({ name }) => name.trim(),
};

const NO_TOOL = 'none';
const STANDS_FOR_WORDS = {
  [NO_TOOL]: 'found by its name',
  ...(Object.fromEntries(TOOL_KEYS.map((key) => [key, TOOL_WORDS[key]])) as Record<ToolKey, string>),
};

/** What it is in lists follows its name and sort, until somebody says otherwise. */
function following(input: ToolInput, change: Partial<Pick<ToolInput, 'name' | 'sort'>>): Partial<ToolInput> {
  if (input.standsFor !== proposeStandsFor(input)) return {};
  const standsFor = proposeStandsFor({ ...input, ...change });
  // Drops of glue are the one tool that no class gives back.
  return { standsFor, isConsumed: standsFor === 'glue-drops' || input.isConsumed };
}

/** A holder, a surface or another tool: for whom one is needed, and how many there are. */
export function ToolPanel({ tool, onSaved }: { tool: Tool | null; onSaved: (id: string) => void }) {
  const form = useItemForm<ToolInput>(SPEC, tool, true, onSaved);
  const { input, set, problemAt } = form;
  return (
    <>
      <h2>{tool?.name ?? 'A tool, holder or surface'}</h2>
      {tool && <CountedNowField itemId={tool.id} lotId={null} unit="piece" onHand={tool.onHand} />}
      <div className="gap-3" />
      <ItemFrame form={form}>
        <TextField
          label="Name"
          value={input.name}
          maxLength={80}
          autoFocus={tool === null}
          placeholder="Pen holder"
          problem={problemAt('/name')}
          onValue={(name) => set({ name, ...following(input, { name }) })}
        />
        <div className={styles.two}>
          <ChoiceField
            label="Sort"
            value={input.sort}
            words={TOOL_SORT_WORDS}
            onValue={(sort) =>
              set({
                sort,
                needles: sort === 'holder' ? (input.needles ?? 1) : null,
                ...following(input, { sort }),
              })
            }
          />
          <ChoiceField
            label="Needed"
            value={input.provision}
            words={PROVISION_WORDS}
            onValue={(provision) => set({ provision })}
          />
          <ChoiceField
            label="In tool lists it is"
            value={input.standsFor ?? NO_TOOL}
            words={STANDS_FOR_WORDS}
            onValue={(key) => set({ standsFor: key === NO_TOOL ? null : key })}
          />
          {input.sort === 'holder' && (
            <NumberField
              label="Takes"
              value={input.needles}
              bounds={TOOL_BOUNDS.needles}
              isWhole
              allowEmpty
              suffix="needles"
              problem={problemAt('/needles')}
              onValue={(needles) => set({ needles })}
            />
          )}
          {input.sort === 'surface' && (
            <>
              <NumberField
                label="Long"
                value={input.lengthMm}
                bounds={TOOL_BOUNDS.lengthMm}
                allowEmpty
                suffix="mm"
                problem={problemAt('/lengthMm')}
                onValue={(lengthMm) => set({ lengthMm })}
              />
              <NumberField
                label="Wide"
                value={input.widthMm}
                bounds={TOOL_BOUNDS.widthMm}
                allowEmpty
                suffix="mm"
                problem={problemAt('/widthMm')}
                onValue={(widthMm) => set({ widthMm })}
              />
            </>
          )}
          <MoneyField
            label="Price each"
            minor={input.priceMinor}
            boundsMinor={TOOL_BOUNDS.priceMinor}
            problem={problemAt('/priceMinor')}
            onValue={(priceMinor) => set({ priceMinor })}
          />
          <TextField label="Place" value={input.place} maxLength={60} onValue={(place) => set({ place })} />
          {tool === null && (
            <NumberField
              label="On hand"
              value={form.countedNow}
              bounds={AMOUNT_BOUNDS}
              isWhole
              allowEmpty
              suffix="pcs"
              problem={problemAt('/countedNow')}
              onValue={form.setCountedNow}
            />
          )}
        </div>
        <Checkbox checked={input.isConsumed} onChange={(event) => set({ isConsumed: event.target.checked })}>
          used up, not given back
        </Checkbox>
        <Checkbox checked={input.isSharp} onChange={(event) => set({ isSharp: event.target.checked })}>
          sharp
        </Checkbox>
        <Checkbox checked={input.isHot} onChange={(event) => set({ isHot: event.target.checked })}>
          used hot
        </Checkbox>
        <TextField label="Note" value={input.note} maxLength={400} isLong onValue={(note) => set({ note })} />
      </ItemFrame>
      {tool && (
        <>
          <LedgerSection itemId={tool.id} unit="piece" lots={null} />
          <UsedIn path={`/tools/${tool.id}`} />
        </>
      )}
    </>
  );
}
