import type { MakingPage } from '@lanakit/core/api';
import { draftOf, type Making, type Proposal, proposalsOf, withProposals } from '@lanakit/core/logbook';
import { Button, Checkbox } from 'antd';
import { nanoid } from 'nanoid';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { perform } from '../../api/mutations/mutation.ts';
import { createPattern, putPattern } from '../../api/mutations/patterns.ts';
import { useNeedles, usePattern } from '../../api/queries.ts';
import { useAttempt } from '../../shell/useAttempt.ts';
import { counted, showGrams } from '../../words/show.ts';
import book from '../Logbook.module.css';
import styles from './Making.module.css';
import type { MakingDraft } from './useMakingDraft.ts';

interface NextRevisionProps {
  page: MakingPage;
  draft: MakingDraft;
}

/** What the pattern could state from what it took; or a pattern, where there is none yet. */
export function NextRevision({ page, draft }: NextRevisionProps) {
  const { patternId } = draft.input;
  if (patternId === null) return <WriteLater page={page} draft={draft} />;
  return page.hasPattern ? <Proposals patternId={patternId} makings={page.ofPattern} draft={draft} /> : null;
}

/** Made first, written later: a draft stands there with grams, needles and minutes. */
function WriteLater({ page, draft }: NextRevisionProps) {
  const attempt = useAttempt();
  const navigate = useNavigate();
  const { data: needles } = useNeedles();
  const { input } = draft;
  const named = new Set(input.lines.map(({ name }) => name.trim()).filter((name) => name !== ''));
  const write = () =>
    attempt(async () => {
      if (!(await draft.settle())) return undefined;
      const byId = new Map((needles?.items ?? []).map((needle) => [needle.id, needle]));
      const pattern = draftOf({ ...input, id: page.making.id, version: page.making.version }, byId, () =>
        nanoid(10),
      );
      const made = await perform(createPattern(pattern));
      draft.change('its pattern', (making) => void (making.patternId = made.id));
      await draft.settle();
      await navigate(`/patterns/${made.id}`);
      return {
        text: `A draft of ${input.title} stands here, with what it took. Give its pieces their shapes.`,
      };
    });
  return (
    <section aria-label="Its pattern">
      <h3>Its pattern</h3>
      <p className="quiet">
        {named.size === 0
          ? 'Name the piece that each line of wool went into: then a draft pattern can be made of this page.'
          : `A draft with ${counted(named.size, 'piece')} and ${counted(input.steps.length, 'step')} can be made of this page, with grams as they were weighed.`}
      </p>
      <Button disabled={named.size === 0} onClick={() => void write()}>
        Make a draft pattern of this page
      </Button>
    </section>
  );
}

function Proposals({
  patternId,
  makings,
  draft,
}: {
  patternId: string;
  makings: readonly Making[];
  draft: MakingDraft;
}) {
  const attempt = useAttempt();
  const { data: pattern } = usePattern(patternId);
  const [chosen, setChosen] = useState<ReadonlySet<string>>(new Set());
  if (!pattern) return null;
  const proposals = proposalsOf(pattern.document, makings);
  if (proposals.length === 0) return null;
  const taken = proposals.filter(({ key }) => chosen.has(key));
  const take = () =>
    attempt(async () => {
      if (!(await draft.settle())) return undefined;
      await perform(putPattern(patternId, pattern.version, withProposals(pattern.document, taken)));
      setChosen(new Set());
      return {
        text: `${counted(taken.length, 'line')} taken into the draft of ${pattern.document.title}. Publish it as a revision when you are content.`,
      };
    });
  return (
    <section aria-label="For the next revision" className={book.notOnPaper}>
      <h3>For the next revision</h3>
      <p className="quiet">
        What {pattern.document.title} could state, from what its makings took. What you do not take stays
        calculated.
      </p>
      <ul className={styles.proposals}>
        {proposals.map((proposal) => (
          <li key={proposal.key}>
            <Checkbox
              checked={chosen.has(proposal.key)}
              onChange={({ target: { checked } }) => setChosen(withKey(chosen, proposal.key, checked))}
            >
              {proposalWords(proposal, pattern.document)}
            </Checkbox>{' '}
            <span className="quiet small">from {counted(proposal.makings, 'making')}</span>
          </li>
        ))}
      </ul>
      <p className={book.add}>
        <Button disabled={taken.length === 0} onClick={() => void take()}>
          Take {taken.length === 0 ? 'what is ticked' : counted(taken.length, 'line')} into the draft
        </Button>
        <Button size="small" type="text" onClick={() => setChosen(new Set(proposals.map(({ key }) => key)))}>
          Tick all
        </Button>
      </p>
    </section>
  );
}

function withKey(keys: ReadonlySet<string>, key: string, is: boolean): ReadonlySet<string> {
  const next = new Set(keys);
  if (is) next.add(key);
  else next.delete(key);
  return next;
}

type Named = Parameters<typeof proposalsOf>[0];

function proposalWords(proposal: Proposal, pattern: Named): string {
  const partName = (id: string) => pattern.parts.find((part) => part.id === id)?.name ?? 'a part';
  switch (proposal.kind) {
    case 'amount': {
      const use = pattern.parts
        .find(({ id }) => id === proposal.partId)
        ?.uses.find(({ id }) => id === proposal.useId);
      const was = proposal.wasG === null ? 'calculated so far' : `${showGrams(proposal.wasG)} so far`;
      return `${partName(proposal.partId)}, ${use?.role ?? 'wool'}: ${showGrams(proposal.massG)} each, ${was}`;
    }
    case 'minutes': {
      const number = pattern.steps.findIndex(({ id }) => id === proposal.stepId) + 1;
      const took =
        proposal.high > proposal.low ? `${proposal.low}–${proposal.high} min` : `${proposal.likely} min`;
      return `Step ${number}: ${took}, ${proposal.was === null ? 'no time so far' : `${Math.round(proposal.was)} min so far`}`;
    }
    case 'whole':
      return `A whole make weighs ${showGrams(proposal.massG)}${proposal.wasG === null ? '' : `, ${showGrams(proposal.wasG)} so far`}`;
  }
}
