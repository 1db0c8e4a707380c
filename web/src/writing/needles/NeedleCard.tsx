import { type CardLine, type Ladder, needleCard, rungPlace } from '@lanakit/core/needles';
import {
  cueWords,
  DEPTH_WORDS,
  PROFILE_WORDS,
  STAGE_WORDS,
  STROKE_WORDS,
  wantedName,
} from '@lanakit/core/words';
import { useMemo } from 'react';
import { NeedleMark } from '../../ui/NeedleMark.tsx';
import styles from './Ladder.module.css';

/** Stage by stage as learners get it: needle, profile, mark, holder, stroke, depth, and when to change. */
export function NeedleCard({ ladder }: { ladder: Ladder }) {
  const lines = useMemo(() => needleCard(ladder), [ladder]);
  if (lines.length === 0) return <p className="quiet">No step takes a needle yet.</p>;
  return (
    <table className={styles.card}>
      <thead>
        <tr>
          <th scope="col">Stage</th>
          <th scope="col">Needle</th>
          <th scope="col">How</th>
          <th scope="col">How deep</th>
          <th scope="col">Change or stop</th>
        </tr>
      </thead>
      <tbody>
        {lines.map((line, index) => (
          <tr key={`${line.stage} ${wantedName(line.wanted)}`}>
            <th scope="row">{STAGE_WORDS[line.stage]}</th>
            <td>
              <CardNeedle line={line} place={rungPlace(ladder, line.wanted)} />
            </td>
            <td>{line.strokes.map((stroke) => STROKE_WORDS[stroke]).join(', ') || <Unsaid />}</td>
            <td>{line.depths.map((depth) => DEPTH_WORDS[depth]).join(', ') || <Unsaid />}</td>
            <td>
              {cueOfLine(line) ||
                (index < lines.length - 1 && <span className="quiet">the same goes on</span>)}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

const Unsaid = () => <span className="quiet">not said</span>;

function CardNeedle({ line, place }: { line: CardLine; place: number }) {
  const owned = line.rung?.owned;
  const needle = owned?.kind === 'owned' ? owned.needle : null;
  const profile =
    needle?.profile && (line.wanted.by === 'feel' || line.wanted.profile === null)
      ? PROFILE_WORDS[needle.profile]
      : '';
  const many = line.holders.filter((size) => size > 1);
  return (
    <span className={styles.cardNeedle}>
      <NeedleMark needle={needle} place={place} />
      <span>
        <b>{wantedName(line.wanted)}</b> {profile}
        {needle?.mark && <span className={`quiet ${styles.holderLine}`}>{needle.mark.word} mark</span>}
        {many.length > 0 && (
          <span className={styles.holderLine}>
            {many.join(' and ')} in a holder{line.holders.includes(1) && ', then one'}
          </span>
        )}
      </span>
    </span>
  );
}

/** To the next needle if there is one; else what the last of its steps says of stopping. */
function cueOfLine({ change, steps }: CardLine): string {
  if (change) return `${cueWords(change)}: then the ${wantedName(change.to)}`;
  const cue = steps.findLast((step) => step.cue.trim() !== '')?.cue.trim();
  return cue ? `stop when ${cue}` : '';
}
