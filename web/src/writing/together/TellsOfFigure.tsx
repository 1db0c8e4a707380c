import { type FigureTells, fitsOf, isFitting, mendsOf, type Together, wireEnds } from '@lanakit/core/figure';
import { type Pattern, UPRIGHT } from '@lanakit/core/pattern';
import {
  counted,
  fitWords,
  hangingWords,
  keepUpWords,
  notPlacedWords,
  notWeighedWords,
  overAllWords,
  standingWords,
  wireEndWords,
} from '@lanakit/core/words';
import { Button } from 'antd';
import { useMemo } from 'react';
import { useTable } from '../table/tableContext.ts';
import { nameOfChosen } from './nameOfChosen.ts';
import { proposedPlaces } from './proposedPlaces.ts';
import type { PlaceEdits } from './usePlaceEdits.ts';

interface TellsOfFigureProps {
  together: Together;
  /** In the pose that is looked at. */
  build: Pattern;
  tells: FigureTells;
  edits: PlaceEdits;
}

/** What the figure tells once it is together: how large it is, whether it stays up, and what is missing from that. */
export function TellsOfFigure({ together, build, tells, edits }: TellsOfFigureProps) {
  const unit = useTable((table) => table.document.lengthUnit);
  const findings = useTable((table) => table.wool.findings);
  const { rests } = build.stance ?? UPRIGHT;
  const mends = useMemo(
    () => (rests === 'hangs' ? [] : mendsOf(together.figure, tells.masses.points, tells.standing)),
    [rests, together, tells],
  );
  const nameOfFinding = (useId: string) => {
    const use = build.findings.find(({ id }) => id === useId);
    return findings.get(use?.findingId ?? '')?.name ?? 'a thing not chosen yet';
  };
  const { notWeighed } = tells.masses;
  return (
    <div aria-live="polite">
      <p>
        <strong>{overAllWords(tells, unit)}.</strong>
      </p>
      {rests === 'hangs' ? (
        <p>{tells.hanging ? hangingWords(tells.hanging) : 'Where it hangs from: nobody has said.'}</p>
      ) : (
        <p className={tells.standing.kind === 'falls' || tells.standing.kind === 'no-flat' ? 'red' : ''}>
          {standingWords(tells.standing, rests, unit)}
        </p>
      )}
      {mends.length > 0 && (
        <>
          <p className="quiet">So that it stands through a tap on the table, one of these:</p>
          <ul>
            {mends.map((mend) => (
              <li key={mend.kind}>{keepUpWords(mend, unit)}</li>
            ))}
          </ul>
        </>
      )}
      {notWeighed.length > 0 && (
        <p className="quiet">
          Weighed without {notWeighed.map((thing) => notWeighedWords(thing, build, nameOfFinding)).join(', ')}
          .
        </p>
      )}
      {together.figure.notPlaced.length > 0 && (
        <p className="quiet">
          Not in the figure:{' '}
          {together.figure.notPlaced.map((piece) => notPlacedWords(piece, build)).join('; ')}.
        </p>
      )}
      <Fits together={together} />
      <Proposed together={together} edits={edits} />
    </div>
  );
}

/** How eyes and bars go where they are put; in red what does not. */
function Fits({ together }: Pick<TellsOfFigureProps, 'together'>) {
  const unit = useTable((table) => table.document.lengthUnit);
  const build = useTable((table) => table.figure);
  const wool = useTable((table) => table.wool);
  const estimate = useTable((table) => table.estimate);
  const fits = useMemo(() => fitsOf(together.details), [together]);
  const ends = useMemo(() => wireEnds(build, estimate), [build, estimate]);
  if (fits.length + ends.length === 0) return null;
  return (
    <ul>
      {fits.map((fit) => (
        <li key={`${fit.kind} ${fit.detail.key}`} className={isFitting(fit) ? '' : 'red'}>
          {fitWords(fit, nameOfChosen(together, { kind: 'detail', key: fit.detail.key }, build, wool), unit)}
        </li>
      ))}
      {ends.map((end, at) => (
        <li key={`${end.cutId} ${at}`} className={end.partId !== null && (end.outMm ?? 0) > 0 ? 'red' : ''}>
          {wireEndWords(end, build, unit)}
        </li>
      ))}
    </ul>
  );
}

function Proposed({ together, edits }: Pick<TellsOfFigureProps, 'together' | 'edits'>) {
  const proposed = proposedPlaces(together);
  if (proposed.length === 0) return null;
  return (
    <p className="quiet">
      {counted(proposed.length, 'place')} {proposed.length === 1 ? 'is' : 'are'} proposed until you move{' '}
      {proposed.length === 1 ? 'it' : 'them'}.{' '}
      <Button size="small" onClick={() => edits.keepAll(proposed)}>
        Keep them as they are
      </Button>
    </p>
  );
}
