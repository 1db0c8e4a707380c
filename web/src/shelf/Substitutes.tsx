import type { Fibre, NearColour } from '@lanakit/core/shelf';
import { PREPARATION_WORDS } from '@lanakit/core/words';
import { Progress, Switch } from 'antd';
import { useMemo, useState } from 'react';
import { useNavigate } from 'react-router';
import { useFibres } from '../api/queries.ts';
import { FibreSwatch } from '../ui/look/FibreSwatch.tsx';
import { ColourField } from './fields.tsx';
import styles from './Panel.module.css';
import { useNearest } from './useNearest.ts';

/** Sheets and yarn cannot be carded into a blend. */
const NOT_CARDED = new Set(['felt', 'pre-felt', 'yarn']);

interface SubstitutesProps {
  /** What is wanted, to begin with. */
  colour: string;
  /** The fibre that is to be replaced; null where any colour is asked for. */
  except?: string | null;
}

/** What comes closest to a colour: fibres, and blends of two and three of them. */
export function Substitutes({ colour, except = null }: SubstitutesProps) {
  const { data } = useFibres();
  const [wanted, setWanted] = useState(colour);
  const [onlyThere, setOnlyThere] = useState(true);
  const candidates = useMemo(
    () =>
      (data?.items ?? []).filter(
        (other) =>
          other.id !== except &&
          !other.archived &&
          !NOT_CARDED.has(other.preparation) &&
          (!onlyThere || (other.onHandG ?? 0) > 0),
      ),
    [data, except, onlyThere],
  );
  return (
    <section className={styles.section} aria-label="What comes closest">
      <h3>What comes closest</h3>
      <div className={`${styles.two} above-2 below-2`}>
        <ColourField label="To this colour" value={wanted} onValue={setWanted} />
        <label className="small">
          <span className="quiet">Only what is there</span>
          <br />
          <Switch checked={onlyThere} onChange={setOnlyThere} />
        </label>
      </div>
      {/^#[0-9a-f]{6}$/.test(wanted) ? (
        <Found wanted={wanted} candidates={candidates} />
      ) : (
        <p className="quiet">Write a colour as #rrggbb.</p>
      )}
    </section>
  );
}

function Found({ wanted, candidates }: { wanted: string; candidates: readonly Fibre[] }) {
  const nearness = useNearest(wanted, candidates);
  const byId = useMemo(() => new Map(candidates.map((candidate) => [candidate.id, candidate])), [candidates]);
  if (candidates.length === 0) return <p className="quiet">There is nothing on the shelf to compare.</p>;
  if (nearness.kind === 'failed')
    return <p className="red">The search stopped. Open this again to start it anew.</p>;
  if (nearness.kind === 'searching') {
    return <Progress percent={Math.round(nearness.fraction * 100)} aria-label="Searching" size="small" />;
  }
  const { singles, blends, judged, possible } = nearness.nearest;
  return (
    <>
      <h4 className="quiet small">One fibre</h4>
      {singles.slice(0, 4).map((single) => (
        <FoundLine key={keyOf(single)} nearColour={single} byId={byId} />
      ))}
      <h4 className="quiet small above-3">Blended, in eighths</h4>
      {blends.slice(0, 5).map((blend) => (
        <FoundLine key={keyOf(blend)} nearColour={blend} byId={byId} />
      ))}
      <p className="quiet small above-2">
        ΔE is CIEDE2000; under 2 few eyes tell them apart.{' '}
        {judged < possible
          ? `The ${judged} likeliest of ${possible} blends were mixed in full.`
          : `All ${possible} blends were mixed.`}
      </p>
    </>
  );
}

const keyOf = (nearColour: NearColour): string =>
  nearColour.parts.map(({ id, parts }) => `${id}${parts}`).join();

function FoundLine({ nearColour, byId }: { nearColour: NearColour; byId: ReadonlyMap<string, Fibre> }) {
  const navigate = useNavigate();
  const [only] = nearColour.parts;
  const isBlend = nearColour.parts.length > 1;
  const fibre = byId.get(only?.id ?? '');
  const strands = nearColour.parts.map(({ id, fraction }) => ({
    colour: byId.get(id)?.colour ?? '#888888',
    fraction,
  }));
  const open = () =>
    void navigate(
      isBlend
        ? `/shelf?blend=${nearColour.parts.map(({ id, parts }) => `${id}:${parts}`).join(',')}`
        : `/shelf?open=${only?.id}`,
    );
  return (
    <div className={styles.found}>
      <FibreSwatch
        fibre={{
          name: keyOf(nearColour),
          preparation: isBlend ? 'carded' : (fibre?.preparation ?? 'carded'),
          colour: nearColour.colour,
          ...(isBlend && { strands }),
        }}
        width={64}
        height={26}
      />
      <span>
        {isBlend ? (
          nearColour.parts.map(({ id, parts }) => `${parts} ${byId.get(id)?.name ?? ''}`).join(' : ')
        ) : (
          <>
            {fibre?.name} <span className="quiet">{fibre && PREPARATION_WORDS[fibre.preparation]}</span>
          </>
        )}
      </span>
      <span className="num">ΔE {nearColour.deltaE.toFixed(1)}</span>
      <button type="button" className={`plain-button ${styles.act}`} onClick={open}>
        {isBlend ? 'keep it' : 'open'}
      </button>
    </div>
  );
}
