import type { Wool } from '@lanakit/core/engine';
import type { Pattern } from '@lanakit/core/pattern';
import type { Piece } from '@lanakit/core/reading';
import { type PieceLine, pieceLines, type WoolLine } from '@lanakit/core/words';
import { FibreSwatch } from '../ui/look/FibreSwatch.tsx';
import { timesWords } from '../words/show.ts';
import styles from './Pieces.module.css';
import { Proof } from './Proof.tsx';

interface PiecesProps {
  pieces: readonly Piece[];
  build: Pattern;
  wool: Wool;
}

/** Every piece in a block of its own: its wool layer by layer, and what it is from the table to the figure. */
export function Pieces({ pieces, build, wool }: PiecesProps) {
  return (
    <div role="group" aria-label="Pieces">
      <h2>Pieces</h2>
      <p className={styles.note}>
        Grams are for one piece. “Exactly”: hold it against a ruler; “about”: a guide.
      </p>
      <div className={styles.pieces}>
        {pieces.map((piece) => (
          <PieceBlock key={piece.part.id} piece={piece} build={build} wool={wool} />
        ))}
      </div>
    </div>
  );
}

function PieceBlock({ piece, build, wool }: { piece: Piece; build: Pattern; wool: Wool }) {
  const { part, number, beginsAt } = piece;
  return (
    <div className={styles.piece}>
      <header className={styles.head}>
        <h3>
          <span className={styles.number}>{number}</span> {part.name || 'Unnamed'}
          {timesWords(part.count)}
        </h3>
        {beginsAt !== null && <span className={styles.begins}>begins in step {beginsAt}</span>}
      </header>
      <dl className={styles.lines}>
        {pieceLines(piece, build, wool).map((line, at) => (
          <Line key={at} line={line} wool={wool} />
        ))}
      </dl>
      <Proof id={part.id} />
      {part.hides.trim() !== '' && <p className={styles.note}>Left off, this shows: {part.hides}</p>}
    </div>
  );
}

/** A number stays with its unit. */
const unbroken = (text: string): string => text.replaceAll(/(\d) (mm|cm|in|g)\b/g, '$1\u00a0$2');

function Line({ line, wool }: { line: PieceLine; wool: Wool }) {
  return (
    <>
      <dt>{line.label}</dt>
      <dd>{line.kind === 'wool' ? <WoolWords line={line} wool={wool} /> : unbroken(line.text)}</dd>
    </>
  );
}

function WoolWords({ line: { fibreId, fibre, grams, how, words }, wool }: { line: WoolLine; wool: Wool }) {
  const ownFibre = wool.fibres.get(fibreId ?? '');
  return (
    <>
      <span className={styles.wool}>
        {ownFibre && <FibreSwatch fibre={ownFibre} width={26} height={12} />} {fibre} <b>{grams}</b>
      </span>
      {how !== '' && <span className={styles.how}>{unbroken(how)}</span>}
      {words !== '' && <span className={styles.how}>{words}</span>}
    </>
  );
}
