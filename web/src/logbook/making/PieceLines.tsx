import type { MakingPage } from '@lanakit/core/api';
import { blankMakingPiece, MAKING_BOUNDS, type MakingPiece } from '@lanakit/core/logbook';
import { Button, Input } from 'antd';
import { nanoid } from 'nanoid';
import { FromScale } from '../../scale/FromScale.tsx';
import { Field } from '../../ui/fields/Field.tsx';
import { NumberField } from '../../ui/fields/NumberField.tsx';
import book from '../Logbook.module.css';
import styles from './Making.module.css';
import type { MakingDraft } from './useMakingDraft.ts';

interface PieceLinesProps {
  page: MakingPage;
  draft: MakingDraft;
  questionsAt: (place: string) => readonly string[];
}

/** Each piece as it was rolled, felted and finished. */
export function PieceLines({ page, draft, questionsAt }: PieceLinesProps) {
  const { input, change } = draft;
  const add = () => change('a piece', (making) => void making.pieces.push(blankMakingPiece(nanoid(10))));
  if (input.pieces.length === 0 && page.build) return null;
  return (
    <section aria-label="Pieces">
      <h3>Pieces</h3>
      <div className={styles.pieces}>
        {page.build && (
          <div className={styles.pieceHead} aria-hidden>
            <span />
            {SIZES.map(([, label]) => (
              <span key={label}>{label}</span>
            ))}
            <span>One weighs</span>
          </div>
        )}
        {input.pieces.map((piece, at) => (
          <PieceLine
            key={piece.id}
            piece={piece}
            at={at}
            page={page}
            draft={draft}
            questions={questionsAt(piece.id)}
          />
        ))}
      </div>
      {!page.build && (
        <p className={book.add}>
          <Button size="small" onClick={add}>
            Add a piece
          </Button>
        </p>
      )}
    </section>
  );
}

interface PieceLineProps extends Pick<PieceLinesProps, 'page' | 'draft'> {
  piece: MakingPiece;
  at: number;
  questions: readonly string[];
}

const SIZES = [
  ['rolledMm', 'Rolled, across'],
  ['feltedMm', 'Felted, across'],
  ['finishedMm', 'Finished, long'],
] as const;

function PieceLine({ piece, at, page, draft, questions }: PieceLineProps) {
  const part = page.build?.parts.find(({ id }) => id === piece.partId);
  const name = part?.name ?? (piece.name || 'Piece');
  const set = (what: string, recipe: (piece: MakingPiece) => void) =>
    draft.change(`${what}, ${name}`, (making) => {
      const target = making.pieces[at];
      if (target) recipe(target);
    });
  return (
    <div className={styles.piece} role="group" aria-label={name}>
      {part ? (
        <b className={styles.pieceName}>{name}</b>
      ) : (
        <Field label="Piece">
          {(control) => (
            <Input
              {...control}
              value={piece.name}
              maxLength={80}
              placeholder="Body"
              onChange={({ target: { value } }) => set('name', (each) => void (each.name = value))}
            />
          )}
        </Field>
      )}
      {SIZES.map(([key, label]) => (
        <NumberField<number | null>
          key={key}
          label={part ? `${label}, ${name}` : label}
          isLabelHidden={part !== undefined}
          value={piece[key]}
          bounds={MAKING_BOUNDS.sizeMm}
          allowEmpty
          suffix="mm"
          onValue={(sizeMm) => set(label, (each) => void (each[key] = sizeMm))}
        />
      ))}
      <div className={styles.withScale}>
        <NumberField<number | null>
          label={part ? `One weighs, ${name}` : 'One weighs'}
          isLabelHidden={part !== undefined}
          value={piece.massG}
          bounds={MAKING_BOUNDS.massG}
          allowEmpty
          suffix="g"
          onValue={(massG) => set('grams', (each) => void (each.massG = massG))}
        />
        <FromScale
          label={`One weighs, ${name}`}
          onMass={(massG) => set('grams', (each) => void (each.massG = massG))}
        />
      </div>
      {questions.map((words) => (
        <p key={words} className={book.question} role="note">
          {words}
        </p>
      ))}
    </div>
  );
}
