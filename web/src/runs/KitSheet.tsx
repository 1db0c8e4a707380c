import { type KitLine, type NeedleKit, rungPlace, SKILL_FACTOR, SKILLS } from '@lanakit/core/needles';
import type { Pattern } from '@lanakit/core/pattern';
import type { ClassKit, RunInput } from '@lanakit/core/run';
import { needleName, wantedKey } from '@lanakit/core/shelf';
import { SKILL_WORDS, wantedName } from '@lanakit/core/words';
import { NeedleMark } from '../ui/NeedleMark.tsx';
import { costWords } from '../ui/readout.ts';
import { HowItCame } from '../ui/look/HowItCame.tsx';
import type { CameLine } from '../words/howItCame.ts';
import { counted, showMinutes } from '../words/show.ts';
import styles from './Needles.module.css';

const percent = (fraction: number): string => `${(fraction * 100).toFixed(1)} %`;

/** Every needle of a class: seat by seat, table by table, spare, in all, on hand, to buy. Then what else to know. */
export function KitSheet({ kit, builds, input }: ClassKit & { input: RunInput }) {
  if (kit.lines.length === 0) return <p className={styles.none}>No step of this revision takes a needle.</p>;
  const isAtLeast = kit.unknownStepIds.length > 0;
  return (
    <>
      <table className={styles.kit}>
        <thead>
          <tr>
            <th scope="col">Needle</th>
            <th scope="col">Each seat</th>
            <th scope="col">Each table</th>
            <th scope="col">Spare in the room</th>
            <th scope="col">In all</th>
            <th scope="col">On hand</th>
            <th scope="col">To buy</th>
          </tr>
        </thead>
        <tbody>
          {kit.lines.map((line) => (
            <tr key={line.key}>
              <th scope="row">
                <NeedleMark needle={line.isNearest ? null : line.needle} place={placeOf(line, builds)} />{' '}
                {line.needle && !line.isNearest ? needleName(line.needle) : wantedName(line.wanted)}
                {line.isNearest && line.needle && (
                  <span className={styles.note}>
                    not on the shelf; nearest is the {needleName(line.needle)}
                  </span>
                )}
                {!line.needle && <span className={styles.note}>not on the shelf</span>}
                {line.onHand !== null && line.fullestHolder > line.onHand && line.fullestHolder > 1 && (
                  <span className={styles.note}>
                    its holder takes {line.fullestHolder}, and there {line.onHand === 1 ? 'is' : 'are'}{' '}
                    {line.onHand}
                  </span>
                )}
              </th>
              <td>
                {line.perPerson || '–'}
                {line.perPerson > 0 && line.usedBy < kit.people && (
                  <span className={styles.note}>{counted(line.usedBy, 'seat')}</span>
                )}
              </td>
              <td>{line.perTable || '–'}</td>
              <td>
                <HowItCame
                  title={`Spares of ${wantedName(line.wanted)}`}
                  lines={sparesCame(line, kit, input)}
                >
                  {isAtLeast && '≥ '}
                  {line.spares + line.perRoom}
                </HowItCame>
              </td>
              <td>
                <b>
                  {isAtLeast && '≥ '}
                  {line.total}
                </b>
              </td>
              <td>{line.onHand ?? 'not counted'}</td>
              <td>
                {line.toBuy === null ? '?' : line.toBuy === 0 ? '–' : <b className="red">{line.toBuy}</b>}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <ul className={styles.facts}>
        <li>
          The chance that any sort runs out is <b>{percent(kit.riskFraction)}</b>
          {isAtLeast && ', at best'}. {costWords(kit)}.
        </li>
        {isAtLeast && (
          <li>
            At least so many: {counted(kit.unknownStepIds.length, 'step')} of this revision{' '}
            {kit.unknownStepIds.length === 1 ? 'has' : 'have'} no minutes (
            {kit.unknownStepIds.map((id) => stepNumber(id, builds)).join(', ')}).
          </li>
        )}
        {kit.holders.map(({ needles, tool, per, count, total, short }) => (
          <li key={needles}>
            Holders for {needles}: {count === 1 ? 'one' : count} a {per}, {total} in all
            {tool ? ` (${tool.name})` : ''}.{' '}
            {tool === null ? (
              <b className="red">There is none on the shelf that takes so many.</b>
            ) : (
              short !== null && short > 0 && <b className="red">{short} short.</b>
            )}
          </li>
        ))}
        {kit.alike.map((needles) => (
          <li key={needles[0]?.id}>
            <b className="amber">They look alike:</b> {needles.map(needleName).join(' and ')}
            {needles[0]?.mark ? ` carry the same mark` : ' carry no mark'}. Mark one of them otherwise before
            they lie on one table.
          </li>
        ))}
        <li className="quiet">
          {kit.lines.some(({ rate }) => rate.source === 'counted')
            ? 'How often needles break is drawn to what was counted after your classes.'
            : 'How often needles break is our own guess, until a class has been counted.'}
        </li>
      </ul>
    </>
  );
}

/** Its rung where it is used; builds come with that of most seats first. */
function placeOf({ wanted }: KitLine, builds: ClassKit['builds']): number {
  const key = wantedKey(wanted);
  const build = builds.find(({ ladder }) => ladder.rungs.some((rung) => rung.key === key));
  return build ? rungPlace(build.ladder, wanted) : 0;
}

/** As it is numbered where it is made. */
function stepNumber(stepId: string, builds: ClassKit['builds']): number {
  const place = ({ build }: { readonly build: Pattern }) => build.steps.findIndex(({ id }) => id === stepId);
  return Math.max(...builds.map(place)) + 1;
}

/** Minutes of stabbing, what they cost in needles, and what is put by. */
function sparesCame(line: KitLine, kit: NeedleKit, input: RunInput): CameLine[] {
  const { rate } = line;
  return [
    {
      what: 'minutes of stabbing',
      value: showMinutes(line.exposureMinutes),
      note: `${kit.people} at the author’s pace, each times how practised they are (${SKILLS.map((skill) => `${SKILL_WORDS[skill]} ${SKILL_FACTOR[skill]}`).join(', ')}) and the risk of each step`,
    },
    {
      what: 'breakages in 1000 minutes',
      value: (rate.perMinute * 1000).toFixed(2),
      note:
        rate.source === 'counted'
          ? `${rate.broken} broken in ${showMinutes(rate.exposureMinutes)} that were counted, drawn to our guess`
          : 'our own guess; counts replace it',
    },
    { what: 'to be expected', value: line.meanBroken.toFixed(2), note: 'breakages in this class' },
    {
      what: 'spares',
      value: String(line.spares),
      note: `so that the chance of any sort running out is at most ${percent(input.needleRiskFraction)}`,
      isResult: true,
    },
  ];
}
